import { ledger } from '../count'
import {
  compileChances,
  volumePerUse,
  type Activity,
  type Chances,
  type Crew,
  type Id,
  type Model,
  type StayCase,
} from '../model'
import { dailyUse } from '../explain'
import { agreementOf, type Agreement } from './agreement'
import { effectsOf } from './effects'
import { nextToCount, type Blur } from './nextToCount'
import type { ActivityPrior, ContainerPrior, Evidence, LeftOut, Step, Used } from './evidence'
import { copyFilter, rateFactor, startFilter, type Filter, type Ground } from './filter'
import { countedRate, learnedOf, levelNow, type ActivityLearned, type LevelNow } from './posterior'
import { watch } from './probes'

/** What the evidence of a stay teaches, up to an instant of it. */
export interface Learned {
  ground: Ground
  filter: Filter
  /** In the model's order. */
  activities: ActivityLearned[]
  levels: LevelNow[]
  /** Per container: whether its probe is held for stuck. */
  isSuspect: boolean[]
  /** Every reading beside what the count said then, in the order of time. */
  agreements: Agreement[]
  /** What blurs a day's draw most: to be counted next. */
  next: Blur[]
  /** ln of how likely everything that was seen was. */
  logZ: number
}

/**
 * Learns from a stay's evidence (model.md section 6): one pass of a Gaussian filter over it in the order of time, whatever
 * the order it arrived in.
 * @param model the stay compiled from its start @param counted ids of activities whose uses are all logged
 * @param until days from the model's start
 */
export function learn(
  stayCase: StayCase,
  model: Model,
  evidence: readonly Evidence[],
  { counted, until }: { counted: ReadonlySet<Id>; until: number },
): Learned {
  const ground = groundOf(stayCase, model, evidence, counted)
  const inTime = [...evidence].sort((a, b) => a.at - b.at || orderOf(a) - orderOf(b))
  const start = startFilter(ground)
  const agreements: Agreement[] = []
  const { filter, stuck } = watch(ground, copyFilter(start), inTime, until, (reading, before, isLeftOut) =>
    agreements.push(agreementOf(ground, before, reading, isLeftOut)),
  )
  putCountedRates(ground, filter, evidence, until)
  const used = evidence.filter((one): one is Used => one.kind === 'used' && one.at <= until)
  return {
    ground,
    filter,
    activities: stayCase.crew.activities.map((activity, a) =>
      learnedOf(ground, filter, a, volumePerUse(activity), used),
    ),
    levels: model.containers.map((_, c) => levelNow(ground, filter, c)),
    agreements,
    next: nextToCount(
      ground,
      filter,
      stayCase.crew.activities.map((activity) => dailyUse(stayCase.crew, activity).litres),
    ),
    isSuspect: stuck.map((step) => step !== null),
    logZ: filter.logZ,
  }
}

/** How often a counted activity is done says its log; the panel has no say in it. */
function putCountedRates(
  ground: Ground,
  { state }: Filter,
  evidence: readonly Evidence[],
  until: number,
): void {
  const { grid, uses } = ground.model
  ground.activities.forEach(({ isCounted, dispersion }, a) => {
    if (!isCounted || dispersion === 0) return
    let [made, expected] = [0, 0]
    for (const one of evidence)
      if (one.kind === 'used' && one.activity === a && one.at <= until) made += one.n
    for (let i = 0; i < grid.count; i++) {
      const [from, to] = [grid.edges[i]!, grid.edges[i + 1]!]
      expected += uses[a * grid.count + i]! * Math.min(1, Math.max(0, (until - from) / (to - from)))
    }
    const { mean, deviation } = countedRate(made, expected, dispersion)
    const index = rateFactor(ground, a)
    state.mean[index] = mean
    state.covariance[index * state.size + index] = deviation ** 2
  })
}

/** At the same instant uses come before what was read, and what was done to a tank last. */
const ORDER: Record<Evidence['kind'], number> = {
  'left-out': 0,
  used: 1,
  panel: 2,
  measured: 3,
  moved: 4,
  known: 5,
}
const orderOf = ({ kind }: Evidence) => ORDER[kind]

export function groundOf(
  stayCase: StayCase,
  model: Model,
  evidence: readonly Evidence[],
  counted: ReadonlySet<Id>,
): Ground {
  const chances = compileChances(stayCase, model)
  return {
    model,
    effects: effectsOf(model, ledger(model)),
    activities: stayCase.crew.activities.map((activity) => activityPrior(activity, stayCase.crew, counted)),
    containers: chances.containers.map(containerPrior),
    leftOut: evidence.filter((one): one is LeftOut => one.kind === 'left-out'),
  }
}

function activityPrior(activity: Activity, crew: Crew, counted: ReadonlySet<Id>): ActivityPrior {
  return {
    spread: activity.spread.value,
    levelSpread: activity.levelSpread.value,
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
  return { capacitySpread: spread, deviation, step: stepAtStart(starts) }
}
