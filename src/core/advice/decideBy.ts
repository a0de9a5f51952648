import { addWallDays, slotOfTime, wallMinutes, wallTimeAt, type WallTime } from '../calendar'
import { serves, trimmedTo, usualRuns, type UsualErrand, type UsualRun } from '../errands'
import { MOVING_KINDS, type Id, type OpenSpan, type Place, type Run, type StayCase } from '../domain'
import { goesOut, latestFit, placesFor, wayTo } from '../places'
import type { Days } from '../quantities'
import { feeOf, worth } from '../schedule'
import { whole, type Steps } from '../slices'

/** The last moment to take a way, and the opening it falls into. */
export interface LastMoment {
  /** The last moment to leave for it. */
  leaveBy: WallTime
  /** Then the service begins. */
  at: WallTime
  /** Null: it needs none, or the hours are not known. */
  span: OpenSpan | null
}

/** One way to serve a container: an errand, and where it goes. */
export interface DecideOffer extends LastMoment {
  usual: UsualRun
  /** What it does there: all of the errand, or where the place does not take that, what is for the container alone. */
  run: Run
  /** Null: it goes nowhere, or no place is known for it. */
  place: Place | null
  /** False: the hours are not known, or it is open only perhaps. */
  isSure: boolean
  /** A later moment at which it is open only perhaps, beside the sure one; null: there is none. */
  perhaps: LastMoment | null
  /** km one way; null: not known. */
  kilometres: number | null
  /** By the owner's weights, in the owner's money. */
  cost: number
}

/** How long a container can wait (model.md section 7, decide by). */
export interface DecideBy {
  container: Id
  /** When nine trips in ten have it still within its limit; null: not within what was counted. */
  by: WallTime | null
  /** `before`: it lasts until the stay is left. `wait`: `errands[0]` is the preferred one. `too-late`: none is left. */
  state: 'before' | 'wait' | 'too-late'
  /** The preferred way, then those with a later last moment, the next to be taken first; the last of them goes last. */
  offers: DecideOffer[]
  /** Where some errands are sure: others that are only perhaps, in the same order, beside them. */
  perhaps: DecideOffer[]
}

export interface DecideRequest {
  stayCase: StayCase
  /** Each container's 10 % quantile with the runs that are set, days from `from`; infinite: beyond. */
  containers: readonly { id: Id; members: readonly Id[]; days: Days }[]
  /** The joint 10 % quantile, what can be planned on; of the container that binds first it is the limit. */
  joint: Days
  /** From where the days are counted: now, or the start of the stay. */
  from: WallTime
}

/** For each container that has a limit, how long it can wait and what remains after that. */
export const decideBy = (request: DecideRequest): DecideBy[] => whole(decideSteps(request))

/** The same, a container at a time. */
export function* decideSteps(request: DecideRequest): Steps<DecideBy[]> {
  const { containers, joint } = request
  const errands = usualRuns(request.stayCase).filter(({ when }) => when === null)
  const first = Math.min(...containers.map(({ days }) => days))
  const answers: DecideBy[] = []
  for (const container of containers) {
    yield answers.length / containers.length
    // No last moment lies after what can be planned on.
    const days = container.days === first ? Math.min(first, joint) : container.days
    answers.push(answerFor({ ...container, days }, errands, request))
  }
  return answers
}

function answerFor(
  { id, members, days }: DecideRequest['containers'][number],
  errands: readonly UsualErrand[],
  { stayCase, from }: DecideRequest,
): DecideBy {
  const by = Number.isFinite(days) ? floorOf(from, days) : null
  const none = { container: id, by, offers: [], perhaps: [] }
  if (by === null || by >= stayCase.stay.leaveAt) return { ...none, state: 'before' }
  const serving = errands.filter((errand) => serves(errand, members, stayCase))
  const all = serving.flatMap((errand) => offersOf(stayCase, errand, members, by, from))
  const sure = all.filter(({ isSure }) => isSure)
  const others = all.filter(({ isSure }) => !isSure)
  const offers = inTurn(sure.length > 0 ? sure : others)
  if (offers.length === 0) return { ...none, state: 'too-late' }
  return { ...none, state: 'wait', offers, perhaps: sure.length > 0 ? inTurn(others) : [] }
}

/** To the whole minute before. */
function floorOf(from: WallTime, days: Days): WallTime {
  return wallTimeAt(Math.floor(wallMinutes(from) + days * 24 * 60 + 1e-6))
}

const QUARTER_MIN = 15

/** A last moment as it is said: down to the quarter hour, and not before it is asked for. */
export function toQuarter(moment: WallTime, from: WallTime): WallTime {
  const floored = wallTimeAt(Math.floor(wallMinutes(moment) / QUARTER_MIN) * QUARTER_MIN)
  return floored < from ? from : floored
}

