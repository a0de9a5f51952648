import { levelBefore, partAt, type Count, type Ledger } from '../count'
import { FLOW_ENDS, endId, type Id, type Model, type Stream } from '../model'
import type { Days, Litres } from '../quantities'

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

/** level = start + Σ amounts, over the span from the start of the stay. */
export interface LevelSum {
  container: Id
  start: Litres
  terms: Term[]
  level: Litres
  /** Days from the start to the end of the span. */
  days: Days
}

/** The sum behind a level at the end of a part. @param part 0 to the grid's count − 1 */
export function explainLevel(model: Model, ledger: Ledger, container: number, part: number): LevelSum {
  return sumUpTo(model, ledger, container, part, 1)
}

/** The sum behind a container's own count, up to the instant it is crossed; null where it never is. */
export function explainCount(model: Model, counted: Count, container: number): LevelSum | null {
  const breach = counted.breaches[container]
  return breach ? explainAt(model, counted.ledger, container, breach.days) : null
}

/** The sum behind a level at any instant. @param days from the start, 0 to the last edge of the grid */
export function explainAt(model: Model, ledger: Ledger, container: number, days: Days): LevelSum {
  const { edges } = model.grid
  const part = partAt(model, days)
  const share = (days - edges[part]!) / (edges[part + 1]! - edges[part]!)
  return sumUpTo(model, ledger, container, part, share)
}

/** @param shareOfLast how much of the last part counts, 0 to 1: flows are uniform within a part */
function sumUpTo(
  model: Model,
  ledger: Ledger,
  container: number,
  last: number,
  shareOfLast: number,
): LevelSum {
  const { count, edges } = model.grid
  const terms = model.streams
    .map((stream, s) => ({ stream, s }))
    .filter(({ stream }) => stream.to === container || stream.from === container)
    .map(({ stream, s }) => termOf(model, ledger, stream, s, container, last, shareOfLast))
    .filter(({ amount }) => amount !== 0)
    .sort((a, b) => Math.abs(b.amount) - Math.abs(a.amount))
  const before = levelBefore(model, ledger, container, last)
  const after = ledger.levels[container * count + last]!
  return {
    container: model.containers[container]!.id,
    start: model.containers[container]!.start,
    terms,
    level: before + (after - before) * shareOfLast,
    days: edges[last]! + (edges[last + 1]! - edges[last]!) * shareOfLast,
  }
}

function termOf(
  model: Model,
  ledger: Ledger,
  stream: Stream,
  s: number,
  container: number,
  last: number,
  shareOfLast: number,
): Term {
  const { count } = model.grid
  let uses = 0
  let total = 0
  for (let i = 0; i <= last; i++) {
    const share = i === last ? shareOfLast : 1
    uses += model.uses[stream.activity * count + i]! * share
    total += ledger.amounts[s * count + i]! * share
  }
  return {
    activity: model.activities[stream.activity]!.id,
    from: endId(model, stream.from, FLOW_ENDS),
    to: endId(model, stream.to, FLOW_ENDS),
    uses,
    perUse: uses > 0 ? total / uses : 0,
    amount: stream.to === container ? total : -total,
  }
}
