import type { Place } from '@/core/domain'
import type { PlacesReport } from '@/document/places/placesReport'
import { memoryDirectory } from './memoryDirectory'
import type { DirectoryAnswer, PlaceDirectory } from './placeDirectory'

const KEY = 'dry-count:directory'
const MOST_KEPT = 400

export type KeptAnswer = DirectoryAnswer & {
  /** It was heard some time before, in ms since 1970 UTC; null: just now. */
  heardAt?: number | null
}

/** The same directory, with what it said last kept for when it cannot be reached. @param now ms since 1970 UTC */
export function keptDirectory(directory: PlaceDirectory, storage: Storage, now: () => number) {
  return {
    async around(...[where, signal]: Parameters<PlaceDirectory['around']>): Promise<KeptAnswer> {
      const answer = await directory.around(where, signal)
      if (answer.ok) {
        const places = answer.report.places.slice(0, MOST_KEPT)
        storage.setItem(KEY, JSON.stringify({ at: now(), places }))
        return { ...answer, heardAt: null }
      }
      if (answer.fault === 'stopped') return answer
      const kept = read(storage)
      if (!kept) return answer
      const again = await memoryDirectory(kept.report).around(where)
      return again.ok && again.report.places.length > 0 ? { ...again, heardAt: kept.at } : answer
    },
  }
}

function read(storage: Storage): { at: number; report: PlacesReport } | null {
  try {
    const kept = JSON.parse(storage.getItem(KEY) ?? 'null') as { at: number; places: Place[] } | null
    return kept && { at: kept.at, report: { places: kept.places, leftOut: [], notUnderstood: [] } }
  } catch {
    return null
  }
}
