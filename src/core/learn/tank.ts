import type { Filter } from './filter'
import { along, copyOf, through, varianceOf, type Gaussian, type Look } from './gaussian'
import { capacityFactor, levelOf, type Ground } from './ground'

/** What is missing to full: capacity × c − L. The level is looked at last. */
export function headroomLook(ground: Ground, container: number): Look {
  const { capacity } = ground.model.containers[container]!
  return { at: [capacityFactor(ground, container), levelOf(ground, container)], weights: [capacity, -1] }
}

/** Less of a belief than this inside its tank: it is past its limit, and that really happened. */
const REALLY = 0.1

/**
 * Cuts what is believed of a level to what its tank holds, between empty and as full as its own capacity: means as well as
 * deviations, and what goes with them. What is dry, or past full, by nearly all that is believed stays so: it breached.
 */
export function cutToTank(ground: Ground, state: Gaussian, container: number): void {
  const { side } = ground.model.containers[container]!
  cut(state, { at: [levelOf(ground, container)], weights: [1] }, side === 'supply' ? REALLY : 0)
  cut(state, headroomLook(ground, container), side === 'waste' ? REALLY : 0)
}

/** A copy of it with levels cut to their tanks. @param of of which; all, where nothing else is said */
export function cutToTanks(
  ground: Ground,
  filter: Filter,
  of: readonly number[] = ground.containers.map((_, c) => c),
): Filter {
  const state = copyOf(filter.state)
  for (const container of of) cutToTank(ground, state, container)
  return { ...filter, state }
}

/**
 * Lets x be no less than nothing, where at least so much of what is believed of it is so: the level, looked at last, is
 * drawn together to the moments of what is left. Nothing else is learned from it.
 */
function cut(state: Gaussian, look: Look, least: number): void {
  const { size, mean, covariance } = state
  const u = along(state, look)
  const variance = varianceOf(u, look)
  if (variance <= 1e-9) return
  const x = look.at.reduce((sum, index, k) => sum + mean[index]! * look.weights[k]!, 0)
  const seen = through(x, variance, [{ from: 0, to: Infinity, likelihood: 1 }])
  if (Math.exp(seen.logZ) < Math.max(least, LEAST_INSIDE)) return
  const [level, weight] = [look.at.at(-1)!, look.weights.at(-1)!]
  const by = (Math.sqrt(seen.variance / variance) - 1) / weight
  mean[level]! += (seen.mean - x) / weight
  for (let k = 0; k < size; k++) {
    if (k === level) continue
    covariance[k * size + level]! += by * u[k]!
    covariance[level * size + k]! += by * u[k]!
  }
  covariance[level * size + level]! += 2 * by * u[level]! + by * by * variance
}
const LEAST_INSIDE = 1e-6
