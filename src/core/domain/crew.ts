import type { Cv, Factor, Origin, Quantity } from '../quantities'
import type { Id } from './ids'
import type { Role } from './rig'
import type { Product } from './product'
import type { Road } from './place'
import type { CostWeights, CrewAnswers } from './questions'

export const ACTIVITY_KINDS = [
  'shower',
  'hand-wash',
  'teeth',
  'dishes',
  'cooking',
  'drinking',
  'liquid-use',
  'solid-use',
  'bowl-seal',
  'cleaning',
  'laundry',
  'pet',
  'own',
] as const
export type ActivityKind = (typeof ACTIVITY_KINDS)[number]

/** Kinds of which no habit, budget or plan takes anything away (model.md section 4, 'Never rationed'). */
export const NEVER_REDUCED: readonly ActivityKind[] = ['drinking', 'hand-wash']
/**
 * Kinds that are never rationed: no budget may grant fewer of them (model.md section 7). A habit the owner takes up may
 * change how some of them are done (a cup for teeth), but for those that are never reduced.
 */
export const NEVER_RATIONED: readonly ActivityKind[] = [
  ...NEVER_REDUCED,
  'cooking',
  'teeth',
  'liquid-use',
  'solid-use',
  'pet',
]
export const TOILET_KINDS: readonly ActivityKind[] = ['liquid-use', 'solid-use']

/** A shower by the clock: litres = flow × minutes on + trickle × minutes paused + run-up. */
export interface TimedFlow {
  /** L per minute with the water on. */
  flow: Quantity
  /** Minutes. */
  on: Quantity
  /** L per minute while paused: 0 only with a full shut-off. */
  trickle: Quantity
  /** Minutes. */
  paused: Quantity
  /** L that run off before the water is warm. */
  runUp: Quantity
}

/** Where what a use adds to the drain comes from: urine and solids, or paper. */
export const ADDED_FROM = ['body', 'brought-in'] as const
export type AddedFrom = (typeof ADDED_FROM)[number]

/** What this crew's own log taught of an activity and was taken over: the next prior (model.md section 6). */
export interface TakenOver {
  /** Own level: litres of every use are times this. */
  factor: Factor
  /** How sure that is: a coefficient of variation, in place of `levelSpread`. */
  spread: Cv
  /** Uses that were logged. */
  entries: number
  /** ISO 8601 in UTC: only what is logged after it adds. */
  upTo: string
}

export interface Activity {
  /** Unique within its crew; the standard ones keep the same id in every crew, so that habits fit all. */
  id: Id
  kind: ActivityKind
  name: string
  role: Role
  /** Whether the rate is each person's or the whole crew's. */
  per: 'person' | 'crew'
  /** Uses per day. */
  rate: Quantity
  /** L drawn per use, the mean; left aside while `timed` gives it. */
  volume: Quantity
  timed: TimedFlow | null
  /** Share of what is drawn that reaches the drain; the rest is consumed. */
  drainShare: Quantity
  /** How the day's uses fall on morning, midday, evening and night; sums to 1. */
  weights: { values: [number, number, number, number] } & Origin
  /** Coefficient of variation of the volume of one use. */
  spread: Quantity
  /** The same of this crew's own factor: by how much its mean may differ from the one above, all trip long. */
  levelSpread: Quantity
  /** Null: nothing was taken over, the numbers above stand. */
  learned: TakenOver | null
  /** 0: the number of uses is exact; 1: Poisson. */
  dispersion: 0 | 1
  /** What each use adds to the drain from elsewhere, L: urine and solids from the body, paper brought in. */
  adds: { from: AddedFrom; volume: Quantity }[]
}

export interface Person {
  id: Id
  name: string
  /** The person's own rates, uses per day, in place of the activity's. Only for activities per person. */
  rates: { activity: Id; rate: Quantity }[]
}

/** What heat adds, per 5 °C of the day above `above` (model.md section 9). */
export interface HeatEffect {
  /** °C */
  above: Quantity
  /** L drunk per person and day. */
  drinking: Quantity
  /** Share by which the shower rate rises. */
  showers: Quantity
}

export const FLUSH_SCHOOLS = ['plenty', 'little'] as const
/** Plenty every time and never save in the toilet, or as little as possible and rinse hard at the dump. */
export type FlushAnswer = (typeof FLUSH_SCHOOLS)[number]

/** What this crew holds about flush water, and what saving it costs when the tank is rinsed. */
export interface FlushHabits {
  school: FlushAnswer
  /** L of liquid per solid use from which a tank rinses as easily as it can. */
  plenty: Quantity
  /** Rounds of rinsing expected where the liquid is at the flush floor, and where it is plenty. */
  rinsesAtFloor: Quantity
  rinsesAtPlenty: Quantity
}

export interface Crew {
  id: Id
  name: string
  persons: Person[]
  activities: Activity[]
  heat: HeatEffect
  /** kg that these people lift and carry at most. */
  liftLimit: Quantity
  /** L of liquid per solid use that they keep in a black tank or cassette. */
  flushFloor: Quantity
  flush: FlushHabits
  schools: CrewAnswers
  costs: CostWeights
  road: Road
  /** What they treat their waste tanks with. */
  products: Product[]
  /** Changes of medium for a solids bin that were bought; what is left is those less the changes in the log. */
  mediumStock: Quantity
  /** Activities of the owner's own that a budget may grant fewer of. */
  saves: Id[]
}

/** L of one use that run while the water is paused. */
export function tricklePerUse({ timed }: Pick<Activity, 'timed'>): number {
  return timed ? timed.trickle.value * timed.paused.value : 0
}

/** L drawn per use, the mean: what was put in, times what was learned. */
export function volumePerUse(activity: Pick<Activity, 'volume' | 'timed' | 'learned'>): number {
  return putInPerUse(activity) * ownFactor(activity)
}

/** Own level of the crew as far as it was taken over; 1: nothing was. */
export function ownFactor({ learned }: Pick<Activity, 'learned'>): Factor {
  return learned?.factor ?? 1
}

/** How sure the own factor is, a coefficient of variation. */
export function ownSpread({ learned, levelSpread }: Pick<Activity, 'learned' | 'levelSpread'>): Cv {
  return learned?.spread ?? levelSpread.value
}

/** L drawn per use as the owner put it in, or as it is assumed: by the clock where that is given. */
export function putInPerUse({ volume, timed }: Pick<Activity, 'volume' | 'timed'>): number {
  if (!timed) return volume.value
  const { flow, on, trickle, paused, runUp } = timed
  return flow.value * on.value + trickle.value * paused.value + runUp.value
}
