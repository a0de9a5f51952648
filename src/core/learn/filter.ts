import type { JointDraws } from '../domain'
import type { Amount, Share } from '../quantities'
import type { Evidence, Known, Measured, Odd, PanelRead, Step, Used } from './evidence'
import { capacityFactor, levelOf, ownFactor, rateFactor, type Ground } from './ground'
import { along, copyOf, tempered, through, update, varianceOf, type Gaussian, type Look } from './gaussian'
import { isSame, stepOf, stretchesOf } from './panel'
import { observe, observeDoubting, weightOf } from './robust'
import { cutToTank, headroomLook } from './tank'

/** How uncertain the number of uses of an expected activity is beyond luck: the crew's own rate over the one given. */
export const RATE_SPREAD = 0.15
/** A panel's own unevenness, standard deviation as a share of the capacity. */
const PANEL_NOISE = 0.01
/** What a water meter is off by: all that it told errs alike, as a share of it (assumed). */
const METER = 0.02

/**
 * Own level of each activity (m), rate factor of each (r), capacity factor (c) and level (L) of each container, in this
 * order: one Gaussian. `logZ` adds up how likely what was seen was.
 */
export interface Filter {
  state: Gaussian
  logZ: number
  /** Days from where the grid begins, up to which it has come. */
  at: number
  /** Per container: the step its panel showed last, since it was last emptied, filled or measured, and the share it stood at. */
  shown: ((Step & { at: Share }) | null)[]
  /** Per container: L that a meter says went through it since it was last looked at. */
  metered: number[]
}

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
    put(ownFactor(a), ownMean, ownMean * levelSpread)
    put(rateFactor(ground, a), 1, isCounted || dispersion === 0 ? 0 : RATE_SPREAD)
  })
  containers.forEach(({ capacitySpread, deviation, isShare }, c) => {
    const { start } = model.containers[c]!
    const [factor, row] = [capacityFactor(ground, c), levelOf(ground, c)]
    put(factor, 1, capacitySpread)
    // What is full, or was read off a panel, is a share of what the tank truly holds.
    const by = isShare ? start * capacitySpread : 0
    put(row, start, Math.hypot(deviation, by))
    state.covariance[factor * size + row] = by * capacitySpread
    state.covariance[row * size + factor] = by * capacitySpread
  })
  if (passed?.columns === size) takeOver(ground, state, passed)
  return {
    state,
    logZ: 0,
    at: 0,
    shown: containers.map(({ step }) => step && { ...step, at: (step.from + step.to) / 2 }),
    metered: containers.map(() => 0),
  }
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

