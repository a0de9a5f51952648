import { addWallDays, dayAndPartOf, daylightParts, type DayNumber, type PartGrid, PARTS } from '../calendar'
import {
  type Activity,
  type Crew,
  type Effect,
  type Habit,
  type HabitOn,
  type Vessel,
  found,
  type Id,
  type StayCase,
  warmestOf,
  type Stay,
} from '../domain'
import type { Presence } from './presence'

/** A habit that is on, with the parts of the grid in which it holds. */
export interface ActiveHabit {
  id: Id
  effects: Effect[]
  vessel: Vessel | null
  /** 1 where it holds, 0 where not. */
  active: Uint8Array
  /** Share of an activity's uses that it acts on, in each part, 0 to 1: its persons' share; null: all of them. */
  shareOf: (activity: Id) => Float64Array | null
}

/** The habits of a stay that are on, by habit id: the order in which their effects apply (model.md section 4). */
export function activeHabits(
  { stay, crew, habits }: StayCase,
  grid: PartGrid,
  here: Presence,
): ActiveHabit[] {
  const isLight = daylightParts(stay.weather.sunrise, stay.weather.sunset)
  return [...stay.habits]
    .sort((a, b) => (a.habit < b.habit ? -1 : 1))
    .map((on) => {
      const habit = found(habits, on.habit, 'habit')
      const { id, effects, vessel } = habit
      const active = activeParts(habit, on, stay, grid, isLight)
      const shareOf = (activity: Id) =>
        on.persons === null ? null : personsShare(crew, activity, on.persons, here)
      return { id, effects, vessel, active, shareOf }
    })
}

function activeParts(
  habit: Habit,
  { days }: HabitOn,
  stay: Stay,
  grid: PartGrid,
  isLight: readonly boolean[],
): Uint8Array {
  const active = new Uint8Array(grid.count)
  for (let i = 0; i < grid.count; i++)
    active[i] =
      isOnDay(grid.day[i]!, days) && holds(habit, stay, grid.day[i]!, grid.part[i]!, isLight) ? 1 : 0
  return active
}

/** The day numbers from `from` on until the stay is left in which a habit that is on holds in at least one part. */
export function daysOfHabit(
  habit: Habit,
  on: Pick<HabitOn, 'days'>,
  stay: Stay,
  from: DayNumber = 0,
): number {
  const isLight = daylightParts(stay.weather.sunrise, stay.weather.sunset)
  const [first, last] = [stay.start, addWallDays(stay.leaveAt, -HAIR_D)].map((time) =>
    dayAndPartOf(stay.start, time),
  ) as [Slotted, Slotted]
  const isIn = (day: DayNumber, part: number) =>
    !(day === first.day && part < first.part) && !(day === last.day && part > last.part)
  let days = 0
  for (let day = Math.max(from, first.day); day <= last.day; day++)
    if (
      isOnDay(day, on.days) &&
      PARTS.some((_, part) => isIn(day, part) && holds(habit, stay, day, part, isLight))
    )
      days++
  return days
}
type Slotted = ReturnType<typeof dayAndPartOf>
/** Who leaves at the hour a day begins does not touch it: a minute before. */
const HAIR_D = 1 / 1440

function isOnDay(day: DayNumber, days: [number, number] | null): boolean {
  return days === null || (day >= days[0] && day <= days[1])
}

function holds(
  { when }: Habit,
  stay: Stay,
  day: DayNumber,
  part: number,
  isLight: readonly boolean[],
): boolean {
  if (when.parts && !when.parts.includes(PARTS[part]!)) return false
  if (when.daylight && !isLight[part]) return false
  return when.lowest === null || warmestOf(stay, day) >= when.lowest.value
}

/** By the rates of those who are there, in mild weather; of what the crew does as one, by heads. */
function personsShare(
  crew: Crew,
  activityId: Id,
  persons: readonly Id[],
  { group, groups }: Presence,
): Float64Array {
  const activity = crew.activities.find(({ id }) => id === activityId)
  const byGroup = groups.map((here) => (activity ? groupShare(crew, activity, persons, here) : 0))
  return Float64Array.from(group, (who) => byGroup[who]!)
}

function groupShare(
  crew: Crew,
  activity: Activity,
  persons: readonly Id[],
  here: readonly boolean[],
): number {
  let [taking, all] = [0, 0]
  crew.persons.forEach(({ id, rates }, p) => {
    if (!here[p]) return
    const own = (rates.find((one) => one.activity === activity.id) ?? activity).rate.value
    const weight = activity.per === 'crew' ? 1 : own
    all += weight
    if (persons.includes(id)) taking += weight
  })
  return all > 0 ? taking / all : 0
}
