import type { Place } from '@/core/domain'
import { placeSchema } from '../schema/places'

/** Why something in a file of places was left out. */
export type LeftOut =
  | 'other-geometry'
  | 'no-position'
  | 'off-the-globe'
  | 'not-of-interest'
  | 'not-valid'
  | 'too-many'

/** What was understood of a file of places, and what was not. */
export interface PlacesReport {
  /** In the order of the file. */
  places: Place[]
  /** How many were left out, and why; only those that happened. */
  leftOut: { why: LeftOut; n: number; example: string }[]
  /** Tags that say something nobody here understands, the most frequent first. */
  notUnderstood: { tag: string; n: number }[]
}

export type ReadPlaces =
  | { ok: true; report: PlacesReport }
  | {
      ok: false
      code: 'too-large' | 'not-json' | 'not-geojson' | 'not-xml' | 'not-gpx' | 'entities'
      found: string
    }

/** More than this is no list of places. */
export const PLACES_FILE_BYTES = 20 * 1024 * 1024
/** No more than these are shown to choose from. */
export const MOST_READ = 10_000

/** Counts as it goes. */
export function placesReport() {
  const places: Place[] = []
  const leftOut = new Map<LeftOut, { n: number; example: string }>()
  const tags = new Map<string, number>()
  return {
    /** So far. */
    taken: places as readonly Place[],
    take(place: Place, notUnderstood: readonly string[]): void {
      if (places.length >= MOST_READ) {
        this.leave('too-many', place.name)
        return
      }
      // By the rule that reads documents: what it would refuse is left out, and the rest is taken.
      if (!placeSchema.safeParse(place).success) {
        this.leave('not-valid', place.name)
        return
      }
      places.push(place)
      for (const tag of notUnderstood) tags.set(tag, (tags.get(tag) ?? 0) + 1)
    },
    leave(why: LeftOut, example: string): void {
      const known = leftOut.get(why)
      leftOut.set(why, { n: (known?.n ?? 0) + 1, example: known?.example ?? example })
    },
    done(): PlacesReport {
      return {
        places,
        leftOut: [...leftOut].map(([why, { n, example }]) => ({ why, n, example })),
        notUnderstood: [...tags].map(([tag, n]) => ({ tag, n })).sort((a, b) => b.n - a.n),
      }
    },
  }
}
