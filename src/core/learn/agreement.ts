import type { ContainerIndex } from '../domain'
import type { Days, Share } from '../quantities'
import type { Measured, PanelRead } from './evidence'
import { logLikely, wholeOf, type Filter } from './filter'
import { levelOf, type Ground } from './ground'
import { upperTail } from './gaussian'
import { cutToTanks } from './tank'
import { levelNow, type LevelNow } from './posterior'

/** What a reading says beside what the count says of the same moment. */
export interface Agreement {
  at: Days
  container: ContainerIndex
  /** What the count and everything read before give. */
  counted: LevelNow
  /** What the reading says: from, to; of a panel's step both its ends, L. */
  read: { from: number; to: number }
  /** How likely the reading was, where all is as it was believed to be: the step, or an amount as far off or farther. */
  likely: Share
  /** Its probe is held for stuck, and it was left out. */
  isLeftOut: boolean
}

/** A reading less likely than this contradicts. */
export const CONTRADICTS = 0.05

export function agreementOf(
  ground: Ground,
  before: Filter,
  reading: PanelRead | Measured,
  isLeftOut: boolean,
): Agreement {
  const { at, container } = reading
  return {
    at,
    container,
    counted: levelNow(ground, cutToTanks(ground, before, [container]), container),
    read: spanOf(ground, before, reading),
    likely:
      reading.kind === 'panel'
        ? panelLikely(ground, before, reading)
        : measuredLikely(ground, before, reading),
    isLeftOut,
  }
}

function spanOf(ground: Ground, { state }: Filter, reading: PanelRead | Measured): Agreement['read'] {
  if (reading.kind === 'measured') {
    const { level } = wholeOf(ground, state, reading)
    return { from: level, to: level }
  }
  const { capacity } = ground.model.containers[reading.container]!
  const { edges, step, aside } = reading
  const [from, to] = [edges[step]! * capacity, (edges[step + 1] ?? 1) * capacity]
  if (!aside) return { from, to }
  // With as many aside as fit the count best.
  const each = aside.each * capacity
  const off = state.mean[levelOf(ground, reading.container)]! - (from + Math.min(to, each)) / 2
  const standing = Math.min(aside.most, Math.max(0, Math.round(off / each))) * each
  return { from: from + standing, to: Math.min(capacity, to + standing) }
}

/** Of this step among all that could have been lit. */
function panelLikely(ground: Ground, before: Filter, reading: PanelRead): Share {
  const each = reading.edges.map((_, step) => Math.exp(logLikely(ground, before, { ...reading, step }, true)))
  return each[reading.step]! / each.reduce((sum, p) => sum + p, 0)
}

/** Of a reading as far off as this one, or farther. */
function measuredLikely(ground: Ground, { state }: Filter, reading: Measured): Share {
  const index = levelOf(ground, reading.container)
  const { level, variance } = wholeOf(ground, state, reading)
  const z =
    Math.abs(level - state.mean[index]!) / Math.sqrt(state.covariance[index * state.size + index]! + variance)
  return 2 * upperTail(z)
}
