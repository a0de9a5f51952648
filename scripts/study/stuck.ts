import { wallDaysBetween } from '@/core/calendar'
import { CONTRADICTS } from '@/core/learn'
import type { LogEntry, ReadingEntry } from '@/core/log'
import { entriesOf } from './entries'
import { CASES, hit, learnedFrom, USUAL, type Count } from './figures'
import { household, luckOf, stepOf, type Habits, type Household } from './household'

/** A stay that goes on: tanks are emptied and filled as it goes, and that is logged. */
const LONG: Partial<Habits> = { hookup: true, knownStart: true }
const DAYS = 6
/** The reading that contradicts by which a stuck probe is to be called. */
const BY = 3

export interface StuckFigures {
  /** Stays with three contradictions that can be seen, and those in which the probe was called by the third. */
  caught: Count
  /** Stays whose probes are all sound, and those in which one was called stuck at any time. */
  falseAlarms: Count
}

/** @param stays with three contradictions to be seen, and as many sound ones */
export function stuckFigures(stuckAs: Habits['stuckAs'], stays: number, seed: number): StuckFigures {
  const caught = { inside: 0, of: 0 }
  for (let k = 0; caught.of < stays; k++) {
    const home = household(CASES[k % CASES.length]!, { ...USUAL, ...LONG, stuck: 1, stuckAs }, DAYS, seed + k)
    const log = entriesOf(home, 'none', luckOf(seed + k))
    const third = contradictions(home, log)[BY - 1]
    if (!third) continue
    const learned = learnedFrom(home, upTo(log, third), third.at)
    hit(caught, learned.isSuspect[home.stuck!.container]!)
  }
  const falseAlarms = { inside: 0, of: 0 }
  for (let k = 0; falseAlarms.of < stays; k++) {
    const home = household(CASES[k % CASES.length]!, { ...USUAL, ...LONG }, DAYS, seed + 100_000 + k)
    const log = entriesOf(home, 'none', luckOf(seed + k))
    const looks = log.filter(({ kind }) => kind === 'reading')
    // A false alarm may end before the stay does: the last look of each day, and the end.
    const times = [...new Set(looks.map(({ at }) => at))].filter(
      (_, n, all) => n % 2 === 1 || n === all.length - 1,
    )
    hit(
      falseAlarms,
      times.some((at) =>
        learnedFrom(
          home,
          log.filter((one) => one.at <= at),
          at,
        ).isSuspect.some(Boolean),
      ),
    )
  }
  return { caught, falseAlarms }
}

const upTo = (log: readonly LogEntry[], last: LogEntry) => log.slice(0, log.indexOf(last) + 1)

/** Readings of the stuck probe that are not true, and that the count and everything else call unlikely. */
export function contradictions(home: Household, log: readonly LogEntry[]): LogEntry[] {
  const { stuck, levels, model, capacities } = home
  const { container, since } = stuck!
  const { members, capacity } = model.containers[container]!
  const isStuck = (one: LogEntry): one is LogEntry & ReadingEntry =>
    one.kind === 'reading' &&
    members.includes(one.container) &&
    wallDaysBetween(model.start, one.at) >= since - 1 / 1440
  const found: LogEntry[] = []
  for (const one of log.filter(isStuck)) {
    if (one.saw.as !== 'panel') continue
    const part = model.grid.edges.findIndex(
      (edge) => Math.abs(edge - wallDaysBetween(model.start, one.at)) < 1e-3,
    )
    const level = levels[container * (model.grid.count + 1) + part]!
    if (stepOf(one.saw.edges, level / (capacity * capacities[container]!)) === one.saw.step) continue
    const others = upTo(log, one).filter((other) => other === one || !isStuck(other))
    const seen = learnedFrom(home, others, one.at).agreements.filter(
      (agreement) => agreement.container === container,
    )
    if (seen.at(-1)!.likely < CONTRADICTS) found.push(one)
    if (found.length === BY) break
  }
  return found
}
