import { habitsWorth, type HabitWorth } from '@/core/advice'
import { count } from '@/core/count'
import { daysPerBother } from '@/core/habits'
import { compile, compileChances, type Document } from '@/core/model'
import { asCount, playTrips, PLAN_ON, quantileSorted, riskTables, samplerOf, tripStreams } from '@/core/risk'
import type { Options } from './run'

/** `dry-count habits`: the answer as documented in docs/command-line.md. */
export function habitsCommand(document: Document, { stay, seed, trials, horizon }: Options): unknown {
  const changed = horizon === undefined ? document : withHorizon(document, stay, horizon)
  const tables = riskTables()
  const model = compile(changed, stay)
  const { days } = playTrips(samplerOf(model, compileChances(changed, stay, model), { tables }), tripStreams(seed, 0, trials))
  const planOn = asCount(quantileSorted(days.sort(), PLAN_ON), model.horizonDays)
  const ids = changed.habits.map(({ id }) => id)
  const botherOf = ({ habit }: HabitWorth) => changed.habits.find(({ id }) => id === habit)!.bother.value
  const rows = [...habitsWorth(changed, stay, ids, { seed, trials, tables })]
  return {
    format: 'dry-count/habits@1',
    stay,
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
        bother: botherOf(row),
        blockedBy: row.blockedBy,
      }))
      .sort((a, b) => daysPerBother(b.planOnBought, b.bother) - daysPerBother(a.planOnBought, a.bother)),
  }
} // prettier-ignore

function withHorizon(document: Document, id: string, days: number): Document {
  const stays = document.stays.map((stay) =>
    stay.id === id ? { ...stay, horizonDays: { value: days, by: 'owner' as const } } : stay,
  )
  return { ...document, stays }
}
