import { addWallDays, dayZero, wallDaysBetween, type WallTime } from '../calendar'
import { standing, type LogEntry } from '../log'
import { fillOf, type Chore, type ChoreEvery, type Id, type Rig, type Stay } from '../domain'
import { endOf } from '../underway'

/** How far along one rhythm of a chore is. */
export interface ChoreTurn {
  by: ChoreEvery
  n: number
  /** Of them gone since it was done; null: it is not known when that was. */
  had: number | null
  /** The day it falls due by it, `YYYY-MM-DD`; null: that hangs on what is done until then. */
  on: string | null
}

export interface ChoreState {
  chore: Chore
  /** When it was done last, by the log or by hand; null: not known. */
  last: WallTime | null
  turns: ChoreTurn[]
  isDue: boolean
  /** The earliest day it is due; of one that is due, today. */
  on: string | null
  /** Put off: nobody hears of it until then. */
  snoozed: string | null
}

export interface ChoreRequest {
  rig: Rig
  /** Stays of this rig. */
  stays: readonly Stay[]
  /** The rig's log, of all of them. */
  log: readonly LogEntry[]
  now: WallTime
}

/** Every chore of a rig with how far along it is, those that are due first, then by day. */
export function choreStates({ rig, stays, log, now }: ChoreRequest): ChoreState[] {
  const known = standing(log)
  const used = stays
    .filter(({ start }) => start <= now)
    .map((stay) => ({ start: stay.start, end: endOf(stay, known) }))
  return rig.chores
    .filter(({ container }) => container === null || rig.containers.some(({ id }) => id === container))
    .map((chore) => stateOf(chore, rig, used, known, now))
    .sort((a, b) => Number(b.isDue) - Number(a.isDue) || order(a.on, b.on))
}

const order = (a: string | null, b: string | null) => (a ?? '9').localeCompare(b ?? '9')

interface Used {
  start: WallTime
  end: WallTime
}

function stateOf(
  chore: Chore,
  rig: Rig,
  used: readonly Used[],
  log: readonly LogEntry[],
  now: WallTime,
): ChoreState {
  const logged = log.flatMap((entry) =>
    entry.kind === 'chore' && entry.chore === chore.id && entry.at <= now ? [entry.at] : [],
  )
  const last = [...logged, ...(chore.done ? [chore.done] : [])].sort().at(-1) ?? null
  const turns = chore.every.map(({ by, n }): ChoreTurn => {
    const had = gone(by, last, { chore, rig, used, log, now })
    return { by, n: n.value, had, on: dueOn(by, n.value, had, last, used, now) }
  })
  const today = now.slice(0, 10)
  const isDue = turns.some(({ had, n }) => had !== null && had >= n)
  const days = turns.flatMap(({ on }) => (on === null ? [] : [on])).sort()
  const isPutOff = chore.snoozed !== null && chore.snoozed > today
  return {
    chore,
    last,
    turns,
    isDue,
    on: isDue ? today : (days[0] ?? null),
    snoozed: isPutOff ? chore.snoozed : null,
  }
}

interface Known extends Omit<ChoreRequest, 'stays'> {
  chore: Chore
  used: readonly Used[]
}

/** Of what is counted since it was done: days by the calendar want to know when that was, the others count from the first. */
function gone(by: ChoreEvery, last: WallTime | null, { chore, rig, used, log, now }: Known): number | null {
  const since = last ?? ''
  if (by === 'days') return last === null ? null : Math.floor(wallDaysBetween(last, now))
  if (by === 'idle') return idleDays(last, used, now)
  if (by === 'trips') return used.filter(({ end }) => end <= now && end > since).length
  if (by === 'days-of-use') return daysOfUse(since, used, now)
  const wastes = rig.containers.filter(({ kind }) => fillOf(kind) === 'waste').map(({ id }) => id)
  const of: Id[] = chore.container === null ? wastes : [chore.container]
  return log.filter(
    (entry) =>
      entry.kind === 'run' &&
      entry.at > since &&
      entry.at <= now &&
      entry.did.some(({ container, what }) => what === 'emptied' && of.includes(container)),
  ).length
}

/** Whole days since the rig was last lived in, or since it was done after that; 0 while it is lived in. */
function idleDays(last: WallTime | null, used: readonly Used[], now: WallTime): number | null {
  const end = used
    .map((one) => one.end)
    .sort()
    .at(-1)
  if (end === undefined) return last === null ? null : Math.floor(wallDaysBetween(last, now))
  if (end > now) return 0
  return Math.floor(wallDaysBetween(last !== null && last > end ? last : end, now))
}

function daysOfUse(since: WallTime, used: readonly Used[], now: WallTime): number {
  const days = new Set<string>()
  for (const { start, end } of used)
    for (let day = dayZero(start); day < end && day <= now; day = addWallDays(day, 1))
      if (addWallDays(day, 1) > since) days.add(day.slice(0, 10))
  return days.size
}

function dueOn(
  by: ChoreEvery,
  n: number,
  had: number | null,
  last: WallTime | null,
  used: readonly Used[],
  now: WallTime,
): string | null {
  if (had === null) return null
  const inDays = (days: number) => addWallDays(now, Math.max(0, days)).slice(0, 10)
  if (had >= n) return now.slice(0, 10)
  if (by === 'days') return last === null ? null : addWallDays(last, n).slice(0, 10)
  const isUsed = used.some(({ start, end }) => start <= now && now < end)
  if (by === 'idle') return isUsed ? null : inDays(n - had)
  return by === 'days-of-use' && isUsed ? inDays(n - had) : null
}
