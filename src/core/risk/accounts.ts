import { addedPerUse, drawnPerUse } from '../compile'
import type { PartIndex } from '../calendar'
import type { Amount } from '../quantities'
import type { Ledger } from '../count'
import type { Model } from '../compile'
import type { ActivityIndex, ContainerIndex } from '../domain'

/**
 * What a trip adds up, part by part: the level of every container, then, for each black tank that solids reach, the
 * liquid on them (L) and the solid uses. All are sums over streams, so a use moves each by
 * `ofSum` × its litres over those of one mean use + `ofUse` × uses.
 */
export interface Accounts {
  count: number
  /** What is the same in every trip, and the means of what differs little, at the end of each part; row = account. */
  base: Float64Array
  /** The base right after the runs of each part that has any, by account: what a trip's levels are counted from there. */
  afterRuns: ReadonlyMap<PartIndex, Float64Array>
  starts: Float64Array
  /** Containers whose liquid and solids are kept, and the accounts that do. */
  flush: { container: ContainerIndex; liquid: number; solids: number }[]
  /** What a stream's amount does to an account: −1, 0, 1. Row = stream. */
  signs: Int8Array
  /** What each activity does to the accounts, but for the streams that a vessel taps. */
  terms: Term[][]
}

/**
 * A use adds `weights` of its part × its litres over those of one mean use (or × 1 where it is of uses) to an account, and
 * `factor` times that to a second one: what leaves one container mostly enters another.
 */
export interface Term {
  ofUses: boolean
  /** Per part of the grid. */
  weights: Float64Array
  first: number
  /** −1: none. */
  second: number
  factor: number
}

export interface AccountOptions {
  /** Streams that a vessel takes from or gives to. */
  tapped: ReadonlySet<number>
  /** Activities of which trips add what differs from the mean; of the others they add all. */
  isBase: readonly boolean[]
  /** Whether liquid and solids are kept as well. */
  withFlush: boolean
}

export function accountsOf(
  model: Model,
  ledger: Ledger,
  { tapped, isBase, withFlush }: AccountOptions,
): Accounts {
  const { containers, streams } = model
  const reached = containers.flatMap(({ isBlack }, c) =>
    withFlush && isBlack && streams.some(({ to, solidUses }) => to === c && solidUses > 0) ? [c] : [],
  )
  const flush = reached.map((container, f) => {
    const liquid = containers.length + 2 * f
    return { container, liquid, solids: liquid + 1 }
  })
  const accounts = containers.length + 2 * flush.length
  const signs = levelSigns(model, accounts)
  streams.forEach(({ to, isSolid }, s) => {
    for (const { container, liquid } of flush)
      if (to === container && !isSolid) signs[s * accounts + liquid] = 1
  })
  const starts = new Float64Array(accounts)
  containers.forEach(({ start }, c) => (starts[c] = start))
  for (const { container, liquid, solids } of flush) {
    starts[liquid] = containers[container]!.onSolids.liquid
    starts[solids] = containers[container]!.onSolids.uses
  }
  const solidsOf = new Map(flush.map(({ container, solids }) => [container, solids]))
  const { base, afterRuns } = baseOf(model, ledger, { signs, starts, solidsOf, isBase, flush })
  const terms = model.activities.map((_, a) =>
    effectsOf(model, a, { signs, accounts, solidsOf, tapped }).flatMap(({ ofUses, effects }) =>
      paired(effects).map((pair) => ({ ofUses, ...pair })),
    ),
  )
  return { count: accounts, base, afterRuns, starts, flush, signs, terms }
}

/** What a stream's amount does to the level of each container: −1, 0, 1. Row = stream. @param width of a row */
export function levelSigns({ streams }: Model, width: number): Int8Array {
  const signs = new Int8Array(streams.length * width)
  streams.forEach(({ from, to }, s) => {
    if (to >= 0) signs[s * width + to]! += 1
    if (from >= 0) signs[s * width + from]! -= 1
  })
  return signs
}

/** What one use, or the litres of one mean use, does to an account in each part. */
export interface Effect {
  account: number
  weights: Float64Array
}

/** Effects that keep one proportion through all parts, two and two. */
function paired(effects: readonly Effect[]): Omit<Term, 'ofUses'>[] {
  const terms: Omit<Term, 'ofUses'>[] = []
  for (const { account, weights } of effects) {
    const at = weights.findIndex((weight) => weight !== 0)
    if (at < 0) continue
    const isLike = (other: Float64Array) =>
      other[at] !== 0 &&
      weights.every(
        (weight, i) => Math.abs(weight - (weights[at]! / other[at]!) * other[i]!) <= 1e-13 * Math.abs(weight),
      )
    const term = terms.find((one) => one.second < 0 && isLike(one.weights))
    if (term) Object.assign(term, { second: account, factor: weights[at]! / term.weights[at]! })
    else terms.push({ weights, first: account, second: -1, factor: 0 })
  }
  return terms
}

