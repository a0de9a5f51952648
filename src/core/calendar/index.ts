export {
  PARTS,
  PARTS_PER_DAY,
  dayAndPartOf,
  dayZero,
  daylightParts,
  leaveAfterNights,
  nightsBetween,
  partGrid,
  partOfSlot,
  slotAt,
  slotBegins,
  slotNumber,
  slotOfTime,
  weekdayOf,
} from './parts'
export type { DayNumber, Part, PartGrid, PartIndex, Slot } from './parts'
export {
  MINUTES_PER_DAY,
  addWallDays,
  isWallTime,
  wallDaysBetween,
  wallMinutes,
  wallTimeAt,
} from './wallTime'
export type { WallTime } from './wallTime'
