import { addWallDays, type WallTime } from '../calendar'
import { HOOKUP_RUN, compileSteps, type Model } from '../compile'
import type { Id, StayCase } from '../domain'
import type { Days } from '../quantities'
import { within, type Steps } from '../slices'
import { firstBreach, stopperOf, type Breach } from './breach'
import { ledger, ledgerSteps, levelsSteps, type Ledger } from './ledger'

/**
 * How many days a stay holds, with the runs that are set; without any they are its dry days. What stops it and when; all null
 * where nothing is crossed up to the horizon.
 */
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

/** The count of a compiled stay: days from where it begins to the first breach, its runs included. */
export function count(model: Model): Count {
  return countOf(model, ledger(model))
}

/** The dry count: the same with no further run. */
export function dryCount(model: Model): Count {
  return count(withoutRuns(model))
}

/** What the owner set goes; a valve that stands open at a hookup stays open, and what was done on the road is done. */
export function withoutRuns(model: Model): Model {
  const runs = model.runs.filter(({ id, isOfRoad }) => id === HOOKUP_RUN || isOfRoad)
  return runs.length === model.runs.length ? model : { ...model, runs }
}

/** Share of a count that goes into compiling it. */
const COMPILING = 0.4
/** Up to which share the first of two counts goes. */
const COUNTED = 0.7

/** A stay compiled and counted, with its runs and without, in pieces; where none is set both are the same. */
export function* countSteps(stayCase: StayCase): Steps<{ model: Model; result: Count; dry: Count }> {
  const model = yield* within(compileSteps(stayCase), 0, COMPILING)
  const bare = withoutRuns(model)
  const counted = bare === model ? 1 : COUNTED
  const result = countOf(model, yield* within(ledgerSteps(model), COMPILING, counted))
  const dry = bare === model ? result : countOf(bare, yield* within(ledgerSteps(bare), counted, 1))
  return { model, result, dry }
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

/** The same of a ledger already played. */
export function countOf(model: Model, played: Ledger): Count {
  const breaches = model.containers.map((_, c) => firstBreach(model, played, c))
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
