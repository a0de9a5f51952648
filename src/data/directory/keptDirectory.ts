import type { Place } from '@/core/domain'
import { isListOf, isNumber, isRecord, isText, keptValue } from '../keptValue'
import { memoryDirectory } from './memoryDirectory'
import type { DirectoryAnswer, PlaceDirectory } from './placeDirectory'

const MOST_KEPT = 400

interface Heard {
  at: number
  places: Place[]
}
const isPlace = (value: unknown) => isRecord(value) && isText(value.id) && isText(value.name)
const KEPT = {
  ...{ key: 'dry-count:directory', version: 1, first: null },
  isWhole: (value: unknown) => isRecord(value) && isNumber(value.at) && isListOf(isPlace)(value.places),
}

export type KeptAnswer = DirectoryAnswer & {
  /** It was heard some time before, in ms since 1970 UTC; null: just now. */
  heardAt?: number | null
}

/** The same directory, with what it said last kept for when it cannot be reached. @param now ms since 1970 UTC */
export function keptDirectory(directory: PlaceDirectory, storage: Storage, now: () => number) {
  const kept = keptValue<Heard | null>(KEPT, storage)
  return {
    async around(...[where, signal]: Parameters<PlaceDirectory['around']>): Promise<KeptAnswer> {
      const answer = await directory.around(where, signal)
      if (answer.ok) {
        const places = answer.report.places.slice(0, MOST_KEPT)
        kept.write({ at: now(), places })
        return { ...answer, heardAt: null }
      }
      if (answer.fault === 'stopped') return answer
      const last = kept.read()
      if (!last) return answer
      const report = { places: last.places, leftOut: [], notUnderstood: [] }
      const again = await memoryDirectory(report).around(where)
      return again.ok && again.report.places.length > 0 ? { ...again, heardAt: last.at } : answer
    },
  }
}
