import { standing, type LogEntry } from '../log'
import type { Crew, Id, Product } from '../domain'
import { firstRounds } from '../runs'

/** What the log knows of rinsing a tank. */
export interface TankRecord {
  /** Emptyings since the last full rinse that were not rinsed after. */
  skipped: number
  /** Rounds that were put off and are owed. */
  owed: number
  /** Rounds that a rinse took, with how many had been skipped before it. */
  took: { rounds: number; skipped: number }[]
  /** Minutes until its rush was over, each time somebody had the clock on it. */
  drains: number[]
}

/** Of every tank that was emptied or rinsed, from the entries of its rig in their order. */
export function recordsOf(log: readonly LogEntry[]): Map<Id, TankRecord> {
  const records = new Map<Id, TankRecord>()
  for (const entry of standing(log)) {
    if (entry.kind !== 'run') continue
    const rinses = new Map((entry.took?.rinses ?? []).map((rinse) => [rinse.container, rinse]))
    const emptied = entry.did.filter(({ what }) => what === 'emptied').map(({ container }) => container)
    for (const id of new Set([...emptied, ...rinses.keys()])) {
      const before = records.get(id) ?? NO_RECORD
      const rinse = rinses.get(id)
      if (!rinse) records.set(id, { ...before, skipped: before.skipped + 1 })
      else if (rinse.owed > 0) records.set(id, { ...before, skipped: before.skipped + 1, owed: rinse.owed })
      else
        records.set(id, {
          ...before,
          skipped: 0,
          owed: 0,
          took:
            rinse.rounds > 0
              ? [...before.took, { rounds: rinse.rounds, skipped: before.skipped }]
              : before.took,
        })
    }
    for (const { container, minutes } of entry.took?.drains ?? []) {
      const before = records.get(container) ?? NO_RECORD
      records.set(container, { ...before, drains: [...before.drains, minutes] })
    }
  }
  return records
}

/** A tank of which nothing is recorded. */
export const NO_RECORD: TankRecord = { skipped: 0, owed: 0, took: [], drains: [] }

/**
 * Rounds of rinsing expected (model.md section 8): what this tank took, less one for each emptying that had been skipped
 * before, on the average; the crew's first assumption where nothing is recorded, buckets where no hose gets in; one more for each
 * skipped now.
 */
export function roundsExpected(
  { skipped, took }: TankRecord,
  { schools }: Pick<Crew, 'schools'>,
  byHose = true,
): number {
  const clean = took.map((one) => Math.max(1, one.rounds - one.skipped))
  const usual =
    clean.length > 0 ? clean.reduce((sum, one) => sum + one, 0) / clean.length : firstRounds(schools, byHose)
  return Math.max(1, Math.round(usual)) + skipped
}

/** What is left of each product: the stock as it was written down, less what was dosed. */
export function stockLeft(products: readonly Product[], log: readonly LogEntry[]): Map<Id, number> {
  const left = new Map(products.map(({ id, stock }) => [id, stock.value]))
  for (const entry of standing(log))
    if (entry.kind === 'dose' && left.has(entry.product))
      left.set(entry.product, Math.max(0, left.get(entry.product)! - entry.amount))
  return left
}
