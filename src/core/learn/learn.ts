import { ledger } from '../count'
import { compileChances, type Chances, type Model } from '../compile'
import {
  ownSpread,
  volumePerUse,
  type Activity,
  type ActivityIndex,
  type Crew,
  type Id,
  type StayCase,
} from '../domain'
import { dailyUse } from '../explain'
import type { Cv, Days, Factor } from '../quantities'
import { agreementOf, type Agreement } from './agreement'
import { effectsOf } from './effects'
import { daySpread, nextToCount, type Blur } from './nextToCount'
import type {
  ActivityPrior,
  ContainerPrior,
  CountedFor,
  Evidence,
  LeftOut,
  Odd,
  Step,
  Unlogged,
  Used,
} from './evidence'
import { copyFilter, startFilter, type Filter } from './filter'
import { rateFactor, type Ground } from './ground'
import { observe } from './robust'
import { cutToTanks } from './tank'
import { countedRate, learnedOf, levelNow, type ActivityLearned, type LevelNow } from './posterior'
import { watch } from './probes'

/** What the evidence of a stay teaches, up to an instant of it. */
export interface Learned {
  ground: Ground
  filter: Filter
  /** In the model's order. */
  activities: ActivityLearned[]
  levels: LevelNow[]
  /** Per container: the step its probe is held to be stuck at; null: it is believed. */
  stuck: (number | null)[]
  /** Readings that are held for wrong. */
  leftOut: ReadonlySet<Evidence>
  /** Per container: whether its probe is held for stuck. */
  isSuspect: boolean[]
  /** Every reading beside what the count said then, in the order of time. */
  agreements: Agreement[]
  /** What blurs a day's draw most: to be counted next. */
  next: Blur[]
  /** How sure a day's draw is. */
  daySpread: Cv
  /** ln of how likely everything that was seen was. */
  logZ: number
}

/** What is believed of the crew before the stay: own factor of an activity and how sure it is. */
export interface OwnPrior {
  factor: Factor
  spread: Cv
}

export interface LearnOptions {
  /** Ids of activities whose uses are all logged, from the start on. */
  counted: ReadonlySet<Id>
  /** Days from the model's start. */
  until: Days
  /** By activity; what is not there is as the crew has it. */
  priors?: ReadonlyMap<Id, OwnPrior>
}

/**
 * Learns from a stay's evidence (model.md section 6): one pass of a Gaussian filter over it in the order of time, whatever
 * the order it arrived in.
 * @param model the stay compiled from its start
 */
export function learn(
  stayCase: StayCase,
  model: Model,
  evidence: readonly Evidence[],
  { counted, until, priors = new Map() }: LearnOptions,
): Learned {
  const ground = groundOf(stayCase, model, evidence, counted, priors)
  const ordered = inTime(evidence)
  const start = startFilter(ground, stayCase.passed?.draws ?? null)
  const agreements: Agreement[] = []
  const {
    filter: played,
    stuck,
    leftOut,
  } = watch(ground, copyFilter(start), ordered, until, (reading, before, isLeftOut) =>
    agreements.push(agreementOf(ground, before, reading, isLeftOut)),
  )
  const filter = cutToTanks(ground, played)
  putCountedRates(ground, filter, evidence, until)
  const litres = stayCase.crew.activities.map((activity) => dailyUse(stayCase.crew, activity).litres)
  const used = evidence.filter((one): one is Used => one.kind === 'used' && one.at <= until)
  return {
    ground,
    filter,
    activities: stayCase.crew.activities.map((activity, a) =>
      learnedOf(ground, filter, a, volumePerUse(activity), used),
    ),
    levels: model.containers.map((_, c) => levelNow(ground, filter, c)),
    agreements,
    next: nextToCount(ground, filter, litres),
    daySpread: daySpread(ground, filter, litres),
    stuck,
    leftOut,
    isSuspect: stuck.map((step) => step !== null),
    logZ: filter.logZ,
  }
}

/** A stretch in which an activity's uses were counted, and how many there were. */
interface CountedUses {
  made: number
  expected: number
}

/** How often a counted activity is done says its log; the panel has no say in it. */
function putCountedRates(
  ground: Ground,
  { state }: Filter,
  evidence: readonly Evidence[],
  until: Days,
): void {
  ground.activities.forEach(({ isCounted, dispersion }, a) => {
    if (dispersion === 0) return
    const index = rateFactor(ground, a)
    if (isCounted) {
      const { made, expected } = countedUses(ground, evidence, a, [0, until])
      const { mean, deviation } = countedRate(made, expected, dispersion)
      state.mean[index] = mean
      state.covariance[index * state.size + index] = deviation ** 2
      return
    }
    for (const one of evidence) {
      if (one.kind !== 'counted' || one.activity !== a) continue
      const { made, expected } = countedUses(ground, evidence, a, [one.at, Math.min(until, one.until)])
      if (expected > 0) observe(state, { at: [index], weights: [1] }, made / expected, dispersion / expected)
    }
  })
}