/** Least cost first; after it, of those that can be taken later, again the least cost, and so on. */
function inTurn(offers: readonly DecideOffer[]): DecideOffer[] {
  const turn: DecideOffer[] = []
  let left = [...offers]
  while (left.length > 0) {
    const best = left.reduce((a, b) => (isBetter(b, a) ? b : a))
    turn.push(best)
    left = left.filter(({ leaveBy }) => leaveBy > best.leaveBy)
  }
  return turn
}

/** The cheaper; of two that cost the same the one that serves more, then the one that can wait longer. */
function isBetter(a: DecideOffer, b: DecideOffer): boolean {
  if (Math.abs(a.cost - b.cost) > 1e-9) return a.cost < b.cost
  if (a.run.steps.length !== b.run.steps.length) return a.run.steps.length > b.run.steps.length
  return a.leaveBy > b.leaveBy
}

/** To each place that takes all of the errand with all of it; to the others that take what is for the container with that. */
function offersOf(
  stayCase: StayCase,
  errand: UsualErrand,
  members: readonly Id[],
  by: WallTime,
  from: WallTime,
): DecideOffer[] {
  const { stay } = stayCase
  const asRun = ({ kind, steps, minutes, kilometres, fee, bother }: UsualErrand): Run => ({
    kind,
    steps,
    minutes,
    kilometres,
    fee,
    bother,
    id: 'way',
    name: '',
    place: null,
    ...slotOfTime(stay.start, from),
  })
  const [all, own] = [asRun(errand), asRun(trimmedTo(errand, members))]
  const takesAll = placesFor(stayCase, all)
  const takesOwn = placesFor(stayCase, own).filter(({ id }) => !takesAll.some((one) => one.id === id))
  // Where no place is recorded at all it goes somewhere; where some are and none takes it, it goes nowhere.
  const isVague = !goesOut(stayCase, all) || (stay.places.length === 0 && all.kind !== 'go-home')
  const some = takesAll.length + takesOwn.length > 0
  const goes: [Run, Place | null][] = [
    ...takesAll.map((place): [Run, Place] => [all, place]),
    ...takesOwn.map((place): [Run, Place] => [own, place]),
    ...(!some && isVague ? [[all, null] as [Run, null]] : []),
  ]
  return goes.flatMap(([run, place]) => wayOf(stayCase, errand.usual, run, place, by, from) ?? [])
}

const ALWAYS = { note: null, isSure: true }

/** The way of one errand to one place, at its last moment over all openings; null: it can no longer be taken. */
function wayOf(
  stayCase: StayCase,
  usual: UsualRun,
  run: Run,
  place: Place | null,
  by: WallTime,
  from: WallTime,
): DecideOffer | null {
  const { stay, rig, crew, hours } = stayCase
  const { kind, minutes, kilometres, bother } = run
  const leg = place && wayTo({ stay, crew }, place.id)
  const packing = MOVING_KINDS.includes(kind) && place ? crew.road.packing.value : 0
  const queue = place?.queue.value ?? 0
  const lead = Math.ceil(packing + queue + (leg?.minutes ?? 0))
  // What goes nowhere takes all its time before the limit is met.
  const service = Math.ceil(place ? crew.road.service.value : minutes.value)
  const times = place ? hours?.get(place.id) : undefined
  const earliest = wallTimeAt(wallMinutes(from) + lead)
  const spans = times?.spans ?? [{ from, until: addWallDays(by, 2), ...ALWAYS }]
  const limit = place ? by : wallTimeAt(wallMinutes(by) - service)
  const lastIn = (some: readonly OpenSpan[]): LastMoment | null => {
    const fits = some.flatMap((span) => latestFit(span, service, earliest, limit) ?? [])
    const last = fits.reduce<(typeof fits)[0] | null>((a, b) => (a && a.at >= b.at ? a : b), null)
    return (
      last && {
        leaveBy: wallTimeAt(wallMinutes(last.at) - lead),
        at: last.at,
        span: times ? last.span : null,
      }
    )
  }
  // An opening that is only perhaps never hides one that is sure.
  const sure = lastIn(spans.filter(({ isSure }) => isSure))
  const unsure = lastIn(spans.filter(({ isSure }) => !isSure))
  const moment = sure ?? unsure
  if (!moment) return null
  const taken = {
    money: feeOf(stay, rig, { ...run, place: place?.id ?? null }) ?? 0,
    minutes: leg ? 2 * leg.minutes + packing + queue + service : minutes.value,
    kilometres: leg ? 2 * leg.kilometres : kilometres.value,
    carriedL: 0,
    bother: bother.value,
  }
  return {
    ...moment,
    usual,
    run: { ...run, place: place?.id ?? null },
    place,
    isSure: place === null || (times !== undefined && sure !== null),
    perhaps: sure && unsure && unsure.leaveBy > sure.leaveBy ? unsure : null,
    kilometres: leg?.kilometres ?? null,
    cost: worth(crew, taken),
  }
}
