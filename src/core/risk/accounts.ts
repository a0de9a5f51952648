import type { Ledger } from '../count'
import type { Model, Stream } from '../model'

/**
 * What a trip adds up, part by part: the level of every container, then, for each container that solids reach, the
 * liquid on them (L) and the solid uses. All are sums over streams, so a use moves each by
 * `perLitre` × litres drawn + `perUse` × uses.
 */
export interface Accounts {
  count: number
  /** What is the same in every trip, and the means of what differs little, at the end of each part; row = account. */
  base: Float64Array
  starts: Float64Array
  /** Containers whose liquid and solids are kept, and the accounts that do. */
  flush: { container: number; liquid: number; solids: number }[]
  /** What a stream's amount does to an account: −1, 0, 1. Row = stream. */
  signs: Int8Array
  /** The non-zero coefficients of one activity in one part; equal ones are one object. */
  entries: (activity: number, part: number) => Entries
}

export interface Entries {
  account: Int32Array
  perLitre: Float64Array
  perUse: Float64Array
}

export interface AccountOptions {
  /** Activities whose amounts a vessel changes: their entries hold only what it cannot change. */
  viaStreams: readonly boolean[]
  /** Activities of which trips add what differs from the mean; of the others they add all. */
  isBase: readonly boolean[]
  /** Whether liquid and solids are kept as well. */
  withFlush: boolean
}

export function accountsOf(
  model: Model,
  ledger: Ledger,
  { viaStreams, isBase, withFlush }: AccountOptions,
): Accounts {
  const { containers, streams } = model
  const reached = containers.flatMap(({ unit }, c) =>
    withFlush && unit === 'L' && streams.some(({ to, solidUses }) => to === c && solidUses > 0) ? [c] : [],
  )
  const flush = reached.map((container, f) => {
    const liquid = containers.length + 2 * f
    return { container, liquid, solids: liquid + 1 }
  })
  const accounts = containers.length + 2 * flush.length
  const signs = new Int8Array(streams.length * accounts)
  streams.forEach(({ from, to, isSolid }, s) => {
    if (to >= 0) signs[s * accounts + to]! += 1
    if (from >= 0) signs[s * accounts + from]! -= 1
    for (const { container, liquid } of flush)
      if (to === container && !isSolid) signs[s * accounts + liquid] = 1
  })
  const starts = new Float64Array(accounts)
  containers.forEach(({ start }, c) => (starts[c] = start))
  for (const { container, liquid } of flush) starts[liquid] = containers[container]!.start
  const solidsOf = new Map(flush.map(({ container, solids }) => [container, solids]))
  const base = baseOf(model, ledger, { signs, starts, solidsOf, isBase })
  const entries = entriesOf(model, accounts, signs, solidsOf, viaStreams)
  return { count: accounts, base, starts, flush, signs, entries }
}

/** The ledger of some of its streams, added up in its own order, so that of all of them it is the ledger to the last bit. */
function baseOf(
  model: Model,
  ledger: Ledger,
  options: Pick<Accounts, 'signs' | 'starts'> &
    Pick<AccountOptions, 'isBase'> & { solidsOf: ReadonlyMap<number, number> },
): Float64Array {
  const { signs, starts, isBase, solidsOf } = options
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
  starts.forEach((start, k) => {
    let level = start
    for (let i = k * count; i < (k + 1) * count; i++) {
      level += base[i]!
      base[i] = level
    }
  })
  return base
}

function entriesOf(
  model: Model,
  accounts: number,
  signs: Int8Array,
  solidsOf: ReadonlyMap<number, number>,
  viaStreams: readonly boolean[],
): Accounts['entries'] {
  const rows = model.activities.map((_, a) => {
    const streams = model.streams.flatMap((stream, s) => (stream.activity === a ? [{ stream, s }] : []))
    const at = (part: number) => {
      const perLitre = new Float64Array(accounts)
      const perUse = new Float64Array(accounts)
      for (const { stream, s } of streams) {
        const portion = stream.portion?.[part] ?? 1
        const solids = stream.isOfVessel ? undefined : solidsOf.get(stream.to)
        if (solids !== undefined) perUse[solids]! += stream.solidUses * portion
        if (viaStreams[a]) continue
        for (let k = 0; k < accounts; k++) {
          perLitre[k]! += signs[s * accounts + k]! * stream.ofDraw * portion
          perUse[k]! += signs[s * accounts + k]! * stream.fixed * portion
        }
      }
      return sparse(perLitre, perUse)
    }
    return byPortions(streams.map(({ stream }) => stream), model.grid.count, at) // prettier-ignore
  })
  return (activity, part) => rows[activity]![part]!
}

/** One object for every part with the same portions: few, however many parts. */
function byPortions(streams: readonly Stream[], count: number, at: (part: number) => Entries): Entries[] {
  const known = new Map<string, Entries>()
  return Array.from({ length: count }, (_, part) => {
    const key = streams.map(({ portion }) => portion?.[part] ?? 1).join()
    const entry = known.get(key) ?? at(part)
    known.set(key, entry)
    return entry
  })
}

function sparse(perLitre: Float64Array, perUse: Float64Array): Entries {
  const account = [...perLitre.keys()].filter((k) => perLitre[k] !== 0 || perUse[k] !== 0)
  return {
    account: Int32Array.from(account),
    perLitre: Float64Array.from(account, (k) => perLitre[k]!),
    perUse: Float64Array.from(account, (k) => perUse[k]!),
  }
}