/** The ledger of some of its streams, added up in its own order, so that of all of them it is the ledger to the last bit. */
function baseOf(
  model: Model,
  ledger: Ledger,
  options: Pick<Accounts, 'signs' | 'starts' | 'flush'> &
    Pick<AccountOptions, 'isBase'> & { solidsOf: ReadonlyMap<number, number> },
): Pick<Accounts, 'base' | 'afterRuns'> {
  const { signs, starts, isBase, solidsOf, flush } = options
  const { count } = model.grid
  const base = new Float64Array(starts.length * count)
  model.streams.forEach(({ activity, to, solidUses, portion }, s) => {
    if (!isBase[activity]) return
    starts.forEach((_, k) => {
      const sign = signs[s * starts.length + k]!
      if (sign !== 0)
        for (let i = 0; i < count; i++) base[k * count + i]! += sign * ledger.amounts[s * count + i]!
    })
    const solids = solidsOf.get(to)
    if (solids !== undefined)
      for (let i = 0; i < count; i++)
        base[solids * count + i]! += solidUses * model.uses[activity * count + i]! * (portion?.[i] ?? 1)
  })
  return { base, afterRuns: accumulated(base, count, starts, ledger, flush) }
}

/** Flows turned into what they add up to, in place, run by run as the ledger moved it; @returns what stood after each part's. */
function accumulated(
  base: Float64Array,
  count: number,
  starts: Float64Array,
  { runs }: Ledger,
  flush: Accounts['flush'],
): Accounts['afterRuns'] {
  const afterRuns = new Map<PartIndex, Float64Array>()
  const now = starts.slice()
  let from = 0
  const flow = (until: number) => {
    now.forEach((start, k) => {
      let level = start
      for (let i = k * count + from; i < k * count + until; i++) {
        level += base[i]!
        base[i] = level
      }
      now[k] = level
    })
    from = until
  }
  for (const row of runs) {
    flow(row.part)
    if (row.from >= 0) now[row.from]! -= row.moved
    if (row.to >= 0) now[row.to]! += row.moved
    for (const { container, liquid, solids } of flush) {
      if (row.to === container) now[liquid]! += row.moved
      if (row.from === container && row.left !== null) [now[liquid], now[solids]] = [row.left, 0]
    }
    afterRuns.set(row.part, now.slice())
  }
  flow(count)
  return afterRuns
}

/** The base of an account at the start of a part, after its runs. */
export function baseBefore(
  { afterRuns, starts, base }: Accounts,
  account: number,
  part: PartIndex,
  count: number,
): number {
  const after = afterRuns.get(part)
  if (after) return after[account]!
  return part === 0 ? starts[account]! : base[account * count + part - 1]!
}

interface EffectContext {
  /** As in `Accounts`. */
  signs: Int8Array
  accounts: number
  solidsOf: ReadonlyMap<number, number>
  /** Streams left out. */
  tapped: ReadonlySet<number>
}

/** What one use does to the accounts: through its litres, and through itself. What vessels do is left aside. */
export function effectsOf(
  model: Model,
  activity: ActivityIndex,
  context: EffectContext,
): { ofUses: boolean; effects: Effect[] }[] {
  const { signs, accounts, solidsOf, tapped } = context
  const { count } = model.grid
  const rows = { sums: new Map<number, Float64Array>(), uses: new Map<number, Float64Array>() }
  const add = (of: keyof typeof rows, account: number, part: PartIndex, amount: Amount) => {
    const row = rows[of].get(account) ?? new Float64Array(count)
    row[part]! += amount
    rows[of].set(account, row)
  }
  model.streams.forEach((stream, s) => {
    if (stream.activity !== activity || stream.isOfVessel) return
    const { portion, ofDraw, fixed, solidUses } = stream
    const solids = solidUses > 0 ? solidsOf.get(stream.to) : undefined
    for (let i = 0; i < count; i++) {
      const share = portion?.[i] ?? 1
      if (solids !== undefined) add('uses', solids, i, solidUses * share)
      if (tapped.has(s)) continue
      const litres = drawnPerUse(stream, model.volume[activity * count + i]!, i)
      const added = addedPerUse(stream, i)
      for (let k = 0; k < accounts; k++) {
        const sign = signs[s * accounts + k]!
        if (sign !== 0 && ofDraw !== 0) add('sums', k, i, sign * litres)
        if (sign !== 0 && fixed !== 0) add('uses', k, i, sign * added)
      }
    }
  })
  const effects = (of: keyof typeof rows) => [...rows[of]].map(([account, weights]) => ({ account, weights }))
  return [
    { ofUses: false, effects: effects('sums') },
    { ofUses: true, effects: effects('uses') },
  ]
}
