import type { WallTime } from '../calendar'
import type { Id } from './ids'

/** One opening of a place. */
export interface OpenSpan {
  from: WallTime
  /** It closes then; not before `from`. */
  until: WallTime
  /** False: by appointment, or only perhaps. */
  isSure: boolean
  /** What is written beside it, such as "by appointment"; null: nothing. */
  note: string | null
}

/** What an opening text says of a stretch of time. */
export interface OpenTimes {
  /** In the order of time; they do not overlap. */
  spans: OpenSpan[]
  /** The stretch that was read. */
  from: WallTime
  until: WallTime
  /** Holidays are written there, and were left aside: nobody here knows them. */
  leavesHolidays: boolean
  /** The text can be read in two ways, or its reader remarks on it: nothing of it is sure, not even that it is shut. */
  isDoubtful: boolean
}

/** By place; one that is not named here is not known. */
export type Hours = ReadonlyMap<Id, OpenTimes>
