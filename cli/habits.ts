import { habitsWorth } from '@/core/advice'
import { count } from '@/core/count'
import type { LogEntry } from '@/core/log'
import { daysPerBother } from '@/core/habits'
import { compile, compileChances } from '@/core/compile'
import { found, type Document, type StayCase } from '@/core/domain'
import {
  asCount,
  chainSeed,
  playTrips,
  PLAN_ON,
  quantileSorted,
  riskTables,
  samplerOf,
  tripLuck,
} from '@/core/risk'
import { chainedTrips } from './chained'
import type { Options } from './run'

/** `dry-count habits`: the answer as documented in docs/command-line.md. */
export function habitsCommand(
  document: Document,
  { stay: id, seed, trials, horizon }: Options,
  log: readonly LogEntry[],
): unknown {
  const tables = riskTables()
  const stayCase = withHorizon(
    chainedTrips(document, id, log, { seed, trials, now: undefined, tables }),
    horizon,
  )
  const own = chainSeed(stayCase, seed)
  const model = compile(stayCase)
  const sampler = samplerOf(model, compileChances(stayCase, model), { tables })
  const { days } = playTrips(sampler, tripLuck(own, 0, trials))
  const planOn = asCount(quantileSorted(days.sort(), PLAN_ON), model.horizonDays)
  const { habits } = stayCase
  const ids = habits.map((habit) => habit.id)
  const rows = [...habitsWorth(stayCase, ids, { seed: own, trials, tables })]
  return {
    format: 'dry-count/habits@1',
    stay: id,
    trials,
    seed,
    base: { days: count(model).days, planOn: planOn.days, beyond: planOn.isBeyond },
    habits: rows
      .map((row) => ({
        id: row.habit,
        on: row.on,
        daysBought: row.days,
        planOnBought: row.planOn,
        atLeast: row.atLeast,
        bother: found(habits, row.habit, 'habit').bother.value,
        blockedBy: row.blockedBy,
      }))
      .sort((a, b) => daysPerBother(b.planOnBought, b.bother) - daysPerBother(a.planOnBought, a.bother)),
  }
}

function withHorizon(stayCase: StayCase, days: number | undefined): StayCase {
  if (days === undefined) return stayCase
  return { ...stayCase, stay: { ...stayCase.stay, horizonDays: { value: days, by: 'owner' } } }
}
