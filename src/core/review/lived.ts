import { dayAndPartOf, wallDaysBetween, type WallTime } from '../calendar'
import { ledger, partAt, type Ledger } from '../count'
import { openUses, standing, happened, type LogEntry } from '../log'
import { compile, type Model } from '../compile'
import { fromItsStart, fillOf, type ContainerKind, type Id, type StayCase } from '../domain'
import type { Days, Litres } from '../quantities'
import { caseNow, type StayLearned } from '../underway'

/** A stay as it was lived: uses that were logged, with those that were made and not logged, or are expected where nothing was. */
export interface Lived {
  model: Model
  ledger: Ledger
  /** Days from the start to the end. */
  days: Days
  /** Person-days: a person there for a whole day is one. */
  personDays: number
}

/** @param learned by the end of the stay: litres of a use as this crew's own */
export function livedOf(
  stayCase: StayCase,
  log: readonly LogEntry[],
  end: WallTime,
  learned: StayLearned,
): Lived {
  const whole = fromItsStart(caseNow(stayCase, learned))
  const days = Math.max(wallDaysBetween(stayCase.stay.start, end), 1 / 96)
  const runs = happened(log, stayCase).filter(({ day, part }) => isBefore(stayCase, end, day, part))
  const model = compile(
    { ...whole, stay: { ...whole.stay, runs } },
    { horizonDays: days, runsHappened: true },
  )
  putUses(model, stayCase, log, end, learned)
  return { model, ledger: ledger(model), days, personDays: personDaysOf(model, days) }
}

const SLOTS = ['morning', 'midday', 'evening', 'night']
function isBefore({ stay }: StayCase, end: WallTime, day: number, part: string): boolean {
  const last = dayAndPartOf(stay.start, end)
  return day < last.day || (day === last.day && SLOTS.indexOf(part) <= last.part)
}

/** What was logged in its part, and beside it what was made and not logged, or is expected. */
function putUses(
  model: Model,
  stayCase: StayCase,
  log: readonly LogEntry[],
  end: WallTime,
  { completeness }: Pick<StayLearned, 'completeness'>,
): void {
  const { count } = model.grid
  const until = wallDaysBetween(model.start, end)
  const rows = openUses(stayCase, model, log, until, completeness)
  const at = (time: WallTime) => partAt(model, Math.max(0, wallDaysBetween(model.start, time)))
  for (const entry of standing(log)) {
    if (entry.kind !== 'use' || entry.stay !== stayCase.stay.id || entry.at > end) continue
    const a = stayCase.crew.activities.findIndex(({ id }) => id === entry.activity)
    if (a >= 0) rows[a]![at(entry.at)]! += entry.n
  }
  rows.forEach((row, a) => model.uses.set(row.subarray(0, count), a * count))
}

function personDaysOf({ grid, here }: Model, days: Days): number {
  let sum = 0
  for (let i = 0; i < grid.count; i++) {
    const width = Math.min(days, grid.edges[i + 1]!) - grid.edges[i]!
    sum += Math.max(0, width) * here.groups[here.group[i]!]!.filter(Boolean).length
  }
  return sum
}

/** L that a stay drew and where they went, and each activity's share of what was drawn. */
export interface LivedLitres {
  drawn: Litres
  gray: Litres
  toilet: Litres
  byActivity: { activity: Id; uses: number; drawn: Litres }[]
}

const TOILET_KINDS: readonly ContainerKind[] = ['black', 'cassette', 'urine']

export function litresOf({ model, ledger: { amounts } }: Pick<Lived, 'model' | 'ledger'>): LivedLitres {
  const { grid, containers, activities, streams, uses } = model
  const kindOf = (code: number) => (code >= 0 ? containers[code]!.kind : null)
  const byActivity = activities.map(({ id }, a) => ({
    activity: id,
    uses: uses.subarray(a * grid.count, (a + 1) * grid.count).reduce((sum, n) => sum + n, 0),
    drawn: 0,
  }))
  const all: LivedLitres = { drawn: 0, gray: 0, toilet: 0, byActivity }
  streams.forEach(({ activity, from, to }, s) => {
    const litres = amounts.subarray(s * grid.count, (s + 1) * grid.count).reduce((sum, x) => sum + x, 0)
    const [giver, taker] = [kindOf(from), kindOf(to)]
    if (giver && fillOf(giver) === 'supply') {
      all.drawn += litres
      byActivity[activity]!.drawn += litres
    }
    if (taker === 'gray') all.gray += litres
    if (taker && TOILET_KINDS.includes(taker)) all.toilet += litres
  })
  return all
}
