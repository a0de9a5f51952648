import {
  nightsBetween,
  slotAt,
  slotBegins,
  slotNumber,
  slotOfTime,
  wallDaysBetween,
  type Part,
  type Slot,
} from '../calendar'
import type { Id, Run, StayCase } from '../domain'
import { canBeDone, goesOut, isOutside, type Possible } from '../places'
import type { Days } from '../quantities'
import { countsOn, heldOn, untilLeft, type Held, type TripOptions } from '../risk'
import { nearestSlotSteps, tryRun, withRun, type RunAnswer } from '../schedule'
import { slotOf, type UsualErrand } from './catalog'
import { atPlaces } from './makeErrand'

/** A run where it helps most, with what the trips of the stay say of it. */
export interface Placed {
  run: Run
  answer: RunAnswer
  held: Held
}

/** When nobody drives or lets anything go, but where no other part of the day works. */
const AT_NIGHT: Part = 'night'
/** What comes within this of the best is as good: then the later one, since less is left to chance after it. Source: model.md section 7. */
const AS_GOOD_D: Days = 1 / 20
/** Trips of a first look at every part, and by how much that may mislead, days. */
const COARSE = 200
const DOUBT_D: Days = 0.2
/** Parts that are looked at closely. */
const CLOSELY = 6

/** What a case is without the run that is to be put. */
export interface Ground {
  stayCase: StayCase
  /** Days to plan on, from where the case begins. */
  planOn: Days
  held: Held
}

export function groundOf(stayCase: StayCase, options: TripOptions): Ground {
  const { planOn, isBeyond, held, chance } = countsOn(stayCase, untilLeft(stayCase) + 1, options)
  return { stayCase, planOn: isBeyond ? Infinity : planOn, held: { held, chance } }
}

/**
 * Where an errand helps most (model.md section 7): in its own part of the calendar; else among the parts in which it can be
 * done and that end before what can be planned on (all where none does) the one with the most expected days held, with the runs
 * that are set already; of those within a twentieth of a day those that are sure to be open before the others, and then the latest.
 * @returns null where it can be done in no part
 */
export function* placedSteps(
  ground: Ground,
  errand: Run & Pick<UsualErrand, 'when'>,
  options: TripOptions,
): Generator<undefined, Placed | null> {
  const { stayCase } = ground
  const { when, ...run } = errand
  const own = slotOf({ when }, stayCase.stay)
  if (own) return finished(stayCase, { ...run, ...own }, options)
  if (run.kind === 'errand') return finished(stayCase, { ...run, ...inTownSlot(stayCase, run) }, options)
  const candidates = possibleSlots(stayCase, run)
  const inTime = candidates.filter(({ run: one }) => endsBy(stayCase, one, ground.planOn))
  let left = yield* ranked(stayCase, inTime.length > 0 ? inTime : candidates, options)
  while (left.length > 0) {
    const best = chosen(left)
    const placed = finished(stayCase, best.run, options)
    if (placed) return placed
    // On the levels it meets it would move nothing.
    left = left.filter((one) => one !== best)
    yield
  }
  return null
}

interface Candidate {
  run: Run
  possible: Possible
}
interface Ranked extends Candidate {
  held: Days
}

/** The parts in which it can be done at the nearest place where it can be done at all, by day before at night. */
function possibleSlots(stayCase: StayCase, run: Run): Candidate[] {
  const slots = slotsOf(stayCase, run)
  const out = goesOut(stayCase, run)
  for (const isNight of out ? [false, true] : [null])
    for (const at of atPlaces(stayCase, run)) {
      const possible = slots
        .filter(({ part }) => isNight === null || (part === AT_NIGHT) === isNight)
        .map((slot) => ({ ...at, ...slot }))
        .map((one): Candidate => ({ run: one, possible: canBeDone(stayCase, one) }))
        .filter((one) => one.possible.kind !== 'not-possible')
      if (possible.length > 0) return possible
    }
  return []
}