/** What was made and what the model expected in a stretch, without what was odd in it. */
function countedUses(
  { model: { grid, uses } }: Ground,
  evidence: readonly Evidence[],
  activity: ActivityIndex,
  [from, until]: [Days, Days],
): CountedUses {
  const odd = evidence.filter((one): one is Odd => one.kind === 'odd' && one.container === null)
  const isOdd = (at: Days) => odd.some((one) => at >= one.from && at <= one.at)
  let [made, expected] = [0, 0]
  for (const one of evidence)
    if (
      one.kind === 'used' &&
      one.activity === activity &&
      one.at >= from &&
      one.at <= until &&
      !isOdd(one.at)
    )
      made += one.n
  for (let i = 0; i < grid.count; i++) {
    const [begins, ends] = [grid.edges[i]!, grid.edges[i + 1]!]
    const [first, last] = [Math.max(from, begins), Math.min(until, ends)]
    if (last <= first) continue
    const left = odd.reduce(
      (sum, one) => sum - Math.max(0, Math.min(last, one.at) - Math.max(first, one.from)),
      last - first,
    )
    expected += (uses[activity * grid.count + i]! * Math.max(0, left)) / (ends - begins)
  }
  return { made, expected }
}

/**
 * Evidence in the order of time; what shares an instant keeps the order in which it was logged, but for an odd stretch: it is
 * over before what is seen at its end.
 */
export function inTime(evidence: readonly Evidence[]): Evidence[] {
  const isLater = ({ kind }: Evidence) => (kind === 'odd' ? 0 : 1)
  return [...evidence].sort((a, b) => a.at - b.at || isLater(a) - isLater(b))
}

export function groundOf(
  stayCase: StayCase,
  model: Model,
  evidence: readonly Evidence[],
  counted: ReadonlySet<Id>,
  priors: ReadonlyMap<Id, OwnPrior> = new Map(),
): Ground {
  const chances = compileChances(stayCase, model)
  return {
    model,
    effects: effectsOf(model, ledger(model)),
    activities: stayCase.crew.activities.map((activity) =>
      activityPrior(activity, stayCase.crew, counted, priors),
    ),
    containers: chances.containers.map(containerPrior),
    leftOut: evidence.filter(
      (one): one is LeftOut | CountedFor | Unlogged =>
        one.kind === 'left-out' || one.kind === 'counted' || one.kind === 'unlogged',
    ),
  }
}

function activityPrior(
  activity: Activity,
  crew: Crew,
  counted: ReadonlySet<Id>,
  priors: ReadonlyMap<Id, OwnPrior>,
): ActivityPrior {
  const prior = priors.get(activity.id)
  return {
    spread: activity.spread.value,
    ownMean: prior?.factor ?? 1,
    levelSpread: prior?.spread ?? ownSpread(activity),
    isCounted: counted.has(activity.id),
    dispersion: activity.dispersion === 0 ? 0 : dispersionOf(activity, crew),
  }
}

/** Of who does it once a day at most 1 − p, of the others 1, weighed by their uses. */
function dispersionOf(activity: Activity, crew: Crew): number {
  const rates = dailyUse(crew, activity).lines.map(({ uses }) => uses)
  const total = rates.reduce((sum, rate) => sum + rate, 0)
  if (total === 0) return 1
  return rates.reduce((sum, rate) => sum + rate * (rate <= 1 ? 1 - rate : 1), 0) / total
}

/** An even span is what a step of a panel was read as. */
function stepAtStart([start, ...others]: Chances['containers'][number]['starts']): Step | null {
  if (!start || others.length > 0 || start.shape !== 'even' || start.size === 0) return null
  const { level, size, full } = start
  return { from: (level - size / 2) / full, to: (level + size / 2) / full }
}

/** An even span of width w has the standard deviation w/√12; tanks that stand open to each other are off together. */
function containerPrior({ spread, starts }: Chances['containers'][number]): ContainerPrior {
  const deviation = starts.reduce(
    (sum, { shape, size }) => sum + (shape === 'even' ? size / Math.sqrt(12) : size),
    0,
  )
  const step = stepAtStart(starts)
  const isFull = starts.every(({ level, size, full }) => size === 0 && level > 0 && level >= full * BRIM)
  return { capacitySpread: spread, deviation, isShare: isFull || step !== null, step }
}
/** A level that is given as this share of the tank or more is full to the brim. */
const BRIM = 0.999
