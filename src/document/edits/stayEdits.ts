import { leaveAfterNights, nightsBetween, type Part } from '@/core/calendar'
import { startOf, type Reading } from '@/core/levels'
import {
  isAwayOn,
  type Absence,
  type Crew,
  type Document,
  type Id,
  type ModelContainer,
  type Stay,
  type TakenOver,
} from '@/core/model'
import { owned } from '@/core/quantities'
import { LIMITS } from '../schema/limits'
import { crewOf, stayOf } from './find'

/** Farther than any stay may last. */
const LAST_DAY = LIMITS.day.max

/** Recipes on a draft: a stay and its crew. */

export function setLevel(draft: Document, stayId: Id, containerId: Id, litres: number): void {
  const entry = stayOf(draft, stayId).levels.find(({ container }) => container === containerId)
  if (entry) entry.level = owned(litres)
}

/**
 * Sets what was read of the tanks that the count takes as one; a panel's step and a share are each tank's own. Amounts are
 * parted by size.
 */
export function setReading(draft: Document, stayId: Id, members: readonly Id[], reading: Reading): void {
  const stay = stayOf(draft, stayId)
  const rig = draft.rigs.find(({ id }) => id === stay.rig)!
  const tanks = rig.containers.filter(({ id }) => members.includes(id))
  const total = tanks.reduce((sum, { capacity }) => sum + capacity.value, 0)
  for (const tank of tanks) {
    const share = tank.capacity.value / total
    const entry = stay.levels.find(({ container }) => container === tank.id)!
    Object.assign(entry, startOf(partOf(reading, share), tank))
  }
}

function partOf(reading: Reading, share: number): Reading {
  if (reading.way === 'panel') return reading
  const level = reading.level * share
  if (reading.way === 'known') return { way: 'known', level }
  if (reading.way === 'about') return { way: 'about', level, within: reading.within * share }
  return { way: 'measured', level, deviation: reading.deviation * share }
}

/**
 * Sets the level of what the count takes as one: tanks that stand open to each other share it by their size, and a
 * heater that counts keeps its own.
 */
export function setModelLevel(
  draft: Document,
  stayId: Id,
  { members }: Pick<ModelContainer, 'members'>,
  amount: number,
): void {
  const rig = draft.rigs.find(({ id }) => id === stayOf(draft, stayId).rig)!
  const { heater } = rig
  const heated = heater?.counted && members.includes(heater.supply) ? heater.volume.value : 0
  const tanks = rig.containers.filter(({ id }) => members.includes(id))
  const total = tanks.reduce((sum, { capacity }) => sum + capacity.value, 0)
  for (const { id, capacity } of tanks)
    setLevel(draft, stayId, id, (Math.max(0, amount - heated) * capacity.value) / total)
}

/** Moves the start and keeps the number of nights. */
export function setStart(draft: Document, stayId: Id, start: string): void {
  const stay = stayOf(draft, stayId)
  const nights = nightsBetween(stay.start, stay.leaveAt)
  stay.leaveAt = leaveAfterNights(start, stay.leaveAt, nights)
  stay.start = start
}

/** The stay begins now and ends when it was to end; where that is past, it keeps its nights. What is counted is so from now on. */
export function startNow(draft: Document, stayId: Id, now: string): void {
  const stay = stayOf(draft, stayId)
  const before = stay.start
  if (stay.leaveAt <= now) setStart(draft, stayId, now)
  stay.start = now
  for (const stretch of stay.counted) if (stretch.from === before) stretch.from = now
}

/** Counts an activity from now on, or expects it again; what was counted before stays so. */
export function setCounted(draft: Document, stayId: Id, activity: Id, isCounted: boolean, now: string): void {
  const stay = stayOf(draft, stayId)
  const at = now < stay.start ? stay.start : now
  const open = stay.counted.find((one) => one.activity === activity && one.until === null)
  if (isCounted && !open) stay.counted.push({ activity, from: at, until: null })
  if (isCounted || !open) return
  open.until = at
  stay.counted = stay.counted.filter((one) => one.until === null || one.until > one.from)
}

export function setNights(draft: Document, stayId: Id, nights: number): void {
  const stay = stayOf(draft, stayId)
  stay.leaveAt = leaveAfterNights(stay.start, stay.leaveAt, nights)
}

/** The warmest of one day, °C; a day like the usual one is not kept apart. */
export function setWarmest(draft: Document, stayId: Id, day: number, celsius: number): void {
  const { weather } = stayOf(draft, stayId)
  weather.days = weather.days.filter((entry) => entry.day !== day)
  if (celsius !== weather.usual.value) weather.days.push({ day, warmest: owned(celsius) })
}

/** What was learned becomes the crew's own numbers. */
export function takeOver(draft: Document, crewId: Id, taken: ReadonlyMap<Id, TakenOver>): void {
  for (const activity of crewOf(draft, crewId).activities) {
    const learned = taken.get(activity.id)
    if (learned) activity.learned = { ...learned }
  }
}

