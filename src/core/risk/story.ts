import type { DayNumber, PartIndex } from '../calendar'
import { partAt } from '../count'
import { heatStepsAt, type Model } from '../compile'
import type { ContainerIndex, Id } from '../domain'
import type { Amount, Days } from '../quantities'
import type { Term } from './accounts'
import { BATCH } from './batch'
import type { Sampler } from './sampler'
import { playTrips, type Watch } from './trips'

/** Why one trip went as it did, the heaviest reason first; what held the stop off is last, with less than 0. */
export interface Story {
  days: Days
  stopper: Id
  /** The last run that changed what the stopper holds: what was before it does not matter; null: there was none. */
  since: Days | null
  /** Days above the crew's threshold of heat up to the stop, as drawn and as given. */
  hotDays: number
  hotDaysGiven: number
  reasons: Reason[]
}

/**
 * How much a cause brought the stopper nearer its limit than an average trip would, L (a solids bin: uses). `start` is the level
 * it started at, or after the last run.
 */
export type Reason =
  | { kind: 'activity'; activity: Id; closer: number; uses: number; usual: number; perUse: number }
  | { kind: 'start'; closer: number }
  | { kind: 'capacity'; closer: number }

/**
 * One trip played again, with what moved it. Closer = what the activity brought to the stopper up to the end of the part
 * in which it stopped, less the mean of that; the start's and the limit's difference from what is given.
 * @param sampler one that draws every activity's uses (`withDraws`) @param trip its number among those of the seed
 * @returns null where nothing stops it
 */
export function storyOf(sampler: Sampler, seed: number, trip: number): Story | null {
  const stream = sampler.luck(seed, trip, trip + 1)
  const end = playTrips(sampler, stream, null, null, trip)
  const stopper = end.stopper[0]!
  if (stopper < 0) return null
  const { model } = sampler
  const days = end.days[0]!
  const last = partAt(model, days)
  const watched = watchTrip(sampler, stream, trip, stopper, last)
  const reasons = reasonsOf(model, watched, last)
  return {
    days,
    stopper: model.containers[stopper]!.id,
    since: watched.since > 0 ? model.grid.edges[watched.since]! : null,
    ...hotDaysOf(sampler, watched.heats, model.grid.day[last]!),
    reasons: reasons.sort((a, b) => b.closer - a.closer),
  }
}

/** What moved one trip's stopper, and by how much. */
interface Watched {
  /** By activity: its uses, the litres of them over those of a mean use, and what it brought beside the mean. */
  uses: number[]
  perUse: number[]
  brought: number[]
  /** The slice of heat of each day. */
  heats: number[]
  /** By what the start and the limit differ from what is given. */
  start: Amount
  limit: Amount
  /** The part from which on it counts: that of the last run that touched the stopper, or the first. */
  since: PartIndex
}

function watchTrip(
  sampler: Sampler,
  stream: Parameters<typeof playTrips>[1],
  trip: number,
  stopper: number,
  last: number,
): Watched {
  const { model, signs } = sampler
  const { count, day } = model.grid
  const sign = signs[stopper]!
  const zeros = () => model.activities.map(() => 0)
  const watched: Watched = {
    uses: zeros(),
    perUse: zeros(),
    brought: zeros(),
    heats: [],
    start: 0,
    limit: 0,
    since: 0,
  }
  const terms = sampler.accounts.terms.map((all) => all.flatMap((term) => termOn(term, stopper)))
  const watch: Watch = {
    start: (batch) => {
      watched.start = sign * batch.off[stopper * BATCH]!
      watched.limit = sign * (model.containers[stopper]!.limit! - batch.limit[stopper * BATCH]!)
    },
    runs: (batch, i) => {
      const steps = sampler.runs.get(i)!.all.flatMap((run) => run.steps)
      if (i > last || !steps.some(({ from, to }) => from === stopper || to === stopper)) return
      Object.assign(watched, { uses: zeros(), perUse: zeros(), brought: zeros(), since: i })
      watched.start = sign * batch.off[stopper * BATCH]!
    },
    drawn: (batch, a, i) => {
      if (i > last) return
      if (i === 0 || day[i] !== day[i - 1]) watched.heats[day[i]!] = batch.heat[0]!
      const [uses, sums] = [batch.uses[0]!, batch.sums[0]!]
      const mean = model.uses[a * count + i]!
      watched.uses[a]! += uses
      watched.perUse[a]! += sums
      for (const { weights, ofUses, factor } of terms[a]!)
        watched.brought[a]! += sign * factor * weights[i]! * ((ofUses ? uses : sums) - mean)
    },
  }
  playTrips(sampler, stream, null, watch, trip)
  return watched
}

/** What a term does to one container. */
function termOn({ first, second, factor, weights, ofUses }: Term, container: ContainerIndex) {
  if (first === container) return [{ weights, ofUses, factor: 1 }]
  return second === container ? [{ weights, ofUses, factor }] : []
}

function reasonsOf({ activities, uses, grid: { count } }: Model, watched: Watched, last: number): Reason[] {
  const usual = (a: number) =>
    uses.subarray(a * count + watched.since, a * count + last + 1).reduce((sum, n) => sum + n, 0)
  return [
    ...activities.map(({ id }, a): Reason => ({
      kind: 'activity',
      activity: id,
      closer: watched.brought[a]!,
      uses: watched.uses[a]!,
      usual: usual(a),
      perUse: watched.uses[a] === 0 ? 1 : watched.perUse[a]! / watched.uses[a]!,
    })),
    { kind: 'start', closer: watched.start },
    { kind: 'capacity', closer: watched.limit },
  ]
}

/** Hot days of the trip up to one day, and those that were foreseen. */
function hotDaysOf({ heats, heatChange, chances }: Sampler, drawn: readonly number[], lastDay: DayNumber) {
  const change = (day: DayNumber) => (heats > 1 ? heatChange[day * heats + (drawn[day] ?? 0)]! : 0)
  const given = [...chances.warmest].map((celsius) => heatStepsAt(celsius, chances.heatAbove))
  const days = [...Array(lastDay + 1).keys()]
  return {
    hotDays: days.filter((day) => given[day]! + change(day) > 0).length,
    hotDaysGiven: days.filter((day) => given[day]! > 0).length,
  }
}

/** The trip of that rank, from 1, by its count; of equal ones the first comes first. @param days of each trip */
export function tripAt(days: Float64Array, rank: number): number {
  const value = Float64Array.from(days).sort()[rank - 1]!
  let before = rank - 1 - days.reduce((below, one) => below + (one < value ? 1 : 0), 0)
  return days.findIndex((one) => one === value && before-- === 0)
}
