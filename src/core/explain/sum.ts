import type { PartIndex } from '../calendar'
import { levelBefore, mergedStreams, partAt, type Count, type Ledger } from '../count'
import type { Model } from '../compile'
import type { ContainerIndex, Id } from '../domain'
import type { Days, Litres } from '../quantities'
import type { Bound } from '../runs'

/** One line of a sum: an activity's flow into (+) or out of (−) the container. */
export interface Term {
  activity: Id
  from: Id
  to: Id
  /** Uses over the span. */
  uses: number
  /** L of this flow per use, the mean over the span; >= 0. */
  perUse: Litres
  /** Signed L: what it adds to the level. */
  amount: Litres
}

/** What one run did to the container: into it (+) or out of it (−), and what each of its steps could not, with what cut it. */
export interface RunTerm {
  run: Id
  part: PartIndex
  amount: Litres
  /** Of every step that was cut short, in their order; of loads what the last one left. */
  undone: { step: number; amount: Litres; bound: Bound }[]
}

/** level = start + Σ amounts of uses and of runs, over the span from the start of the stay. */
export interface LevelSum {
  container: Id
  start: Litres
  terms: Term[]
  /** In the order in which they were. */
  runs: RunTerm[]
  level: Litres
  /** Days from the start to the end of the span. */
  days: Days
}

/** The sum behind a level at the end of a part. @param part 0 to the grid's count − 1 */
export function explainLevel(
  model: Model,
  ledger: Ledger,
  container: ContainerIndex,
  part: PartIndex,
): LevelSum {
  return sumUpTo(model, ledger, container, part, 1)
}

/** The sum behind a container's own count, up to the instant it is crossed; null where it never is. */
export function explainCount(model: Model, counted: Count, container: ContainerIndex): LevelSum | null {
  const breach = counted.breaches[container]
  if (!breach) return null
  const { days, part } = breach
  const { edges } = model.grid
  // Of its own part: what a run leaves past a limit stands at the very start of it.
  const share = Math.max(0, (days - edges[part]!) / (edges[part + 1]! - edges[part]!))
  return sumUpTo(model, counted.ledger, container, part, share)
}

/** The sum behind a level at any instant. @param days from the start, 0 to the last edge of the grid */
export function explainAt(model: Model, ledger: Ledger, container: ContainerIndex, days: Days): LevelSum {
  const { edges } = model.grid
  const part = partAt(model, days)
  const share = (days - edges[part]!) / (edges[part + 1]! - edges[part]!)
  return sumUpTo(model, ledger, container, part, share)
}

/** @param shareOfLast how much of the last part counts, 0 to 1: flows are uniform within a part */
function sumUpTo(
  model: Model,
  ledger: Ledger,
  container: ContainerIndex,
  last: number,
  shareOfLast: number,
): LevelSum {
  const { count, edges } = model.grid
  const { id } = model.containers[container]!
  const terms = mergedStreams(model)
    .filter(({ from, to }) => from === id || to === id)
    .map(({ activity, from, to, streams }) => {
      const { uses, total } = flowed(model, ledger, streams, last, shareOfLast)
      return {
        activity,
        from,
        to,
        uses,
        perUse: uses > 0 ? total / uses : 0,
        amount: to === id ? total : -total,
      }
    })
    .filter(({ amount }) => amount !== 0)
    .sort((a, b) => Math.abs(b.amount) - Math.abs(a.amount))
  const before = levelBefore(model, ledger, container, last)
  const after = ledger.levels[container * count + last]!
  return {
    container: id,
    start: model.containers[container]!.start,
    terms,
    runs: runTerms(ledger, container, last),
    level: before + (after - before) * shareOfLast,
    days: edges[last]! + (edges[last + 1]! - edges[last]!) * shareOfLast,
  }
}

/** Runs up to the start of the last part, that one's included; all steps of one together. */
function runTerms({ runs }: Ledger, container: ContainerIndex, last: PartIndex): RunTerm[] {
  const terms = new Map<Id, RunTerm>()
  for (const { run, part, step, from, to, asked, moved, bound } of runs) {
    if (part > last || (from !== container && to !== container)) continue
    const known = terms.get(run) ?? { run, part, amount: 0, undone: [] }
    const amount = known.amount + (to === container ? moved : -moved)
    const others = known.undone.filter((one) => one.step !== step)
    const cut = asked > moved ? [{ step, amount: asked - moved, bound }] : []
    terms.set(run, { run, part, amount, undone: [...others, ...cut] })
  }
  return [...terms.values()]
}

/** Uses and L of an activity's streams over the span. */
function flowed(
  { uses, streams: all, grid: { count } }: Model,
  { amounts }: Ledger,
  streams: readonly number[],
  last: number,
  shareOfLast: number,
): { uses: number; total: number } {
  const { activity } = all[streams[0]!]!
  const sum = { uses: 0, total: 0 }
  for (let i = 0; i <= last; i++) {
    const share = i === last ? shareOfLast : 1
    sum.uses += uses[activity * count + i]! * share
    for (const s of streams) sum.total += amounts[s * count + i]! * share
  }
  return sum
}
