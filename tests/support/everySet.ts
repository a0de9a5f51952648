import { ledger } from '@/core/count'
import { flushKept, flushRatios } from '@/core/habits'
import { compile } from '@/core/compile'
import { caseOf, type Document, type Id } from '@/core/domain'
import { allowedOf, fixedTrips, reach, type Reach, type ReachOptions } from '@/core/reach'
import { playTrips, riskTables, tripLuck } from '@/core/risk'
import { samplerFor } from './spreads'
import { withHabitsIn } from './inDocument'

export interface EverySetOptions {
  untilDays: number
  trips: number
  without?: readonly Id[]
  /** L of liquid per solid use that a set must keep, or all that the stay has without habits; default the school's. */
  kept?: number
}

/** Every set that the groups allow, each played by the sampler alone: what a search must find, by hand. */
export function everySet(document: Document, { untilDays, trips, without = [], kept }: EverySetOptions) {
  const stay = document.stays[0]!
  const horizon = Math.min(stay.horizonDays.value, Math.ceil(untilDays + 1))
  const habits = document.habits.filter(({ id }) => !without.includes(id))
  const groupOf = (id: Id) => habits.find((one) => one.id === id)!.group
  const sets = habits.reduce<Id[][]>(
    (all, { id, group }) => [
      ...all,
      ...all
        .filter((set) => group === null || set.every((other) => groupOf(other) !== group))
        .map((set) => [...set, id]),
    ],
    [[]],
  )
  const leastLiquid = (set: readonly Id[]) => {
    const model = compile(caseOf(withHabitsIn(document, stay.id, set), stay.id), { horizonDays: horizon })
    const end = model.grid.edges.findIndex((edge, i) => i > 0 && edge >= untilDays)
    const ratios = flushRatios(model, ledger(model), end < 0 ? model.grid.count : end)
    return Math.min(...ratios.map(({ least }) => least ?? Infinity))
  }
  const floor = Math.min(kept ?? flushKept(document.crews[0]!), leastLiquid([]))
  const own = { seed: 1, trips, horizonDays: horizon, tables: riskTables() }
  const { numbers } = fixedTrips(caseOf(document, stay.id), own)
  const streams = numbers.map((number) => tripLuck(1, number, number + 1)[0]!)
  return sets
    .filter((set) => floor === 0 || leastLiquid(set) >= floor - 1e-9)
    .map((set) => {
      const { days } = playTrips(samplerFor(withHabitsIn(document, stay.id, set), stay.id, horizon), streams)
      const rank = allowedOf(stay.confidence.value, trips)
      const bother = set.reduce((sum, id) => sum + habits.find((one) => one.id === id)!.bother.value, 0)
      return { set: [...set].sort().join(), bother, days: Math.min(horizon, days.sort()[rank]!) }
    })
}

export function searchWhole(document: Document, stay: Id, options: ReachOptions): Reach {
  const steps = reach(caseOf(document, stay), options)
  for (;;) {
    const step = steps.next()
    if (step.done) return step.value
  }
}
