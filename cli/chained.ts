import { addWallDays, dayZero, type WallTime } from '@/core/calendar'
import { keptChain } from '@/core/chain'
import type { LogEntry } from '@/core/log'
import type { Document, Id, OpenTimes, StayCase } from '@/core/domain'
import { passedTrips, type RiskTables } from '@/core/risk'
import { hasBegun, knownAt, knownCase, learnStay } from '@/core/underway'
import { readOpening } from '@/engines/openingHours'

export interface ChainOptions {
  seed: number
  trials: number
  tables: RiskTables
  /** Up to when the stays before it are known; undefined: to their last entry. */
  now: WallTime | undefined
}

/** Trips that say how sure the levels are that a stay of the chain passes on to what is learned of the next. */
const PASSED = 2_000

/**
 * A stay as it begins (the same as in the application): on its own levels where it was begun, else with what the one it follows
 * leaves, as far as that is known by its log; with the hours of its places.
 */
export function stayCaseOf(
  document: Document,
  stay: Id,
  log: readonly LogEntry[],
  options: ChainOptions,
): StayCase {
  const chain = keptChain({
    standsAlone: (id) => hasBegun(id, log),
    known: (stayCase) => knownBefore(document, withHours(stayCase), log, options),
  })
  return withHours(chain(document, stay))
}

/** The same, whose trips go on where those of the stay it follows end. */
export function chainedTrips(
  document: Document,
  stay: Id,
  log: readonly LogEntry[],
  options: ChainOptions,
): StayCase {
  return passedTrips(stayCaseOf(document, stay, log, options), options)
}

function knownBefore(
  document: Document,
  stayCase: StayCase,
  log: readonly LogEntry[],
  { seed, tables, now }: ChainOptions,
): StayCase {
  const own = log.filter((entry) => entry.stay === stayCase.stay.id)
  if (own.length === 0) return stayCase
  const last = own.reduce((latest, { at }) => (at > latest ? at : latest), stayCase.stay.start)
  const at = knownAt(stayCase, log, now ?? last)
  if (at <= stayCase.stay.start) return knownCase(stayCase, null, log)
  const sure = passedTrips(stayCase, { seed, trials: PASSED, tables })
  const earlier = earlierOf(document, stayCase, log)
  return knownCase(stayCase, learnStay({ stayCase: sure, log: own, earlier, at, seed }), log)
}

/** Stays of the same rig and crew that teach something, each as it began. */
export function earlierOf(document: Document, { stay }: StayCase, log: readonly LogEntry[]) {
  const chain = keptChain({ standsAlone: (id) => hasBegun(id, log) })
  return document.stays
    .filter(({ id, rig, crew }) => id !== stay.id && rig === stay.rig && crew === stay.crew)
    .map(({ id }) => ({
      stayCase: chain(document, id),
      log: log.filter((entry) => entry.stay === id),
    }))
}

/** Days beyond the end of a stay for which openings are read. */
const BEYOND_D = 9

/** With when its places are open, as far as their texts can be read. */
export function withHours(stayCase: StayCase): StayCase {
  const { stay } = stayCase
  const [from, until] = [addWallDays(dayZero(stay.start), -1), addWallDays(dayZero(stay.leaveAt), BEYOND_D)]
  const { sunrise, sunset } = stay.weather
  const read = stay.places.flatMap(({ id, opening }): [Id, OpenTimes][] => {
    if (opening === null) return []
    const answer = readOpening({ text: opening, from, until, sunrise, sunset })
    return answer.ok ? [[id, answer.times]] : []
  })
  return read.length === 0 ? stayCase : { ...stayCase, hours: new Map(read) }
}