export function copyFilter({ state, logZ, at, shown, metered }: Filter): Filter {
  return { state: copyOf(state), logZ, at, shown: [...shown], metered: [...metered] }
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
    const [m, r] = [state.mean[ownFactor(a)]!, state.mean[rateFactor(ground, a)]!]
    const together = state.covariance[ownFactor(a) * state.size + rateFactor(ground, a)]!
    for (let j = 0; j < width; j++) {
      const [v, fix] = [drawn[row * width + j]!, fixed[row * width + j]!]
      if (v === 0 && fix === 0) continue
      shift[j]! += n * (r * (v * m + fix) + v * together)
      steps.push({ container: j, of: ownFactor(a), by: n * r * v })
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
  if (evidence.kind === 'used') return use(ground, filter, evidence)
  if (evidence.kind !== 'moved') filter.metered[evidence.container] = 0
  if (evidence.kind === 'panel') return read(ground, filter, evidence)
  filter.shown[evidence.container] = null
  if (evidence.kind === 'moved') {
    const index = levelOf(ground, evidence.container)
    state.mean[index]! += evidence.by
    state.covariance[index * state.size + index]! += evidence.deviation ** 2
    return 0
  }
  if (evidence.kind === 'measured') return measure(ground, state, evidence)
  const logZ = metered(ground, state, evidence)
  know(ground, state, evidence.container, evidence.level)
  return logZ
}

/** Litres that filled a tank to the brim say how much was missing; those that emptied it, how much there was. */
function metered(ground: Ground, state: Gaussian, { container, level, moved }: Known): number {
  if (!moved) return 0
  const { litres, deviation } = moved
  if (level === 'full') return observeDoubting(state, headroomLook(ground, container), litres, deviation ** 2)
  const look: Look = { at: [levelOf(ground, container)], weights: [1] }
  return observeDoubting(state, look, level + litres, deviation ** 2)
}

/** A level may be anywhere from here on, as far as the crew's own uses can tell: the next reading finds it. */
const ANYWHERE = 0.5
function unsure(ground: Ground, { state, shown }: Filter, { container }: Odd): number {
  ground.model.containers.forEach(({ capacity }, c) => {
    if (container !== null && container !== c) return
    const index = levelOf(ground, c)
    state.covariance[index * state.size + index]! += (ANYWHERE * capacity) ** 2
    // Anywhere in its tank: what lies outside of it was never so.
    cutToTank(ground, state, c)
    shown[c] = null
  })
  return 0
}

/** Own levels below this are as doubtful as this one. */
const LEAST_OWN = 0.05

/** Uses that are known to have been made; their litres are not, unless metered. */
function use(ground: Ground, filter: Filter, { at, activity, n, litres, isExtra }: Used): number {
  const { state } = filter
  const { model, effects, activities, containers } = ground
  const { count, edges } = model.grid
  const part = partOf(edges, at)
  const row = activity * count + part
  const { width, drawn, fixed } = effects
  const own = ownFactor(activity)
  const spread = activities[activity]!.spread
  const volume = model.volume[row]!
  let logZ = 0
  const told = litres !== null && volume > 0 && n > 0 ? litres / (n * volume) : null
  // A use of nothing at all leaves some doubt too: without any, the next look would be divided by none.
  const expected = Math.max(LEAST_OWN, state.mean[own]!)
  const single = (expected * spread) ** 2 / n
  const trust =
    told === null ? 0 : weightOf(told / expected, state.covariance[own * state.size + own]! + single)
  if (told !== null && !isExtra) {
    const look: Look = { at: [own], weights: [1] }
    logZ = observe(state, look, told, single / Math.max(trust, LEAST_TRUST))
  }
  const free = told === null ? 1 : 1 - trust
  const m = told === null ? state.mean[own]! : trust * told + free * expected
  // Of litres that are told and not believed, what was meant is anybody's guess.
  const apart = told === null ? 0 : trust * free * (told - expected) ** 2
  const steps: Move[] = []
  const shift = new Float64Array(containers.length)
  const noise = new Float64Array(containers.length ** 2)
  for (let j = 0; j < width; j++) {
    const v = drawn[row * width + j]!
    shift[j] = n * (v * m + fixed[row * width + j]!)
    if (v === 0) continue
    if (free > 0) steps.push({ container: j, of: own, by: free * n * v })
    for (let l = 0; l < width; l++)
      noise[j * width + l] =
        v * drawn[row * width + l]! * (free * n * (expected * spread) ** 2 + n ** 2 * apart)
    if (told === null) continue
    const [before, by] = [filter.metered[j]!, Math.abs(n * v * m)]
    noise[j * width + j]! += METER ** 2 * ((before + by) ** 2 - before ** 2)
    filter.metered[j] = before + by
  }
  move(ground, state, steps, shift, noise)
  return logZ
}
/** Litres that are believed less than this teach as good as nothing. */
const LEAST_TRUST = 1e-4

function measure(ground: Ground, state: Gaussian, measured: Measured): number {
  const { level, variance } = wholeOf(ground, state, measured)
  return observeDoubting(state, { at: [levelOf(ground, measured.container)], weights: [1] }, level, variance)
}

/** The level that a measured amount comes to, with those that stand aside, and its error. */
export function wholeOf(
  ground: Ground,
  state: Gaussian,
  { container, level, deviation, aside }: Measured,
): { level: Amount; variance: number } {
  const index = levelOf(ground, container)
  // Of several pieces, as many stand aside as the count makes likeliest.
  const full = aside
    ? Math.min(aside.most, Math.max(0, Math.round((state.mean[index]! - level) / aside.each)))
    : 0
  const standing = full * (aside?.each ?? 0)
  // How much those hold is as unsure as their size.
  const { capacitySpread } = ground.containers[container]!
  return { level: level + standing, variance: deviation ** 2 + (capacitySpread * standing) ** 2 }
}

/** x = L ÷ (capacity × c), made linear where the filter stands. */
export function shareLook(ground: Ground, { mean }: Gaussian, container: number): Look & { x: number } {
  const { capacity } = ground.model.containers[container]!
  const [level, factor] = [levelOf(ground, container), capacityFactor(ground, container)]
  const full = capacity * mean[factor]!
  const x = mean[level]! / full
  return { at: [level, factor], weights: [1 / full, -x / mean[factor]!], x }
}

/** What a panel's reading says, as the filter stands; nothing is changed by it. @param before what its panel showed last */
function seenBy(ground: Ground, { state }: Filter, evidence: PanelRead, before: Filter['shown'][number]) {
  const { side } = ground.model.containers[evidence.container]!
  const look = shareLook(ground, state, evidence.container)
  const step = stepOf(evidence)
  // The same step again says nothing new of the end that the level left behind, unless it is believed to be outside of it.
  const isAgain = isSame(before, step) && !evidence.aside && look.x >= step.from && look.x <= step.to
  const u = along(state, look)
  const own = varianceOf(u, look)
  const variance = own + PANEL_NOISE ** 2
  // And the less the level has moved since, the less is new: a Gaussian that is cut each time again would narrow without cause.
  const moved = before && isAgain ? Math.abs(look.x - before.at) / Math.sqrt(variance) : 1
  const stretches = tempered(stretchesOf(evidence, isAgain ? side : null), Math.min(1, moved))
  return { look, step, u, own, variance, seen: through(look.x, variance, stretches) }
}

/** ln of how likely a panel's reading is, as the filter stands. @param isFirst as if its panel had shown nothing before */
export function logLikely(ground: Ground, filter: Filter, evidence: PanelRead, isFirst = false): number {
  return seenBy(ground, filter, evidence, isFirst ? null : filter.shown[evidence.container]!).seen.logZ
}

function read(ground: Ground, filter: Filter, evidence: PanelRead): number {
  const { state, shown } = filter
  const { look, step, u, own, variance, seen } = seenBy(ground, filter, evidence, shown[evidence.container]!)
  shown[evidence.container] = { ...step, at: look.x }
  // What is known to the drop is not moved by a panel; the panel may be wrong for all that.
  if (own > 1e-12) update(state, u, { before: look.x, after: seen.mean, variance, left: seen.variance })
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
