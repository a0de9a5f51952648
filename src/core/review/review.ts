import { addWallDays, nightsBetween, wallDaysBetween, type WallTime } from '../calendar'
import { count } from '../count'
import { CONTRADICTS, LEARNED, type Range, type Track } from '../learn'
import { standing, type LogEntry, type RunEntry, type RunTook } from '../log'
import { compile, type Model } from '../compile'
import { fromItsStart, fillOf, type Id, type StayCase, type TakenOver } from '../domain'
import type { Amount, Days, Litres, Share } from '../quantities'
import { takeOverOf, type StayLearned } from '../underway'
import { litresOf, livedOf, type LivedLitres } from './lived'

/** The container that came nearest its limit, and when. */
export interface Nearest {
  container: Id
  /** Of what there was between where it stood and its limit; 1 and more: it was reached. */
  share: Share
  at: WallTime
}

/** A reading that did not fit, and was or should have been left out. */
export interface LiedReading {
  container: Id
  at: WallTime
  /** What it showed, from and to, and what the count said; in the container's unit. */
  read: { from: Amount; to: Amount }
  counted: Amount
  isLeftOut: boolean
}

/** A run that was done; litres as logged or as the count has them. */
export interface ReviewedRun {
  entry: Id
  at: WallTime
  name: string
  place: Id | null
  did: { container: Id; what: RunEntry['did'][number]['what']; amount: Amount | null }[]
  took: RunTook | null
}

/** What a stay came to (model.md sections 3, 6 and 7). */
export interface Review {
  stay: Id
  start: WallTime
  end: WallTime
  nights: { planned: number; lived: number }
  /** The dry count and the stopper of the plan, on its own numbers; null: beyond the horizon. */
  planned: { days: Days | null; stopper: Id | null }
  lived: { days: Days; personDays: number; litres: LivedLitres }
  nearest: Nearest | null
  readings: { total: number; lied: LiedReading[] }
  /** Litres of a use before and after, of what was learned. */
  learned: { activity: Id; before: Range; after: Range }[]
  /** What can be taken over of it; `upTo` is left to who knows the clock. */
  taken: { activity: Id; learned: Omit<TakenOver, 'upTo'> }[]
  runs: ReviewedRun[]
  cost: { fee: number; minutes: number; kilometres: number; dumps: number }
}

/** @param plan as it was planned, from its start @param end when it ended, or now where it is under way */
export function reviewOf(
  plan: StayCase,
  log: readonly LogEntry[],
  learned: StayLearned,
  end: WallTime,
): Review {
  const { stay } = plan
  const planned = fromItsStart(plan)
  const dry = count(compile({ ...planned, stay: { ...stay, runs: [] } }))
  const lived = livedOf(planned, log, end, learned)
  const runs = runsOf(log, lived)
  const model = compile(planned, { horizonDays: 1 })
  return {
    stay: stay.id,
    start: stay.start,
    end,
    nights: {
      planned: nightsBetween(stay.start, stay.leaveAt),
      lived: Math.max(0, nightsBetween(stay.start, end)),
    },
    planned: { days: dry.days, stopper: dry.stopper },
    lived: { days: lived.days, personDays: lived.personDays, litres: litresOf(lived) },
    nearest: nearestOf(model, learned.track, stay.start),
    readings: readingsOf(learned, model, stay.start),
    learned: planned.crew.activities.flatMap(({ id }, a) => {
      const { prior, posterior, cut } = learned.activities[a]!
      return cut >= LEARNED ? [{ activity: id, before: prior, after: posterior }] : []
    }),
    taken: [...takeOverOf(planned, learned, '')].map(([activity, { factor, spread, entries }]) => ({
      activity,
      learned: { factor, spread, entries },
    })),
    runs,
    cost: costOf(runs, plan),
  }
}

function nearestOf({ containers }: Model, { at, levels }: Track, start: WallTime): Nearest | null {
  let nearest: Nearest | null = null
  containers.forEach(({ id, side, limit, start: first }, c) => {
    if (limit === null) return
    // A supply from where it began, a waste container from empty.
    const used = (level: Amount) => (side === 'supply' ? first - level : level)
    const room = used(limit)
    levels[c]!.forEach((level, k) => {
      const share = room > 0 ? used(level) / room : 1
      if (!nearest || share > nearest.share)
        nearest = { container: id, share, at: addWallDays(start, at[k]!) }
    })
  })
  return nearest
}