export function addPerson(draft: Document, crewId: Id, id: Id, name: string): void {
  crewOf(draft, crewId).persons.push({ id, name, rates: [] })
}

/** Takes a person out of the crew and out of every stay's absences. */
export function removePerson(draft: Document, crewId: Id, personId: Id): void {
  const crew = crewOf(draft, crewId)
  crew.persons = crew.persons.filter(({ id }) => id !== personId)
  for (const stay of draft.stays) if (stay.crew === crewId) dropStrangers(stay, crew)
}

/** What a stay says of people who are not in its crew goes; a habit that only they took part in is everyone's. */
export function dropStrangers(stay: Stay, { persons, activities }: Crew): void {
  stay.counted = stay.counted.filter(({ activity }) => activities.some(({ id }) => id === activity))
  const isThere = (person: Id) => persons.some(({ id }) => id === person)
  stay.absences = stay.absences.filter(({ person }) => isThere(person))
  stay.guests = stay.guests.filter(({ person }) => isThere(person))
  for (const on of stay.habits) {
    const left = on.persons?.filter(isThere) ?? []
    on.persons = left.length === 0 ? null : left
  }
}

/** @param rate uses per day; null: the activity's own rate again */
export function setOwnRate(
  draft: Document,
  crewId: Id,
  personId: Id,
  activityId: Id,
  rate: number | null,
): void {
  const person = crewOf(draft, crewId).persons.find(({ id }) => id === personId)!
  person.rates = person.rates.filter(({ activity }) => activity !== activityId)
  if (rate !== null) person.rates.push({ activity: activityId, rate: owned(rate) })
}

/** Removes an activity with the rates and the habits' effects that name it. */
export function removeActivity(draft: Document, crewId: Id, activityId: Id): void {
  const crew = crewOf(draft, crewId)
  crew.activities = crew.activities.filter(({ id }) => id !== activityId)
  for (const stay of draft.stays)
    if (stay.crew === crewId) stay.counted = stay.counted.filter(({ activity }) => activity !== activityId)
  for (const person of crew.persons)
    person.rates = person.rates.filter(({ activity }) => activity !== activityId)
  const elsewhere = draft.crews.some(({ activities }) => activities.some(({ id }) => id === activityId))
  if (elsewhere) return
  for (const habit of draft.habits)
    habit.effects = habit.effects.filter(({ activity }) => activity !== activityId)
}

/** Somebody away in one part of one day, or there after all: an absence that repeats is parted around that day. */
export function setAbsence(
  draft: Document,
  stayId: Id,
  person: Id,
  day: number,
  part: Part,
  away: boolean,
): void {
  const stay = stayOf(draft, stayId)
  const isAway = (entry: Absence) =>
    entry.person === person && entry.part === part && isAwayOn(entry, stay, day)
  stay.absences = stay.absences.flatMap((entry) => (isAway(entry) ? around(entry, day) : [entry]))
  if (away) stay.absences.push({ person, part, days: [day, day], weekdays: null })
}

function around({ days: [from, to], ...absence }: Absence, day: number): Absence[] {
  const before: Absence[] = from < day ? [{ ...absence, days: [from, day - 1] }] : []
  const after: Absence[] = to > day ? [{ ...absence, days: [day + 1, to] }] : []
  return [...before, ...after]
}

/** An absence that repeats: in the parts given, each day or on some weekdays, as long as the stay may last. */
export function addAbsences(
  draft: Document,
  stayId: Id,
  person: Id,
  parts: readonly Part[],
  weekdays: readonly number[] | null,
): void {
  const stay = stayOf(draft, stayId)
  const isSame = (entry: Absence) => entry.person === person && parts.includes(entry.part)
  stay.absences = stay.absences.filter((entry) => !isSame(entry) || entry.days[0] === entry.days[1])
  for (const part of parts)
    stay.absences.push({
      person,
      part,
      days: [0, LAST_DAY],
      weekdays: weekdays && [...weekdays].sort((a, b) => a - b),
    })
}

/** Days that somebody of the crew is there, and no others. @param days null: all of them */
export function setGuest(draft: Document, stayId: Id, person: Id, days: [number, number] | null): void {
  const stay = stayOf(draft, stayId)
  stay.guests = stay.guests.filter((guest) => guest.person !== person)
  if (days) stay.guests.push({ person, days })
}

/**
 * The four parts' weights with one of them set; the others keep their proportions and take the rest.
 * @param share 0 to 1
 */
export function withWeight(
  weights: readonly number[],
  part: number,
  share: number,
): [number, number, number, number] {
  const others = weights.reduce((sum, weight, i) => (i === part ? sum : sum + weight), 0)
  const rest = 1 - share
  const next = weights.map((weight, i) => {
    if (i === part) return share
    return others > 0 ? (weight / others) * rest : rest / (weights.length - 1)
  })
  return next as [number, number, number, number]
}
