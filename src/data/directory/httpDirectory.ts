import { placesOfGeoJson } from '@/document/places/geojson'
import { newId } from '../newId'
import type { Around, DirectoryAnswer, PlaceDirectory } from './placeDirectory'

const ANSWERS_WITHIN_MS = 8_000
/** More than this is no answer about a day's drive. */
const MOST_BYTES = 4 * 1024 * 1024

export interface HttpOptions {
  /** Where it is asked, on the page's own origin. */
  url: string
  nameless: string
  withinMs?: number
  fetch?: typeof fetch
}

/** A directory over HTTP: `GET url?lat=&lon=&km=`, answered by GeoJSON with open tags (docs/directory.md). */
export function httpDirectory({
  url,
  nameless,
  withinMs = ANSWERS_WITHIN_MS,
  fetch: ask = (...of) => fetch(...of),
}: HttpOptions): PlaceDirectory {
  return {
    async around({ position: { lat, lon }, km }: Around, signal?: AbortSignal): Promise<DirectoryAnswer> {
      if (signal?.aborted) return { ok: false, fault: 'stopped' }
      const inTime = AbortSignal.timeout(withinMs)
      const either = signal ? AbortSignal.any([signal, inTime]) : inTime
      try {
        const query = new URLSearchParams({ lat: String(lat), lon: String(lon), km: String(km) })
        const answer = await ask(`${url}?${query.toString()}`, { signal: either })
        if (!answer.ok) return { ok: false, fault: answer.status === 404 ? 'offline' : 'wrong' }
        const text = await answer.text()
        if (text.length > MOST_BYTES) return { ok: false, fault: 'wrong' }
        const read = placesOfGeoJson(JSON.parse(text), () => newId('place'), nameless)
        return read.ok ? read : { ok: false, fault: 'wrong' }
      } catch (error) {
        if (signal?.aborted) return { ok: false, fault: 'stopped' }
        if (inTime.aborted) return { ok: false, fault: 'slow' }
        return { ok: false, fault: error instanceof SyntaxError ? 'wrong' : 'offline' }
      }
    },
  }
}
