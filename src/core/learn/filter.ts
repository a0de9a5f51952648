import type { Model } from '../compile'
import type { JointDraws } from '../model'
import type { Effects } from './effects'
import type {
  ActivityPrior,
  ContainerPrior,
  Evidence,
  CountedFor,
  LeftOut,
  Odd,
  Measured,
  PanelRead,
  Step,
  Unlogged,
  Used,
} from './evidence'
import { along, copyOf, through, update, varianceOf, type Gaussian, type Look } from './gaussian'
import { isSame, stepOf, stretchesOf } from './panel'

/** How uncertain the number of uses of an expected activity is beyond luck: the crew's own rate over the one given. */
export const RATE_SPREAD = 0.15
/** A panel's own unevenness, standard deviation as a share of the capacity. */
const PANEL_NOISE = 0.01

/** What a filter runs on. */
export interface Ground {
  model: Model
  effects: Effects
  activities: readonly ActivityPrior[]
  containers: readonly ContainerPrior[]
  /** Stretches in which an expected activity was left out, was counted instead, or was partly logged. */
  leftOut: readonly (LeftOut | CountedFor | Unlogged)[]
}

/**
 * Own level of each activity (m), rate factor of each (r), capacity factor (c) and level (L) of each container, in this
 * order: one Gaussian. `logZ` adds up how likely what was seen was.
 */
export interface Filter {
  state: Gaussian
  logZ: number
  /** Days from where the grid begins, up to which it has come. */
  at: number
  /** Per container: the step its panel showed last, since it was last emptied, filled or measured. */
  shown: (Step | null)[]
}

export const ownLevel = (activity: number) => activity
export const rateFactor = ({ activities }: Ground, activity: number) => activities.length + activity
export const capacityFactor = ({ activities }: Ground, container: number) => 2 * activities.length + container
export const levelOf = ({ activities, containers }: Ground, container: number) =>
  2 * activities.length + containers.length + container

/** @param passed joint draws of what a stay takes over from the one it follows: how sure its levels and capacities are */
export function startFilter(ground: Ground, passed: JointDraws | null = null): Filter {
  const { activities, containers, model } = ground
  const size = 2 * (activities.length + containers.length)
  const state: Gaussian = {
    size,
    mean: new Float64Array(size),
    covariance: new Float64Array(size * size),
  }
  const put = (index: number, mean: number, deviation: number) => {
    state.mean[index] = mean
    state.covariance[index * size + index] = deviation * deviation
  }
  activities.forEach(({ ownMean, levelSpread, isCounted, dispersion }, a) => {
    put(ownLevel(a), ownMean, ownMean * levelSpread)
    put(rateFactor(ground, a), 1, isCounted || dispersion === 0 ? 0 : RATE_SPREAD)
  })
  containers.forEach(({ capacitySpread, deviation }, c) => {
    put(capacityFactor(ground, c), 1, capacitySpread)
    put(levelOf(ground, c), model.containers[c]!.start, deviation)
  })
  if (passed?.columns === size) takeOver(ground, state, passed)
  return { state, logZ: 0, at: 0, shown: containers.map(({ step }) => step) }
}

/** Capacities and levels vary together as they do among the draws; levels stand on the model's own means. */
function takeOver(ground: Ground, state: Gaussian, { rows, columns, values }: JointDraws): void {
  const { size, mean, covariance } = state
  const columnsOf = ground.containers.flatMap((_, c) => [capacityFactor(ground, c), levelOf(ground, c)])
  const means = new Map(
    columnsOf.map((k) => {
      let sum = 0
      for (let row = 0; row < rows; row++) sum += values[row * columns + k]!
      return [k, sum / rows]
    }),
  )
  for (const k of columnsOf)
    for (const l of columnsOf) {
      let sum = 0
      for (let row = 0; row < rows; row++)
        sum += (values[row * columns + k]! - means.get(k)!) * (values[row * columns + l]! - means.get(l)!)
      covariance[k * size + l] = sum / rows
    }
  ground.containers.forEach((_, c) => {
    const factor = capacityFactor(ground, c)
    mean[factor] = means.get(factor)!
  })
}

export function copyFilter({ state, logZ, at, shown }: Filter): Filter {
  return { state: copyOf(state), logZ, at, shown: [...shown] }
}

/** Lets the expected uses go on until an instant, part by part. @param until days, not before the filter's own */
export function goOn(ground: Ground, filter: Filter, until: number): void {
  const { grid } = ground.model
  const { edges } = grid
  for (let i = partOf(edges, filter.at); i < grid.count && filter.at < until; i++) {
    const end = Math.min(until, edges[i + 1]!)
    if (end <= filter.at) continue
    expect(ground, filter, i, end)
    filter.at = end
  }
  filter.at = Math.max(filter.at, until)
}

function partOf(edges: Float64Array, at: number): number {
  let i = 0
  while (i < edges.length - 2 && edges[i + 1]! <= at) i++
  return i
}

/**
 * The expected uses of a stretch of one part, n of each: ΔL = n·(r (v m + a) + v·Cov(m, r)) for a use that moves v L by
 * its water and a L besides; S ← F S Fᵀ + Q with Q = n·(v m · CV)² by the litres of single uses and φ·n·r (v m + a)² by
 * their number.
 */
