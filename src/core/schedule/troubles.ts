import { BREACH_TOLERANCE, levelBefore, type Count } from '../count'
import type { Model } from '../compile'
import {
  MOVING_KINDS,
  found,
  stepBlocked,
  type Blocked,
  type Id,
  type OpenSpan,
  type Place,
  type Run,
  type RunStep,
  type StayCase,
} from '../domain'
import type { Amount, Days, Kilograms, Share } from '../quantities'
import { refusalsOf, refuses, type Hindrance, type Refusal, type Visit } from '../places'
import { partOfRun, type Lifted, type StepAnswer } from './stepAnswer'

/**
 * Something about a run that its owner should know. Those that `blocks` say why it counts for nothing; the others warn.
 * `isWhole`: the whole run falls by it, and not one step alone.
 */
export type Trouble =
  | { kind: 'blocked'; step: number; why: Blocked; isWhole: boolean }
  | { kind: 'nothing-to-take'; step: number; container: Id }
  | { kind: 'no-room'; step: number; container: Id; undone: Amount }
  | { kind: 'payload'; step: number; container: Id; undone: Amount }
  | { kind: 'less-by-payload'; step: number; container: Id; undone: Amount }
  | { kind: 'heavy'; step: number; container: Id; kg: Kilograms; limit: Kilograms }
  | { kind: 'too-heavy'; step: number; container: Id; kg: Kilograms; limit: Kilograms }
  | { kind: 'not-deeper'; step: number; container: Id }
  | { kind: 'outside' }
  | { kind: 'past' }
  | { kind: 'too-late'; container: Id; days: Days }
  | { kind: 'over-payload'; kg: Kilograms }
  | { kind: 'short-of'; step: number; container: Id; undone: Amount }
  | { kind: 'room-for'; step: number; container: Id; undone: Amount }
  | { kind: 'under-threshold'; container: Id; share: Share; threshold: Share }
  | { kind: 'place-unknown' }
  | { kind: 'quiet' }
  | { kind: 'closed'; next: OpenSpan | null }
  | { kind: 'hours-unknown' }
  | { kind: 'perhaps-open'; note: string | null }
  | { kind: 'refused'; why: Refusal }

const BLOCKING: readonly Trouble['kind'][] = [
  'nothing-to-take', 'no-room', 'payload', 'not-deeper', 'outside', 'closed',
] // prettier-ignore

export function blocks(trouble: Trouble): boolean {
  if (trouble.kind === 'refused') return refuses(trouble.why)
  return trouble.kind === 'blocked' ? trouble.isWhole : BLOCKING.includes(trouble.kind)
}

/** What another place may help, and no other hour. */
export function isOfPlace(trouble: Trouble): boolean {
  return trouble.kind === 'blocked' || (trouble.kind === 'refused' && refuses(trouble.why))
}

/** What was judged of a run before anything is said of it. */
export interface Judged {
  visit: Visit
  hindrances: readonly Hindrance[]
  /** It would move nothing on the levels it meets. */
  isIdle: boolean
}

/** All there is to say of a run. */
export function troublesOf(
  stayCase: StayCase,
  model: Model,
  counted: Count,
  run: Run,
  steps: readonly StepAnswer[],
  lifted: readonly Lifted[],
  { visit, hindrances, isIdle }: Judged,
): Trouble[] {
  const { stay, rig, crew } = stayCase
  const place = stay.places.find(({ id }) => id === run.place) ?? null
  const whys = run.steps.map((step) => stepBlocked(step, run, rig, place))
  const isHindered = (step: number) => hindrances.some((one) => one.kind === 'blocked' && one.step === step)
  const blocked = whys.flatMap((why, step): Trouble[] =>
    why ? [{ kind: 'blocked', step, why, isWhole: isIdle || isHindered(step) }] : [],
  )
  if (hindrances.some(({ kind }) => kind === 'outside')) return [{ kind: 'outside' }, ...blocked]
  if (hindrances.length > 0) return [...blocked, ...(place ? placeTroubles(stayCase, run, place, visit) : [])]
  if (!model.runs.some(({ id }) => id === run.id)) return [{ kind: 'past' }, ...blocked]
  const part = partOfRun(model, run)!
  const limit = crew.liftLimit.value
  const heavy = lifted.filter(({ kg }) => kg > limit + 1e-9)
  const days = model.grid.edges[part]!
  const late = counted.days !== null && counted.days < days - 1e-9
  return [
    ...blocked,
    ...steps.flatMap((step, at) => (whys[at] ? [] : stepTroubles(step, at, !isIdle))),
    ...heavy.map((one): Trouble => ({ kind: heavyKind(stayCase, one.container), ...one, limit })),
    ...(late ? [{ kind: 'too-late' as const, container: counted.stopper!, days: counted.days! }] : []),
    ...(MOVING_KINDS.includes(run.kind) ? overPayload(model, counted, part) : []),
    ...underThreshold(stayCase, steps),
    ...(isQuiet(run, stay.site.quiet) ? [{ kind: 'quiet' as const }] : []),
    ...(place ? placeTroubles(stayCase, run, place, visit) : []),
  ]
}

/** What is to be said of where it goes: who may, with what, and whether it is open then. */
function placeTroubles(stayCase: StayCase, run: Run, place: Place, visit: Visit): Trouble[] {
  const isVague = run.steps.length > 0 && (place.accepts === null || place.water === 'unknown')
  return [
    ...refusalsOf(stayCase, run, place).map((why): Trouble => ({ kind: 'refused', why })),
    ...hourTroubles(stayCase, place, visit),
    ...(isVague ? [{ kind: 'place-unknown' as const }] : []),
  ]
}