function readingsOf({ agreements }: StayLearned, { containers }: Model, start: WallTime): Review['readings'] {
  return {
    total: agreements.length,
    lied: agreements
      .filter(({ isLeftOut, likely }) => isLeftOut || likely < CONTRADICTS)
      .map(({ container, at, read, counted, isLeftOut }) => ({
        container: containers[container]!.id,
        at: addWallDays(start, at),
        read,
        counted: counted.mean,
        isLeftOut,
      })),
  }
}

function runsOf(log: readonly LogEntry[], { model, ledger }: ReturnType<typeof livedOf>): ReviewedRun[] {
  return standing(log).flatMap((entry): ReviewedRun[] => {
    if (entry.kind !== 'run') return []
    return [
      {
        entry: entry.id,
        at: entry.at,
        name: entry.note,
        place: entry.place,
        took: entry.took ?? null,
        did: entry.did.map(({ container, what, litres }) => ({
          container,
          what,
          amount: litres ?? movedBy(model, ledger.runs, entry.id, container),
        })),
      },
    ]
  })
}

function movedBy(
  { containers }: Model,
  rows: ReturnType<typeof livedOf>['ledger']['runs'],
  run: Id,
  container: Id,
): Amount | null {
  const c = containers.findIndex(({ members }) => members.includes(container))
  const own = rows.filter((row) => row.run === run && (row.from === c || row.to === c))
  return own.length === 0 ? null : own.reduce((sum, { moved }) => sum + moved, 0)
}

function costOf(runs: readonly ReviewedRun[], { rig }: StayCase): Review['cost'] {
  const sum = (of: (took: RunTook) => number | null) =>
    runs.reduce((all, { took }) => all + (took ? (of(took) ?? 0) : 0), 0)
  const isWaste = (id: Id) => rig.containers.some((one) => one.id === id && fillOf(one.kind) === 'waste')
  return {
    fee: sum(({ fee }) => fee),
    minutes: sum(({ minutes }) => minutes),
    kilometres: sum(({ kilometres }) => kilometres),
    dumps: runs.filter(({ did }) =>
      did.some(({ container, what }) => what === 'emptied' && isWaste(container)),
    ).length,
  }
}

/** L of each person and day. */
export function perPersonDay(litres: Litres, personDays: number): Litres {
  return personDays > 0 ? litres / personDays : 0
}

/** Several stays together, in the order of their starts. */
export interface Season {
  dryNights: number
  days: Days
  dumps: number
  /** Days lived for each dump; null: there was none. */
  daysPerDump: Days | null
  fee: number
  minutes: number
  kilometres: number
  /** L drawn per person and day, of each stay; and by how much it changes from stay to stay (least squares), null: too few. */
  drawn: { stay: Id; start: WallTime; litres: Litres }[]
  trend: Litres | null
}

/** Fewer stays than this have no trend. */
const FEWEST = 3

export function seasonOf(reviews: readonly Review[]): Season {
  const inOrder = [...reviews].sort((a, b) => (a.start < b.start ? -1 : 1))
  const sum = (of: (review: Review) => number) => inOrder.reduce((all, review) => all + of(review), 0)
  const dumps = sum(({ cost }) => cost.dumps)
  const days = sum(({ start, end }) => wallDaysBetween(start, end))
  const drawn = inOrder.map(({ stay, start, lived }) => ({
    stay,
    start,
    litres: perPersonDay(lived.litres.drawn, lived.personDays),
  }))
  return {
    dryNights: sum(({ nights }) => nights.lived),
    days,
    dumps,
    daysPerDump: dumps > 0 ? days / dumps : null,
    fee: sum(({ cost }) => cost.fee),
    minutes: sum(({ cost }) => cost.minutes),
    kilometres: sum(({ cost }) => cost.kilometres),
    drawn,
    trend: drawn.length < FEWEST ? null : slopeOf(drawn.map(({ litres }) => litres)),
  }
}

/** Least squares over 0, 1, 2, … */
function slopeOf(values: readonly number[]): number {
  const mean = values.reduce((sum, y) => sum + y, 0) / values.length
  const middle = (values.length - 1) / 2
  const over = values.reduce((sum, y, x) => sum + (x - middle) * (y - mean), 0)
  return over / values.reduce((sum, _, x) => sum + (x - middle) ** 2, 0)
}