function expect(ground: Ground, { state, at }: Filter, part: number, end: number): void {
  const { model, effects, activities, containers } = ground
  const { count, edges } = model.grid
  const share = (end - at) / (edges[part + 1]! - edges[part]!)
  const { width, drawn, fixed } = effects
  const steps: Move[] = []
  const shift = new Float64Array(containers.length)
  const noise = new Float64Array(containers.length ** 2)
  activities.forEach((activity, a) => {
    if (activity.isCounted) return
    const row = a * count + part
    const n = model.uses[row]! * share * madeShare(ground, a, part, at, end)
    if (n === 0) return
    const beyond = unsureOf(ground, a, part, end) * share
    const [m, r] = [state.mean[ownLevel(a)]!, state.mean[rateFactor(ground, a)]!]
    const together = state.covariance[ownLevel(a) * state.size + rateFactor(ground, a)]!
    for (let j = 0; j < width; j++) {
      const [v, fix] = [drawn[row * width + j]!, fixed[row * width + j]!]
      if (v === 0 && fix === 0) continue
      shift[j]! += n * (r * (v * m + fix) + v * together)
      steps.push({ container: j, of: ownLevel(a), by: n * r * v })
      steps.push({ container: j, of: rateFactor(ground, a), by: n * (v * m + fix) })
      for (let l = 0; l < width; l++) {
        const [w, other] = [drawn[row * width + l]!, fixed[row * width + l]!]
        noise[j * width + l]! +=
          n * v * w * (m * activity.spread) ** 2 +
          (activity.dispersion * n * r + beyond) * (v * m + fix) * (w * m + other)
      }
    }
  })
  move(ground, state, steps, shift, noise)
}

interface Move {
  container: number
  /** Index of the unknown it depends on. */
  of: number
  by: number
}

function move(
  ground: Ground,
  { size, mean, covariance }: Gaussian,
  steps: readonly Move[],
  shift: Float64Array,
  noise: Float64Array,
): void {
  const width = shift.length
  for (const { container, of, by } of steps) {
    const row = levelOf(ground, container) * size
    for (let k = 0; k < size; k++) covariance[row + k]! += by * covariance[of * size + k]!
  }
  for (const { container, of, by } of steps) {
    const column = levelOf(ground, container)
    for (let k = 0; k < size; k++) covariance[k * size + column]! += by * covariance[k * size + of]!
  }
  for (let j = 0; j < width; j++) {
    mean[levelOf(ground, j)]! += shift[j]!
    for (let l = 0; l < width; l++)
      covariance[levelOf(ground, j) * size + levelOf(ground, l)]! += noise[j * width + l]!
  }
}

/** Share of an activity's expected uses that were made in a stretch of a part, and not logged. */
function madeShare({ leftOut }: Ground, activity: number, part: number, from: number, to: number): number {
  return leftOut.reduce((share, left) => {
    if (left.activity !== activity) return share
    // What the log leaves open knows of what was left out, or was counted.
    if (left.kind === 'unlogged') return to <= left.until + HAIR_D ? share * left.share[part]! : share
    const within = Math.max(0, Math.min(to, left.until) - Math.max(from, left.at)) / (to - from)
    return share * (1 - within * (1 - (left.kind === 'counted' ? 0 : left.factor)))
  }, 1)
}

/** A hair of the clock's minutes, days. */
const HAIR_D = 1e-9

/** Variance of the uses of a whole part that were not logged, beyond that of luck. */
function unsureOf({ leftOut }: Ground, activity: number, part: number, to: number): number {
  return leftOut.reduce(
    (sum, left) =>
      left.kind === 'unlogged' && left.activity === activity && to <= left.until + HAIR_D
        ? sum + left.variance[part]!
        : sum,
    0,
  )
}

/** Takes in one piece of evidence, at the instant the filter has come to. @returns ln of how likely it was */
export function takeIn(ground: Ground, filter: Filter, evidence: Evidence): number {
  const logZ = learnt(ground, filter, evidence)
  filter.logZ += logZ
  return logZ
}

function learnt(ground: Ground, filter: Filter, evidence: Evidence): number {
  const { state } = filter
  if (evidence.kind === 'left-out' || evidence.kind === 'counted' || evidence.kind === 'unlogged') return 0
  if (evidence.kind === 'odd') return unsure(ground, filter, evidence)
  if (evidence.kind === 'used') return use(ground, state, evidence)
  if (evidence.kind === 'panel') return read(ground, filter, evidence)
  filter.shown[evidence.container] = null
  if (evidence.kind === 'moved') {
    const index = levelOf(ground, evidence.container)
    state.mean[index]! += evidence.by
    state.covariance[index * state.size + index]! += evidence.deviation ** 2
    return 0
  }
  if (evidence.kind === 'measured') return measure(ground, state, evidence)
  know(ground, state, evidence.container, evidence.level)
  return 0
}

