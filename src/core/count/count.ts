import { addWallDays, type WallTime } from '../calendar'
import { compileSteps, type Id, type Model, type StayCase } from '../model'
import type { Days } from '../quantities'
import { within, type Steps } from '../steps'
import { firstBreach, stopperOf, type Breach } from './breach'
import { ledger, ledgerSteps, levelsSteps, type Ledger } from './ledger'

/** How many dry days, what stops them and when; all null where nothing is crossed up to the horizon. */
export interface Count {
  days: Days | null
  stopper: Id | null
  at: WallTime | null
  /** Each container's own count, in the model's order; null: beyond the horizon, or a carrier. */
  containers: (Days | null)[]
  /** Each container's first breach, in the model's order. */
  breaches: (Breach | null)[]
  ledger: Ledger
}

/** The dry count of a compiled stay: days from the start to the first breach with no further run. */
export function count(model: Model): Count {
  return countOf(model, ledger(model))
}

/** Share of a count that goes into compiling it. */
const COMPILING = 0.4

/** A stay compiled and counted, in pieces. */
export function* countSteps(stayCase: StayCase): Steps<{ model: Model; result: Count }> {
  const model = yield* within(compileSteps(stayCase), 0, COMPILING)
  return { model, result: countOf(model, yield* within(ledgerSteps(model), COMPILING, 1)) }
}

export type Lasts = Pick<Count, 'days' | 'containers'> & { model: Model }

/** How long a stay and each of its containers last, in pieces; null: beyond the horizon, or a carrier. */
export function* lastsSteps(stayCase: StayCase): Steps<Lasts> {
  const model = yield* within(compileSteps(stayCase), 0, COMPILING)
  const played = yield* within(levelsSteps(model), COMPILING, 1)
  const breaches = model.containers.map((_, c) => firstBreach(model, played, c))
  const stop = stopperOf(
    model,
    breaches.filter((breach) => breach !== null),
  )
  return { model, days: stop?.days ?? null, containers: breaches.map((breach) => breach?.days ?? null) }
}

/** The same of a ledger already played. @param from the part at whose start to begin looking */
export function countOf(model: Model, played: Ledger, from = 0): Count {
  const breaches = model.containers.map((_, c) => firstBreach(model, played, c, from))
  const stop = stopperOf(
    model,
    breaches.filter((breach) => breach !== null),
  )
  return {
    days: stop?.days ?? null,
    stopper: stop ? model.containers[stop.container]!.id : null,
    at: stop ? addWallDays(model.start, stop.days) : null,
    containers: breaches.map((breach) => breach?.days ?? null),
    breaches,
    ledger: played,
  }
}
