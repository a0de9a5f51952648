import { addWallDays, type WallTime } from '../calendar'
import type { Id, Model } from '../model'
import type { Days } from '../quantities'
import { firstBreach, stopperOf, type Breach } from './breach'
import { ledger, type Ledger } from './ledger'

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