function hourTroubles({ hours }: StayCase, { opening }: Place, visit: Visit): Trouble[] {
  // Hours that are known and not read yet are said once they are.
  if (opening !== null && !hours) return []
  if (visit.kind === 'unknown') return [{ kind: 'hours-unknown' }]
  if (visit.kind === 'closed') return [{ kind: 'closed', next: visit.next }]
  const { isSure, note } = visit.fit.span
  return isSure ? [] : [{ kind: 'perhaps-open', note }]
}

/** Who carries a cassette at its light, whatever it weighs, is told; the others are warned. */
function heavyKind({ rig, crew }: StayCase, id: Id): 'heavy' | 'too-heavy' {
  const isCassette = rig.containers.some((one) => one.id === id && one.kind === 'cassette')
  return isCassette && crew.schools.sides['cassette-when'] === 'light' ? 'heavy' : 'too-heavy'
}

/** Too little to be worth a word, L (or uses). */
const NOTHING = 0.05

/**
 * A step that is cut short says by how much. A run of which no step moves anything cannot be done; among others a tank that is
 * empty, or full, already is no trouble.
 */
function stepTroubles(
  { step, moved, undone, bound, from, to }: StepAnswer,
  at: number,
  movesAnything: boolean,
): Trouble[] {
  const [giver, taker] = [step.from, step.to]
  if (moved > NOTHING) {
    // A tank that is asked for all it has is done; so is a top-up that finds it full enough.
    if (undone <= NOTHING || bound === 'none' || bound === 'head') return []
    if (bound === 'payload') return [{ kind: 'less-by-payload', step: at, container: taker!, undone }]
    return [
      bound === 'giver'
        ? { kind: 'short-of', step: at, container: giver!, undone }
        : { kind: 'room-for', step: at, container: taker!, undone },
    ]
  }
  if (movesAnything)
    return bound === 'payload' && undone > NOTHING
      ? [{ kind: 'less-by-payload', step: at, container: taker!, undone }]
      : shortOf(step, undone, at)
  if (step.do === 'by-head') return [{ kind: 'not-deeper', step: at, container: giver! }]
  if (undone > NOTHING && bound === 'room') return [{ kind: 'no-room', step: at, container: taker!, undone }]
  if (undone > NOTHING && bound === 'payload')
    return [{ kind: 'payload', step: at, container: taker!, undone }]
  const isNeeded = step.do !== 'top-up' && step.do !== 'charge' && step.amount.as !== 'school'
  if (!isNeeded) return shortOf(step, undone, at)
  if (from) return [{ kind: 'nothing-to-take', step: at, container: giver! }]
  return to ? [{ kind: 'no-room', step: at, container: taker!, undone }] : []
}

/** What a top-up or a charge wanted and its giver did not have. */
function shortOf({ do: does, from }: RunStep, undone: Amount, at: number): Trouble[] {
  const isExtra = does === 'top-up' || does === 'charge'
  return isExtra && undone > NOTHING && from !== null
    ? [{ kind: 'short-of', step: at, container: from, undone }]
    : []
}

/** kg over what the rig may carry, right after the runs of the part. */
function overPayload(model: Model, { ledger }: Count, part: number): Trouble[] {
  if (model.payload === null) return []
  const kg = model.containers.reduce(
    (sum, { kgPer }, c) => sum + kgPer * levelBefore(model, ledger, c, part),
    0,
  )
  return kg > model.payload + BREACH_TOLERANCE ? [{ kind: 'over-payload', kg: kg - model.payload }] : []
}

/** A black tank that is let go emptier than the crew's side wants it. */
function underThreshold({ rig, crew }: StayCase, steps: readonly StepAnswer[]): Trouble[] {
  const { sides, blackThreshold } = crew.schools
  if (sides['dump-black'] === 'every-move') return []
  return steps.flatMap(({ step, from, moved }): Trouble[] => {
    if (step.do !== 'empty' || !from || moved <= NOTHING) return []
    const tank = found(rig.containers, step.from!, 'container')
    if (tank.kind !== 'black') return []
    const threshold = sides['dump-black'] === 'full' ? tank.safeFill.value : blackThreshold.value
    const share = from.before / tank.capacity.value
    return share < threshold - 1e-9 ? [{ kind: 'under-threshold', container: tank.id, share, threshold }] : []
  })
}

/** When each part begins, hours on the wall. */
const BEGINS = { morning: 5, midday: 11, evening: 17, night: 23 } as const
const PART_H = 6

/** A pump or a rig that starts in a part of which all is quiet time; in the others there is an hour that is not. */
function isQuiet({ kind, part }: Run, quiet: StayCase['stay']['site']['quiet']): boolean {
  if (!quiet || (kind !== 'macerate' && !MOVING_KINDS.includes(kind))) return false
  const hourOf = (clock: string) => Number(clock.slice(0, 2)) + Number(clock.slice(3)) / 60
  const from = hourOf(quiet.from)
  const lasts = (((hourOf(quiet.until) - from) % 24) + 24) % 24
  const begins = (((BEGINS[part] - from) % 24) + 24) % 24
  return begins + PART_H <= lasts
}
