import type { Days } from '../quantities'
import { MINUTES_PER_DAY, addWallDays, wallMinutes, wallTimeAt, type WallTime } from './wallTime'

/** Parts of six hours; a day runs from 05:00 to 05:00, so the night belongs to the day it began. */
export const PARTS = ['morning', 'midday', 'evening', 'night'] as const
export type Part = (typeof PARTS)[number]
export const PARTS_PER_DAY = 4

/** Index of a part in a `PartGrid`, from 0; the part of the day that it is stands in `PartGrid.part`. */
export type PartIndex = number
/** The number of a 05-to-05 day of a stay: 0 contains the start. */
export type DayNumber = number

const DAY_BEGINS_MIN = 5 * 60
const PART_MIN = MINUTES_PER_DAY / PARTS_PER_DAY

/**
 * The parts a ledger runs over: whole parts from the one the stay starts in (shortened to what is left of it)
 * until the first part end at or after the horizon.
 */
export interface PartGrid {
  count: number
  /** Part boundaries in days from where the grid begins, `count + 1` long; first 0, last >= horizon. */
  edges: Float64Array
  /** Day number of each part; day 0 is the 05-to-05 day that contains the start. */
  day: Int32Array
  /** Index into `PARTS` of each part. */
  part: Uint8Array
  /** Share of a whole part, 1 except where the grid begins inside the first. */
  share: Float64Array
}

/**
 * @param horizonDays > 0
 * @param from where it begins, not before the start: its first part is what is left of the one `from` falls in, and days
 *   keep their numbers, so that absences, habits and weather stay where they are on the calendar
 */
export function partGrid(start: WallTime, horizonDays: Days, from: WallTime = start): PartGrid {
  const sinceDayZero = wallMinutes(from) - wallMinutes(dayZero(start))
  const first = Math.floor(sinceDayZero / PART_MIN)
  const firstMin = (first + 1) * PART_MIN - sinceDayZero
  const count = 1 + Math.max(0, Math.ceil((horizonDays * MINUTES_PER_DAY - firstMin) / PART_MIN - 1e-9))
  const grid: PartGrid = {
    count,
    edges: new Float64Array(count + 1),
    day: new Int32Array(count),
    part: new Uint8Array(count),
    share: new Float64Array(count).fill(1),
  }
  grid.share[0] = firstMin / PART_MIN
  for (let i = 0; i < count; i++) {
    grid.edges[i + 1] = (firstMin + i * PART_MIN) / MINUTES_PER_DAY
    grid.day[i] = Math.floor((first + i) / PARTS_PER_DAY)
    grid.part[i] = (first + i) % PARTS_PER_DAY
  }
  return grid
}

/** A part of a day of a stay. */
export interface Slot {
  day: DayNumber
  part: Part
}

/** Its number, counted from the morning of day 0. */
export function slotNumber({ day, part }: Slot): number {
  return day * PARTS_PER_DAY + PARTS.indexOf(part)
}

/** The slot of a number. @param number >= 0 */
export function slotAt(number: number): Slot {
  return { day: Math.floor(number / PARTS_PER_DAY), part: PARTS[number % PARTS_PER_DAY]! }
}

/** The wall time at which a slot begins. @param start of the stay, whose day 0 slots are counted from */
export function slotBegins(start: WallTime, slot: Slot): WallTime {
  return addWallDays(dayZero(start), slotNumber(slot) / PARTS_PER_DAY)
}

/** The slot a wall time falls in, from the day 0 of `start`. */
export function slotOfTime(start: WallTime, time: WallTime): Slot {
  const { day, part } = dayAndPartOf(start, time)
  return { day, part: PARTS[part]! }
}

/** Where in a grid a slot stands: below 0 before it, from `count` on after it. */
export function partOfSlot({ day, part }: Pick<PartGrid, 'day' | 'part'>, slot: Slot): PartIndex {
  return slotNumber(slot) - (day[0]! * PARTS_PER_DAY + part[0]!)
}

/** 05:00 of day 0 of a stay that starts then. */
export function dayZero(start: WallTime): WallTime {
  return wallTimeAt(wallMinutes(start) - minutesIntoDay(start))
}

/** ISO weekday of a day of a stay, Monday 1 to Sunday 7. @param day number, from 0 */
export function weekdayOf(start: WallTime, day: DayNumber): number {
  const days = Math.floor(wallMinutes(dayZero(start)) / MINUTES_PER_DAY) + day
  // The first day of 1970 was a Thursday.
  return ((((days + 3) % 7) + 7) % 7) + 1
}

/** The day and part a wall time falls in, counted from the day 0 of `start`. */
export function dayAndPartOf(start: WallTime, time: WallTime): { day: DayNumber; part: number } {
  const minutes = wallMinutes(time) - wallMinutes(dayZero(start))
  const day = Math.floor(minutes / MINUTES_PER_DAY)
  return { day, part: Math.floor((minutes - day * MINUTES_PER_DAY) / PART_MIN) }
}

/** Nights slept between two times: the 05-to-05 days they lie apart. */
export function nightsBetween(start: WallTime, leaveAt: WallTime): number {
  return Math.max(0, dayAndPartOf(start, leaveAt).day)
}

/** The same hour as `leaveAt`, so many nights after the day of the start. */
export function leaveAfterNights(start: WallTime, leaveAt: WallTime, nights: Days): WallTime {
  return wallTimeAt(wallMinutes(dayZero(start)) + nights * MINUTES_PER_DAY + minutesIntoDay(leaveAt))
}

/**
 * For each part of a day, whether more than half of it lies between sunrise and sunset.
 * @param sunrise wall time `hh:mm` @param sunset the same, later in the day
 */
export function daylightParts(sunrise: string, sunset: string): boolean[] {
  const [rise, set] = [sunrise, sunset].map((clock) => minutesOf(clock) - DAY_BEGINS_MIN) as [number, number]
  return PARTS.map((_, p) => {
    const light = Math.min(set, (p + 1) * PART_MIN) - Math.max(rise, p * PART_MIN)
    return light > PART_MIN / 2
  })
}

function minutesOf(clock: string): number {
  return Number(clock.slice(0, 2)) * 60 + Number(clock.slice(3))
}

function minutesIntoDay(time: WallTime): number {
  const shifted = wallMinutes(time) - DAY_BEGINS_MIN
  return ((shifted % MINUTES_PER_DAY) + MINUTES_PER_DAY) % MINUTES_PER_DAY
}
