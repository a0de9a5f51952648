import { gpx as toGeoJson } from '@tmcw/togeojson'
import { isOnGlobe } from '@/core/places'
import type { Place } from '@/core/domain'
import { newPlace } from '../starters/assumed'
import { show } from '../faults'
import { plainText } from './osm'
import { placesReport, type ReadPlaces } from './placesReport'

/** What reads and writes XML: the browser's own, or a stand-in for it. */
export interface Xml {
  parse: (text: string) => Document
  write: (document: Document) => string
}

/**
 * Waypoints of a GPX text as places by their names; tracks and routes are ways and no places. A file that declares entities
 * is refused unread: nothing of what it would expand to is worth the risk.
 */
export function readGpx(text: string, xml: Xml, newId: () => string, nameless: string): ReadPlaces {
  if (/<!\s*(DOCTYPE|ENTITY)/i.test(text)) return { ok: false, code: 'entities', found: '<!DOCTYPE' }
  let document: Document
  try {
    document = xml.parse(text)
  } catch {
    return { ok: false, code: 'not-xml', found: show(text.slice(0, 40)) }
  }
  const root = document.documentElement as Element | null
  if (!root || document.getElementsByTagName('parsererror').length > 0)
    return { ok: false, code: 'not-xml', found: show(text.slice(0, 40)) }
  if (root.localName !== 'gpx') return { ok: false, code: 'not-gpx', found: show(root.nodeName) }
  const report = placesReport()
  for (const { geometry, properties } of featuresOf(document)) {
    const { name, desc, cmt } = properties ?? {}
    const plain = plainText(name ?? nameless, 80) || nameless
    if (geometry?.type !== 'Point') {
      report.leave('other-geometry', plain)
      continue
    }
    const [lon, lat] = geometry.coordinates
    if (!Number.isFinite(lat + lon)) report.leave('no-position', plain)
    else if (!isOnGlobe({ lat, lon })) report.leave('off-the-globe', plain)
    else {
      const note = plainText([desc, cmt].filter((one) => one !== undefined).join('; '), 400)
      report.take({ ...newPlace(newId(), plain), position: { lat, lon }, note }, [])
    }
  }
  return { ok: true, report: report.done() }
}

interface Waypoint {
  geometry: { type: string; coordinates: [lon: number, lat: number] } | null
  properties: Record<string, string | undefined> | null
}

function featuresOf(document: Document): Waypoint[] {
  return (toGeoJson(document) as unknown as { features: Waypoint[] }).features
}

/** What no XML may hold, whatever the name of a place is made of. */
const NOT_XML = /[^\t\n\r\u{20}-\u{D7FF}\u{E000}-\u{FFFD}\u{10000}-\u{10FFFF}]/gu
const NAMESPACE = 'http://www.topografix.com/GPX/1/1'

/** Places with a position as GPX 1.1 waypoints, for a device that finds the way. @param wordsOf what is to be known of one */
export function gpxOf(places: readonly Place[], xml: Xml, wordsOf: (place: Place) => string): string {
  const document = xml.parse(`<gpx version="1.1" creator="Dry Count" xmlns="${NAMESPACE}"></gpx>`)
  const root = document.documentElement
  for (const place of places) {
    if (!place.position) continue
    const point = document.createElementNS(NAMESPACE, 'wpt')
    point.setAttribute('lat', String(place.position.lat))
    point.setAttribute('lon', String(place.position.lon))
    for (const [key, words] of [
      ['name', place.name],
      ['desc', wordsOf(place)],
    ] as const) {
      const written = words.replace(NOT_XML, '')
      if (written === '') continue
      const element = document.createElementNS(NAMESPACE, key)
      element.textContent = written
      point.appendChild(element)
    }
    root.appendChild(point)
  }
  return `<?xml version="1.0" encoding="UTF-8"?>\n${xml.write(document)}\n`
}