/** A level may be anywhere from here on, as far as the crew's own uses can tell: the next reading finds it. */
const ANYWHERE = 0.5
function unsure(ground: Ground, { state, shown }: Filter, { container }: Odd): number {
  ground.model.containers.forEach(({ capacity }, c) => {
    if (container !== null && container !== c) return
    const index = levelOf(ground, c)
    state.covariance[index * state.size + index]! += (ANYWHERE * capacity) ** 2
    shown[c] = null
  })
  return 0
}

/** Own levels below this are as doubtful as this one. */
const LEAST_OWN = 0.05

/** Uses that are known to have been made; their litres are not, unless metered. */
function use(ground: Ground, state: Gaussian, { at, activity, n, litres, isExtra }: Used): number {
  const { model, effects, activities, containers } = ground
  const { count, edges } = model.grid
  const part = partOf(edges, at)
  const row = activity * count + part
  const { width, drawn, fixed } = effects
  const own = ownLevel(activity)
  const spread = activities[activity]!.spread
  const volume = model.volume[row]!
  let logZ = 0
  const isMetered = litres !== null && volume > 0 && n > 0
  if (isMetered && !isExtra) {
    const look: Look = { at: [own], weights: [1] }
    // A use of nothing at all leaves some doubt too: without any, the next look would be divided by none.
    const m = Math.max(LEAST_OWN, state.mean[own]!)
    logZ = observe(state, look, litres / (n * volume), (m * spread) ** 2 / n)
  }
  const m = isMetered ? litres / (n * volume) : state.mean[own]!
  const steps: Move[] = []
  const shift = new Float64Array(containers.length)
  const noise = new Float64Array(containers.length ** 2)
  for (let j = 0; j < width; j++) {
    const v = drawn[row * width + j]!
    shift[j] = n * (v * m + fixed[row * width + j]!)
    if (isMetered || v === 0) continue
    steps.push({ container: j, of: own, by: n * v })
    for (let l = 0; l < width; l++) noise[j * width + l] = n * v * drawn[row * width + l]! * (m * spread) ** 2
  }
  move(ground, state, steps, shift, noise)
  return logZ
}

/** A Gaussian look at x: y = x + error. */
export function observe(state: Gaussian, look: Look, y: number, errorVariance: number): number {
  const u = along(state, look)
  const variance = varianceOf(u, look)
  if (variance <= 0) return 0
  const x = look.at.reduce((sum, index, k) => sum + state.mean[index]! * look.weights[k]!, 0)
  const total = variance + errorVariance
  const after = x + (variance / total) * (y - x)
  update(state, u, { before: x, after, variance, left: (variance * errorVariance) / total })
  return -0.5 * ((y - x) ** 2 / total + Math.log(2 * Math.PI * total))
}

function measure(ground: Ground, state: Gaussian, { container, level, deviation }: Measured): number {
  return observe(state, { at: [levelOf(ground, container)], weights: [1] }, level, deviation ** 2)
}

/** x = L ÷ (capacity × c), made linear where the filter stands. */
export function shareLook(ground: Ground, { mean }: Gaussian, container: number): Look & { x: number } {
  const { capacity } = ground.model.containers[container]!
  const [level, factor] = [levelOf(ground, container), capacityFactor(ground, container)]
  const full = capacity * mean[factor]!
  const x = mean[level]! / full
  return { at: [level, factor], weights: [1 / full, -x / mean[factor]!], x }
}

function read(ground: Ground, filter: Filter, evidence: PanelRead): number {
  const { state } = filter
  const { side } = ground.model.containers[evidence.container]!
  const stretches = stretchesOf(
    evidence,
    isSame(filter.shown[evidence.container]!, stepOf(evidence)) ? side : null,
  )
  filter.shown[evidence.container] = stepOf(evidence)
  const look = shareLook(ground, state, evidence.container)
  const u = along(state, look)
  const own = varianceOf(u, look)
  if (own <= 1e-12) return 0
  const variance = own + PANEL_NOISE ** 2
  const seen = through(look.x, variance, stretches)
  update(state, u, { before: look.x, after: seen.mean, variance, left: seen.variance })
  return seen.logZ
}

/** A level that is known: emptied to the last drop, or full, as full as its own capacity. */
function know(ground: Ground, state: Gaussian, container: number, level: number | 'full'): void {
  const { size, mean, covariance } = state
  const [row, factor] = [levelOf(ground, container), capacityFactor(ground, container)]
  const { capacity } = ground.model.containers[container]!
  const by = level === 'full' ? capacity : 0
  mean[row] = level === 'full' ? capacity * mean[factor]! : level
  const of = Float64Array.from({ length: size }, (_, k) => by * covariance[factor * size + k]!)
  const own = by * by * covariance[factor * size + factor]!
  for (let k = 0; k < size; k++) {
    covariance[row * size + k] = of[k]!
    covariance[k * size + row] = of[k]!
  }
  covariance[row * size + row] = own
}

/** Runs on its own through sorted evidence. */
export function play(ground: Ground, filter: Filter, evidence: readonly Evidence[], until: number): Filter {
  for (const one of evidence) {
    if (one.at > until) break
    goOn(ground, filter, one.at)
    takeIn(ground, filter, one)
  }
  goOn(ground, filter, until)
  return filter
}
