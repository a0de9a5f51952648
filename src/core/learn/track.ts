import type { Amount, Days } from '../quantities'
import type { Evidence } from './evidence'
import { goOn, startFilter, takeIn } from './filter'
import { levelOf } from './ground'
import { cutToTanks } from './tank'
import { inTime, type Learned } from './learn'

/** How the levels went, on the mean: at the end of each part, and before and after everything that was done or seen. */
export interface Track {
  /** Days from the model's start, ascending; the same instant twice where something moved a level. */
  at: Days[]
  /** By container, in the model's order: a level for each instant. */
  levels: Amount[][]
}

/** Readings that are held for wrong are left out: its end is the level now. */
export function trackOf(
  { ground, leftOut }: Pick<Learned, 'ground' | 'leftOut'>,
  evidence: readonly Evidence[],
  until: Days,
): Track {
  const filter = startFilter(ground)
  const track: Track = { at: [], levels: ground.containers.map(() => []) }
  const mark = () => {
    track.at.push(filter.at)
    const { mean } = cutToTanks(ground, filter).state
    track.levels.forEach((levels, c) => levels.push(Math.max(0, mean[levelOf(ground, c)]!)))
  }
  const { edges } = ground.model.grid
  let part = 1
  const upTo = (at: Days) => {
    for (; part < edges.length && edges[part]! < at; part++) {
      goOn(ground, filter, edges[part]!)
      mark()
    }
    goOn(ground, filter, at)
    mark()
  }
  mark()
  for (const one of inTime(evidence)) {
    if (one.at > until) break
    if (leftOut.has(one)) continue
    if (one.kind === 'left-out' || one.kind === 'counted') continue
    upTo(one.at)
    takeIn(ground, filter, one)
    mark()
  }
  upTo(until)
  return track
}
