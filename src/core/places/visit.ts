import {
  addWallDays,
  dayZero,
  slotNumber,
  slotOfTime,
  wallMinutes,
  wallTimeAt,
  type WallTime,
} from '../calendar'
import { MOVING_KINDS, type OpenSpan, type Run, type StayCase } from '../domain'
import { earliestFit, nextOpening, type Fit } from './open'
import type { RunRoad } from './journey'

/** When a run is at its place, or why it is not. */
export type Visit =
  /** It goes nowhere, or of the place it is not known when it is open. */
  | { kind: 'unknown' }
  | { kind: 'fits'; fit: Fit; leaveAt: WallTime }
  | { kind: 'closed'; next: OpenSpan | null }

/** When each part begins, minutes after 05:00. */
const PART_MIN = 360
/** How long a road may last that is travelled before arriving, or after leaving. */
const ROAD_MIN = 360

/**
 * Whether a run's place is open when it gets there: the earliest service within the run's part, packing, road and queue
 * before it; on a shared journey after the service of the stop before. On the road it is any hour of the quarter day before
 * the arrival, or after leaving.
 * @param before the visit of the stop before it on the same journey
 */
export function visitOf(stayCase: StayCase, run: Run, road: RunRoad, before: Visit | undefined): Visit {
  const { stay, crew, hours } = stayCase
  const times = run.place === null ? undefined : hours?.get(run.place)
  const place = stay.places.find(({ id }) => id === run.place)
  if (!times || !place) return { kind: 'unknown' }
  const drive = road.leg?.minutes ?? 0
  const follows = before?.kind === 'fits' ? before : null
  const packing = MOVING_KINDS.includes(run.kind) && !follows ? crew.road.packing.value : 0
  const lead = packing + drive + place.queue.value
  const service = crew.road.service.value
  const [earliest, until] = windowOf(stay, run, lead)
  const from = follows ? later(follows.fit.at, service + lead) : earliest
  const fit = earliestFit(times, service, from, from > until ? from : until)
  if (fit) return { kind: 'fits', fit, leaveAt: wallTimeAt(Math.floor(wallMinutes(fit.at) - lead)) }
  // Of what was not read, or can be read in two ways, nobody knows that it is shut.
  const isRead = earliest >= times.from && until <= times.until
  return times.isDoubtful || !isRead
    ? { kind: 'unknown' }
    : { kind: 'closed', next: nextOpening(times, until) }
}

/** To the whole minute after. */
function later(time: WallTime, minutes: number): WallTime {
  return wallTimeAt(Math.ceil(wallMinutes(time) + minutes))
}

/** From when to when the service may begin. */
function windowOf(stay: StayCase['stay'], run: Run, lead: number): [WallTime, WallTime] {
  const [first, last] = [stay.start, stay.leaveAt].map((time) => slotNumber(slotOfTime(stay.start, time)))
  const slot = slotNumber(run)
  const begins = addWallDays(dayZero(stay.start), (slot * PART_MIN) / (24 * 60))
  if (run.kind === 'on-the-road' && slot <= first!) return [later(stay.start, -ROAD_MIN), stay.start]
  if (slot === last!) return [later(stay.leaveAt, lead), later(stay.leaveAt, lead + ROAD_MIN)]
  // A part that has begun, or into which the arrival falls, leaves what is left of it.
  const starts = slot === first! && stay.start > begins ? stay.start : begins
  const ends = later(begins, PART_MIN - 1)
  const earliest = later(starts, lead)
  // What is too far to be reached within the part is reached after it.
  return [earliest, earliest > ends ? earliest : ends]
}
