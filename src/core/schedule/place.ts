import {
  PARTS,
  addWallDays,
  nightsBetween,
  slotAt,
  slotNumber,
  slotOfTime,
  type Part,
  type Slot,
} from '../calendar'
import { count, partAt } from '../count'
import { compile } from '../compile'
import type { Id, Run, StayCase } from '../model'
import type { Days } from '../quantities'
import { whole, type Steps } from '../steps'
import { nearestSlotSteps, tryRun } from './nearest'
import { blocks, isOutside } from './troubles'
import { slotOf, type UsualErrand } from './usual'

/** When errands are run, where there is a choice. */
const BY_DAY: readonly Part[] = ['morning', 'midday']

/** A run to be set, and where on the calendar it belongs. */
type Errand = Run & Pick<UsualErrand, 'when'>

/** Days between two of a run that is set again and again. */
const EVERY_DAYS = 3

/**
 * Where an errand helps most: in its own part of the calendar, or in the last part that comes before anything it changes
 * meets its limit, and in which it can be done; else the nearest in which it can be.
 * @param spare days by which it is to come before that: what nine trips in ten want
 */
export function bestSlot(stayCase: StayCase, errand: Errand, spare: Days = 0): Slot {
  return whole(bestSlotSteps(stayCase, errand, spare))
}

/** The same in pieces: each part that is tried takes a count. */
export function* bestSlotSteps(stayCase: StayCase, errand: Errand, spare: Days = 0): Steps<Slot> {
  const { stay } = stayCase
  const own = slotOf(errand, stay)
  if (own) return own
  if (errand.kind === 'errand') return inTownSlot(stayCase, errand)
  const model = compile(stayCase)
  const { breaches } = count(model)
  const touched = new Set(errand.steps.flatMap(({ from, to }) => [from, to]))
  const limits = model.containers.flatMap(({ members }, c) => {
    const breach = breaches[c]
    return breach && members.some((id) => touched.has(id)) ? [breach.days] : []
  })
  const { grid } = model
  const zero = slotNumber({ day: grid.day[0]!, part: PARTS[grid.part[0]!]! })
  const first = stayCase.now ? 1 : 0
  const latest = limits.length === 0 ? -1 : partAt(model, Math.max(0, Math.min(...limits) - spare))
  /** By then it has to be seen to; a place may open only after it. */
  const limit = addWallDays(model.start, limits.length === 0 ? 0 : Math.max(0, Math.min(...limits) - spare))
  const works = (slot: Slot) => {
    if (isOutside(stayCase, slot)) return false
    const { troubles, visit } = tryRun(stayCase, { ...errand, ...slot })
    return !troubles.some(blocks) && (visit.kind !== 'fits' || visit.fit.at <= limit)
  }
  // By day where it can be by day.
  for (const dayParts of [BY_DAY, PARTS as readonly Part[]])
    for (let part = latest; part >= first; part--) {
      const slot = slotAt(zero + part)
      if (dayParts.includes(slot.part) && works(slot)) return slot
      yield 0.5
    }
  // Nothing it changes ever meets a limit: the midday before leaving, or what is nearest to it.
  const slot: Slot = { day: Math.max(0, nightsBetween(stay.start, stay.leaveAt) - 1), part: 'midday' }
  const asked = { ...errand, ...slot }
  if (!tryRun(stayCase, asked).troubles.some(blocks)) return slot
  const nearest = yield* nearestSlotSteps(stayCase, asked)
  return nearest ?? slot
}

/** What is to be had in town is fetched on the way of another run, or else halfway through. */
function inTownSlot(stayCase: StayCase, errand: Errand): Slot {
  const { stay, now } = stayCase
  const first = now ? slotNumber(slotOfTime(stay.start, now.at)) + 1 : 0
  const works = (slot: Slot) => !tryRun(stayCase, { ...errand, ...slot }).troubles.some(blocks)
  const along = stay.runs
    .filter((run) => run.place !== null && slotNumber(run) >= first && works(run))
    .sort((a, b) => slotNumber(a) - slotNumber(b))[0]
  if (along) return { day: along.day, part: along.part }
  const days = Array.from({ length: nightsBetween(stay.start, stay.leaveAt) + 1 }, (_, day) => day)
  const middle = (days.length - 1) / 2
  const slots = days
    .sort((a, b) => Math.abs(a - middle) - Math.abs(b - middle))
    .flatMap((day) => BY_DAY.map((part): Slot => ({ day, part })))
    .filter((slot) => slotNumber(slot) >= first)
  return slots.find(works) ?? slots[0] ?? slotAt(first)
}

/** The same run on every third day after it, until the stay is left. */
export function repeated(run: Run, { stay }: Pick<StayCase, 'stay'>, newId: () => Id): Run[] {
  const copies: Run[] = []
  for (let day = run.day + EVERY_DAYS; day <= nightsBetween(stay.start, stay.leaveAt); day += EVERY_DAYS)
    if (!isOutside({ stay }, { day, part: run.part })) copies.push({ ...run, id: newId(), day })
  return copies
}
