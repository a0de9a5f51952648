import { addWallDays, slotOfTime, wallMinutes, wallTimeAt, type WallTime } from '../calendar'
import { MOVING_KINDS, type Id, type OpenSpan, type Place, type Run, type StayCase } from '../model'
import { goesOut, latestFit, placesFor, wayTo } from '../places'
import type { Days } from '../quantities'
import { usualRuns, worth, type UsualErrand, type UsualRun } from '../schedule'
import { whole, type Steps } from '../steps'

/** One way to serve a container: an errand, and where it goes. */
export interface DecideWay {
  usual: UsualRun
  /** Null: it goes nowhere, or no place is known for it. */
  place: Place | null
  /** The last moment to leave for it. */
  leaveBy: WallTime
  /** Then the service begins. */
  at: WallTime
  /** The opening it falls into; null: it needs none, or the hours are not known. */
  span: OpenSpan | null
  /** False: the hours are not known, or it is open only perhaps. */
  isSure: boolean
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
  /** `before`: it lasts until the stay is left. `wait`: `ways[0]` is the preferred one. `too-late`: none is left. */
  state: 'before' | 'wait' | 'too-late'
  /** The preferred way, then those with a later last moment, the next to be taken first; the last of them goes last. */
  ways: DecideWay[]
}

export interface DecideRequest {
  stayCase: StayCase
  /** Each container's 10 % quantile, days from `from`; infinite: beyond. In the order of `containers`. */
  containers: readonly { id: Id; members: readonly Id[]; days: Days }[]
  /** From where the days are counted: now, or the start of the stay. */
  from: WallTime
}

/** For each container that has a limit, how long it can wait and what remains after that. */
export const decideBy = (request: DecideRequest): DecideBy[] => whole(decideSteps(request))

/** The same, a container at a time. */
export function* decideSteps(request: DecideRequest): Steps<DecideBy[]> {
  const { containers } = request
  const errands = usualRuns(request.stayCase).filter(({ when }) => when === null)
  const answers: DecideBy[] = []
  for (const container of containers) {
    yield answers.length / containers.length
    answers.push(answerFor(container, errands, request))
  }
  return answers
}

function answerFor(
  { id, members, days }: DecideRequest['containers'][number],
  errands: readonly UsualErrand[],
  { stayCase, from }: DecideRequest,
): DecideBy {
  const by = Number.isFinite(days) ? floorOf(from, days) : null
  if (by === null || by >= stayCase.stay.leaveAt) return { container: id, by, state: 'before', ways: [] }
  const serving = errands.filter((errand) => serves(errand, members, stayCase))
  const ways = serving.flatMap((errand) => waysOf(stayCase, errand, by, from))
  if (ways.length === 0) return { container: id, by, state: 'too-late', ways: [] }
  return { container: id, by, state: 'wait', ways: inTurn(ways) }
}

/** To the whole minute before. */
function floorOf(from: WallTime, days: Days): WallTime {
  return wallTimeAt(Math.floor(wallMinutes(from) + days * 24 * 60 + 1e-6))
}

/** Least cost first; after it, of those that can be taken later, again the least cost, and so on. */
function inTurn(ways: readonly DecideWay[]): DecideWay[] {
  const turn: DecideWay[] = []
  let left = [...ways]
  while (left.length > 0) {
    const best = left.reduce((a, b) => (isBetter(b, a) ? b : a))
    turn.push(best)
    left = left.filter(({ leaveBy }) => leaveBy > best.leaveBy)
  }
  return turn
}

/** The cheaper; of two that cost the same the surer, then the one that can wait longer. */
function isBetter(a: DecideWay, b: DecideWay): boolean {
  if (Math.abs(a.cost - b.cost) > 1e-9) return a.cost < b.cost
  if (a.isSure !== b.isSure) return a.isSure
  return a.leaveBy > b.leaveBy
}

/** Whether an errand takes something out of a waste tank and away, or fetches something for a supply. */
function serves({ steps }: UsualErrand, members: readonly Id[], { rig }: StayCase): boolean {
  const isSupply = rig.containers.some((one) => members.includes(one.id) && 'reserve' in one)
  return steps.some(({ do: does, from, to }) => {
    if (isSupply) return to !== null && members.includes(to) && (does === 'fill' || does === 'jugs')
    const leaves = to === null || does === 'loads'
    return leaves && from !== null && members.includes(from)
  })
}

function waysOf(stayCase: StayCase, errand: UsualErrand, by: WallTime, from: WallTime): DecideWay[] {
  const { stay } = stayCase
  const run: Run = { ...errand, id: 'way', name: '', place: null, ...slotOfTime(stay.start, from) }
  const places = placesFor(stayCase, run)
  // Where no place is recorded at all it goes somewhere; where some are and none takes it, it goes nowhere.
  const isVague = !goesOut(stayCase, run) || (stay.places.length === 0 && run.kind !== 'go-home')
  const goes = places.length > 0 ? places : isVague ? [null] : []
  return goes.flatMap((place) => wayOf(stayCase, errand, place, by, from) ?? [])
}

const ALWAYS = { note: null, isSure: true }

/** The way of one errand to one place, at its last moment over all openings; null: it can no longer be taken. */
function wayOf(
  stayCase: StayCase,
  { usual, kind, minutes, kilometres, fee, bother }: UsualErrand,
  place: Place | null,
  by: WallTime,
  from: WallTime,
): DecideWay | null {
  const { stay, crew, hours } = stayCase
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
  const fits = spans.flatMap((span) => latestFit(span, service, earliest, limit) ?? [])
  const last = fits.reduce<(typeof fits)[0] | null>((a, b) => (a && a.at >= b.at ? a : b), null)
  if (!last) return null
  const road = leg ? 2 * leg.kilometres : kilometres.value
  const taken = {
    money: place?.fee?.value ?? fee.value,
    minutes: leg ? 2 * leg.minutes + packing + queue + service : minutes.value,
    kilometres: road,
    carriedL: 0,
    bother: bother.value,
  }
  return {
    usual,
    place,
    leaveBy: wallTimeAt(wallMinutes(last.at) - lead),
    at: last.at,
    span: times ? last.span : null,
    isSure: place === null || (times !== undefined && last.span.isSure),
    kilometres: leg?.kilometres ?? null,
    cost: worth(crew, taken),
  }
}
