import { isOnGlobe } from '@/core/places'
import type { Place, Point, Position } from '@/core/domain'
import { show } from '../faults'
import { LIMITS } from '../schema/limits'
import { z } from '../schema/zod'
import { isOfInterest, placeOfTags, plainText, tagsOf, type Tagged, type Tags } from './osm'
import { placesReport, type ReadPlaces } from './placesReport'

const feature = z.looseObject({
  type: z.literal('Feature'),
  geometry: z.looseObject({ type: z.string(), coordinates: z.unknown().optional() }).nullable(),
  properties: z.record(z.string(), z.unknown()).nullable().optional(),
})
export const featureCollection = z.looseObject({
  type: z.literal('FeatureCollection'),
  features: z.array(z.unknown()),
})

/**
 * Places out of a GeoJSON text (RFC 7946): points, and areas by their middle, with the open tags of OpenStreetMap as
 * properties, plain or under `tags`. A point with nothing but a name is a place too.
 */
export function readGeoJson(text: string, newId: () => string, nameless: string): ReadPlaces {
  let input: unknown
  try {
    input = JSON.parse(text.replace(/^\uFEFF/, ''))
  } catch {
    return { ok: false, code: 'not-json', found: show(text.slice(0, 40)) }
  }
  return placesOfGeoJson(input, newId, nameless)
}

export function placesOfGeoJson(input: unknown, newId: () => string, nameless: string): ReadPlaces {
  const collection = featureCollection.safeParse(input)
  const single = feature.safeParse(input)
  if (!collection.success && !single.success)
    return { ok: false, code: 'not-geojson', found: show((input as { type?: unknown } | null)?.type) }
  const report = placesReport()
  /** Further points of places that we wrote: they go back to their place, wherever it stands in the file. */
  const points: Tagged[] = []
  for (const one of collection.success ? collection.data.features : [input]) {
    const parsed = feature.safeParse(one)
    if (!parsed.success) {
      report.leave('other-geometry', show((one as { type?: unknown } | null)?.type))
      continue
    }
    const { geometry, properties } = parsed.data
    const tags = textsOf(properties ?? {})
    const name = plainText(tags.name ?? nameless, 80) || nameless
    const position = middleOf(geometry)
    if (position === 'other') report.leave('other-geometry', `${name}: ${show(geometry?.type)}`)
    else if (position === null) report.leave('no-position', name)
    else if (!isOnGlobe(position)) report.leave('off-the-globe', name)
    else if (isForeign(tags)) report.leave('not-of-interest', name)
    else {
      const read = placeOfTags(newId(), tags, position, nameless)
      if (read.pointOf) points.push(read)
      else report.take(read.place, read.notUnderstood)
    }
  }
  const whole = new Map(report.taken.map((place) => [keyOf(place.name, place.position!), place]))
  for (const { place, pointOf, notUnderstood } of points) {
    const own = whole.get(keyOf(pointOf!.place, place.position!))
    if (!own || own.points.length >= LIMITS.points) report.take(place, notUnderstood)
    else own.points.push(pointAs(place, pointOf!.name))
  }
  return { ok: true, report: report.done() }
}

const keyOf = (name: string, { lat, lon }: Position) => JSON.stringify([name, lat, lon])

function pointAs({ id, accepts, water, rule, flow }: Place, name: string): Point {
  return { id, name, accepts, water, rule, flow }
}

/** Tagged as something, and as nothing that a run goes to. */
function isForeign(tags: Tags): boolean {
  const says = [
    'amenity',
    'shop',
    'tourism',
    'highway',
    'building',
    'natural',
    'leisure',
    'historic',
    'man_made',
  ]
  return says.some((key) => key in tags) && !isOfInterest(tags)
}

function textsOf(properties: Record<string, unknown>): Tags {
  const nested = typeof properties.tags === 'object' && properties.tags !== null ? properties.tags : {}
  const texts: Tags = {}
  for (const [key, value] of Object.entries({ ...properties, ...nested }))
    if (typeof value === 'string' || typeof value === 'number' || typeof value === 'boolean')
      texts[key] = String(value)
  return texts
}

/** A point, or the middle of an area's outline; lines and others are none. */
function middleOf(geometry: { type: string; coordinates?: unknown } | null): Position | null | 'other' {
  if (geometry === null) return null
  const { type, coordinates } = geometry
  if (type === 'Point') return positionOf(coordinates)
  if (type !== 'Polygon' || !Array.isArray(coordinates) || !Array.isArray(coordinates[0])) return 'other'
  const ring = (coordinates[0] as unknown[])
    .map(positionOf)
    .filter((one) => one !== null)
    .slice(0, -1)
  if (ring.length === 0) return null
  const mean = (of: keyof Position) => ring.reduce((sum, one) => sum + one[of], 0) / ring.length
  return { lat: mean('lat'), lon: mean('lon') }
}

function positionOf(coordinates: unknown): Position | null {
  if (!Array.isArray(coordinates)) return null
  const [lon, lat] = coordinates as unknown[]
  return typeof lon === 'number' && typeof lat === 'number' && Number.isFinite(lon + lat)
    ? { lat, lon }
    : null
}

/**
 * Places with a position as GeoJSON, tagged as they are read; further points as features of their own that say whose they
 * are, so that another reader has them too.
 */
export function geoJsonOf(places: readonly Place[]): string {
  const features = places.flatMap((place) => {
    if (!place.position) return []
    const { lat, lon } = place.position
    const featureOf = (one: Place, ours: Tags = {}) => ({
      type: 'Feature' as const,
      geometry: { type: 'Point' as const, coordinates: [lon, lat] },
      properties: { ...tagsOf(one), ...ours },
    })
    const further = place.points.map((point) => {
      const name = plainText(`${place.name}: ${point.name}`, 80)
      const ours = { 'dry_count:point_of': place.name, 'dry_count:point': point.name }
      return featureOf({ ...place, ...point, name, points: [], offers: [] }, ours)
    })
    return [featureOf(place), ...further]
  })
  return `${JSON.stringify({ type: 'FeatureCollection', features }, null, 2)}\n`
}