/** Parts that have not begun, up to the last that begins before the stay is left. */
function slotsOf({ stay, now }: StayCase, run: Run): Slot[] {
  const first = slotNumber(slotOfTime(stay.start, now?.at ?? stay.start)) + (now ? 1 : 0)
  const last = slotNumber(slotOfTime(stay.start, stay.leaveAt))
  const slots = Array.from({ length: Math.max(0, last - first + 1) }, (_, k) => slotAt(first + k))
  return slots.filter(
    (slot) => !isOutside({ stay }, slot, run.kind) && slotBegins(stay.start, slot) < stay.leaveAt,
  )
}

/** Whether the part of a run ends within so many days from where the case begins. */
function endsBy({ stay, now }: StayCase, run: Run, days: Days): boolean {
  const end = slotBegins(stay.start, slotAt(slotNumber(run) + 1))
  return wallDaysBetween(now?.at ?? stay.start, end) <= days + 1e-9
}

/** Expected days held with it in each part: a quick look at all, a close one at the best. */
function* ranked(
  stayCase: StayCase,
  candidates: readonly Candidate[],
  options: TripOptions,
): Generator<undefined, Ranked[]> {
  const look = function* (some: readonly Candidate[], trials: number): Generator<undefined, Ranked[]> {
    const found: Ranked[] = []
    for (const one of some) {
      found.push({ ...one, held: heldOn(withRun(stayCase, one.run), { ...options, trials }).held })
      yield
    }
    return found
  }
  const quick = yield* look(candidates, Math.min(COARSE, options.trials))
  const best = Math.max(...quick.map(({ held }) => held))
  const close = quick.filter(({ held }) => held >= best - DOUBT_D).slice(-CLOSELY)
  return yield* look(close, options.trials)
}

function chosen(candidates: readonly Ranked[]): Ranked {
  const best = Math.max(...candidates.map(({ held }) => held))
  const good = candidates.filter(({ held }) => held >= best - AS_GOOD_D)
  const sure = good.filter(({ possible: { visit } }) => visit.kind !== 'fits' || visit.fit.span.isSure)
  return (sure.length > 0 ? sure : good).reduce((a, b) => (slotNumber(b.run) >= slotNumber(a.run) ? b : a))
}

/** Null where it cannot be done there on the levels it meets. */
function finished(stayCase: StayCase, run: Run, options: TripOptions): Placed | null {
  const answer = tryRun(stayCase, run)
  if (!answer.isPossible) return null
  return { run, answer, held: heldOn(withRun(stayCase, run), options) }
}

/** Where an errand is set that can be done nowhere: what hinders it is said beside it. */
export function* setAnyway(stayCase: StayCase, run: Run): Generator<number, Slot> {
  const { stay } = stayCase
  const middle = Math.floor(nightsBetween(stay.start, stay.leaveAt) / 2)
  const asked: Slot = { day: middle, part: 'midday' }
  return (yield* nearestSlotSteps(stayCase, { ...run, ...asked })) ?? asked
}

/** When errands are run, where there is a choice. */
const BY_DAY: readonly Part[] = ['morning', 'midday']

/** What town has is fetched on the way of another run, or else halfway through. */
function inTownSlot(stayCase: StayCase, errand: Run): Slot {
  const { stay, now } = stayCase
  const first = now ? slotNumber(slotOfTime(stay.start, now.at)) + 1 : 0
  const works = (slot: Slot) => tryRun(stayCase, { ...errand, ...slot }).isPossible
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

/** Days between two of a run that is set again and again. */
const EVERY_DAYS = 3

/** The same run on every third day after it, until the stay is left. */
export function repeated(run: Run, { stay }: Pick<StayCase, 'stay'>, newId: () => Id): Run[] {
  const copies: Run[] = []
  for (let day = run.day + EVERY_DAYS; day <= nightsBetween(stay.start, stay.leaveAt); day += EVERY_DAYS)
    if (!isOutside({ stay }, { day, part: run.part })) copies.push({ ...run, id: newId(), day })
  return copies
}
