import { partAt } from '../count'
import type { Id } from '../model'
import type { Days } from '../quantities'
import { BATCH } from './batch'
import type { Sampler } from './sampler'
import { playTrips } from './trips'

/** Why one trip went as it did, the heaviest reason first; what held the stop off is last, with less than 0. */
export interface Story {
  days: Days
  stopper: Id
  /** Days above the crew's threshold of heat up to the stop, as drawn and as given. */
  hotDays: number
  hotDaysGiven: number
  reasons: Reason[]
}

/** How much a cause brought the stopper nearer its limit than an average trip would, L (a solids bin: uses). */
export type Reason =
  | { kind: 'activity'; activity: Id; closer: number; uses: number; usual: number; perUse: number }
  | { kind: 'start'; closer: number }
  | { kind: 'capacity'; closer: number }

/**
 * One trip played again, with what moved it. Closer = what the activity brought to the stopper up to the end of the part
 * in which it stopped, less the mean of that; the start's and the limit's difference from what is given.
 * @param sampler one that draws every activity's uses (`withDraws`) @param trip its number among those of the seed @returns null where nothing stops it
 */
export function storyOf(sampler: Sampler, seed: number, trip: number): Story | null {
  const stream = sampler.streams(seed, trip, trip + 1)
  const end = playTrips(sampler, stream)
  const c = end.stopper[0]!
  if (c < 0) return null
  const { model, signs, chances } = sampler
  const { count } = model.grid
  const last = partAt(model, end.days[0]!)
  const sign = signs[c]!
  const uses = model.activities.map(() => 0)
  const brought = model.activities.map(() => 0)
  const perUse = model.activities.map(() => 0)
  const heats: number[] = []
  let [start, limit] = [0, 0]
  const terms = sampler.accounts.terms.map((all) =>
    all.flatMap(({ first, second, factor, weights, ofUses }) =>
      first === c ? [{ weights, ofUses, factor: 1 }] : second === c ? [{ weights, ofUses, factor }] : [],
    ),
  )
  playTrips(sampler, stream, null, {
    start: (batch) => {
      start = sign * batch.off[c * BATCH]!
      limit = sign * (model.containers[c]!.limit! - batch.limit[c * BATCH]!)
    },
    drawn: (batch, a, i) => {
      if (i > last) return
      if (i === 0 || model.grid.day[i] !== model.grid.day[i - 1]) heats[model.grid.day[i]!] = batch.heat[0]!
      const mean = model.uses[a * count + i]!
      uses[a]! += batch.uses[0]!
      perUse[a]! += batch.sums[0]!
      for (const { weights, ofUses, factor } of terms[a]!)
        brought[a]! += sign * factor * weights[i]! * ((ofUses ? batch.uses[0]! : batch.sums[0]!) - mean)
    },
  })
  const usual = (a: number) =>
    model.uses.subarray(a * count, a * count + last + 1).reduce((sum, n) => sum + n, 0)
  const reasons: Reason[] = [
    ...model.activities.map(({ id }, a): Reason => ({
      kind: 'activity',
      activity: id,
      closer: brought[a]!,
      uses: uses[a]!,
      usual: usual(a),
      perUse: uses[a] === 0 ? 1 : perUse[a]! / uses[a]!,
    })),
    { kind: 'start', closer: start },
    { kind: 'capacity', closer: limit },
  ]
  const change = (day: number) =>
    sampler.heats > 1 ? sampler.heatChange[day * sampler.heats + (heats[day] ?? 0)]! : 0
  const given = [...chances.warmest].map((celsius) => Math.max(0, celsius - chances.heatAbove) / 5)
  const days = [...Array(model.grid.day[last]! + 1).keys()]
  return {
    days: end.days[0]!,
    stopper: model.containers[c]!.id,
    hotDays: days.filter((day) => given[day]! + change(day) > 0).length,
    hotDaysGiven: days.filter((day) => given[day]! > 0).length,
    reasons: reasons.sort((a, b) => b.closer - a.closer),
  }
}

/** The trip at the q-quantile of the counts. @param days of each trip */
export function tripAt(days: Float64Array, rank: number): number {
  const order = [...days.keys()].sort((a, b) => days[a]! - days[b]! || a - b)
  return order[rank - 1]!
}
