import { addWallDays, wallDaysBetween } from '@/core/calendar'
import type { LogEntry } from '@/core/log'
import { chanceToLast, riskTables } from '@/core/risk'
import { caseNow } from '@/core/underway'
import { entriesOf } from './entries'
import { CASES, learnedFrom, tripsOf, USUAL } from './figures'
import { household, luckOf, type Household } from './household'

export interface DayFigures {
  /** Mean of what a day's log moves the chance to make all nights by. */
  mean: number
  /** The same of the levels, as a share of the capacity. */
  levels: number
}

/** Midday, evening and the end of a day: a log is looked at at any hour. */
const HOURS = ['13:30', '18:00', '22:45'] as const
const dayOf = ({ model }: Household, day: number) => addWallDays(model.start, day).slice(0, 10)

/** Days of a crew that lives as its model says, each use logged as it happens, beside the same days with nothing logged. */
export function dayFigures(days: number, seed: number): DayFigures {
  const tables = riskTables()
  const sum = { mean: 0, levels: 0, tanks: 0, days: 0 }
  for (let k = 0; sum.days < days; k++) {
    const luck = luckOf(seed + k)
    const home = household(CASES[k % CASES.length]!, { ...USUAL, ownSpread: 0 }, 8, seed + k)
    const first = 1 + Math.floor(3 * luck.uniform())
    const [from, until] = [`${dayOf(home, first)}T05:00`, `${dayOf(home, first)}T${HOURS[k % HOURS.length]!}`]
    if (wallDaysBetween(home.model.start, until) > home.model.grid.edges[home.parts]!) continue
    const logged = entriesOf(home, 'each', luck).filter(
      (entry) => entry.kind === 'use' && entry.at >= from && entry.at <= until,
    )
    const told = (log: LogEntry[]) => {
      const learned = learnedFrom(home, log, until)
      const left = wallDaysBetween(until, home.stayCase.stay.leaveAt)
      return {
        learned,
        chance: chanceToLast(tripsOf(caseNow(home.stayCase, learned), tables).days, left / 2),
      }
    }
    const [without, withIt] = [told([]), told(logged)]
    sum.mean += withIt.chance - without.chance
    withIt.learned.levels.forEach(({ mean }, c) => {
      const { capacity, side } = home.model.containers[c]!
      if (side === 'carrier') return
      const sign = side === 'supply' ? -1 : 1
      sum.levels += (sign * (mean - without.learned.levels[c]!.mean)) / capacity
      sum.tanks += 1
    })
    sum.days += 1
  }
  return { mean: sum.mean / days, levels: sum.levels / sum.tanks }
}
