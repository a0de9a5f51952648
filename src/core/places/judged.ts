import { slotNumber, slotOfTime, type Slot } from '../calendar'
import {
  stepBlocked,
  type Blocked,
  type Id,
  type OpenSpan,
  type Run,
  type RunKind,
  type StayCase,
} from '../domain'
import { refusalsOf, refuses, type Refusal } from './refusals'
import { roadOf, stopOf, type RunRoad, type Stop } from './journey'
import { visitOf, type Visit } from './visit'

/** Why a run is known not to be possible as it is set, whatever the levels are (model.md section 7). */
export type Hindrance =
  | { kind: 'outside' }
  | { kind: 'blocked'; step: number; why: Blocked }
  | { kind: 'refused'; why: Refusal }
  | { kind: 'closed'; next: OpenSpan | null }

/** A run with its road, when it is at its place, and what hinders it. */
export interface JudgedRun {
  road: RunRoad
  visit: Visit
  /** Empty: nothing that is known speaks against it. What is not known warns, and is no hindrance. */
  hindrances: Hindrance[]
}

/**
 * The one rule of what can be done: every run of the stay with what is known against it. A run that cannot be done counts for
 * nothing: it takes no road, and the other runs of its part of the day leave without it.
 * @param idle runs that would move nothing on the levels they meet; they take no road either
 */
export function judgedRuns(stayCase: StayCase, idle: ReadonlySet<Id> = new Set()): Map<Id, JudgedRun> {
  const judged = new Map<Id, JudgedRun>()
  const journeys = new Map<number, { stop: Stop; run: Id; visit: Visit }[]>()
  for (const run of stayCase.stay.runs) {
    const at = slotNumber(run)
    const before = journeys.get(at) ?? []
    const stop = stopOf(stayCase, run)
    const road = roadOf(
      stayCase,
      run,
      stop,
      before.map((one) => ({ run: one.run, stop: one.stop })),
    )
    const last = road.sharesWith.length > 0 ? before.at(-1)?.visit : undefined
    const visit = visitOf(stayCase, run, road, last)
    const hindrances = hindrancesOf(stayCase, run, visit)
    judged.set(run.id, { road, visit, hindrances })
    if (stop && hindrances.length === 0 && !idle.has(run.id))
      journeys.set(at, [...before, { stop, run: run.id, visit }])
  }
  return judged
}

function hindrancesOf(stayCase: StayCase, run: Run, visit: Visit): Hindrance[] {
  const { stay, rig } = stayCase
  const place = stay.places.find(({ id }) => id === run.place) ?? null
  const blocked = run.steps.flatMap((step, at): Hindrance[] => {
    const why = stepBlocked(step, run, rig, place)
    return why && isOfRun(why) ? [{ kind: 'blocked', step: at, why }] : []
  })
  const refused = place ? refusalsOf(stayCase, run, place).filter(refuses) : []
  return [
    ...(isOutside(stayCase, run, run.kind) ? [{ kind: 'outside' as const }] : []),
    ...blocked,
    ...refused.map((why): Hindrance => ({ kind: 'refused', why })),
    ...(visit.kind === 'closed' ? [{ kind: 'closed' as const, next: visit.next }] : []),
  ]
}

/** What the place refuses, or nobody can do, is of the whole run; tanks that do not meet leave one step undone. */
const OF_ONE_STEP: readonly Blocked['why'][] = ['no-shared-outlet', 'no-end-valve', 'joined', 'not-measured']
function isOfRun({ why }: Blocked): boolean {
  return !OF_ONE_STEP.includes(why)
}

/** Kinds that may be done on the road, after the stay is left. */
const ROAD_KINDS: readonly RunKind[] = ['on-the-road', 'go-home']

/** Before the arrival, or after the part in which the stay is left; what is done on the road may come later. */
export function isOutside(
  { stay }: Pick<StayCase, 'stay'>,
  slot: Slot,
  kind: RunKind | null = null,
): boolean {
  const [first, last] = [stay.start, stay.leaveAt].map((time) => slotNumber(slotOfTime(stay.start, time)))
  const isAfter = slotNumber(slot) > last! && !(kind !== null && ROAD_KINDS.includes(kind))
  return slotNumber(slot) < first! || isAfter
}

/** What is known of a run at a time and place: it can be done, it is not known, or it is known not to be. */
export type Possible =
  | { kind: 'possible'; visit: Visit }
  | { kind: 'not-known'; visit: Visit }
  | { kind: 'not-possible'; visit: Visit; why: Hindrance[] }

/** Whether a run can be done as it is given, set or not: the rule of `judgedRuns`, asked of one. */
export function canBeDone(stayCase: StayCase, run: Run): Possible {
  const { stay } = stayCase
  const isSet = stay.runs.some(({ id }) => id === run.id)
  const runs = isSet ? stay.runs.map((one) => (one.id === run.id ? run : one)) : [...stay.runs, run]
  const { visit, hindrances } = judgedRuns({ ...stayCase, stay: { ...stay, runs } }).get(run.id)!
  if (hindrances.length > 0) return { kind: 'not-possible', visit, why: hindrances }
  const place = stay.places.find(({ id }) => id === run.place)
  const isVague =
    place !== undefined && run.steps.length > 0 && (place.accepts === null || place.water === 'unknown')
  const isSure = visit.kind === 'fits' && visit.fit.span.isSure && !isVague
  return { kind: isSure ? 'possible' : 'not-known', visit }
}
