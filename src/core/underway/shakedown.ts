import type { WallTime } from '../calendar'
import { dailyUse } from '../explain'
import { standing, type LogEntry, type RunEntry } from '../log'
import { fillOf, type Activity, type Crew, type Id, type Rig } from '../domain'
import type { Litres } from '../quantities'

/** Where a guided count stands: not begun, counting, at rest for some days, or done. */
export interface Shakedown {
  state: 'none' | 'counting' | 'resting' | 'ended'
  /** When that began; null: not begun. */
  since: WallTime | null
}

const STATES = { begun: 'counting', rested: 'resting', 'taken-up': 'counting', ended: 'ended' } as const

/** @param log any entries */
export function shakedownOf(stay: Id, log: readonly LogEntry[]): Shakedown {
  const last = standing(log).findLast((entry) => entry.kind === 'shakedown' && entry.stay === stay)
  return last?.kind === 'shakedown'
    ? { state: STATES[last.did], since: last.at }
    : { state: 'none', since: null }
}

/** A day's draw known to within this share is enough to plan on: what is left is less than the luck of a week. */
export const ENOUGH = 0.1

/** What could be counted, what draws most in a day first. */
export function countable(crew: Crew): Activity[] {
  const litres = new Map(crew.activities.map((activity) => [activity.id, dailyUse(crew, activity).litres]))
  return crew.activities
    .filter(({ kind, rate }) => kind !== 'bowl-seal' && rate.value > 0)
    .sort((a, b) => litres.get(b.id)! - litres.get(a.id)!)
}

const FIRST_PICKS = 3
/** What is proposed to be counted: what draws most, but for what is drunk, which leaves no trace in a waste tank. */
export function firstPicks(crew: Crew): Id[] {
  return countable(crew)
    .filter(({ kind }) => kind !== 'drinking')
    .slice(0, FIRST_PICKS)
    .map(({ id }) => id)
}

/** Where a count at a hookup begins: supplies full, waste emptied, and charged by what is said to be in it. */
export function hookedUp({ containers }: Rig, charges: ReadonlyMap<Id, Litres>): RunEntry['did'] {
  const of = (side: ReturnType<typeof fillOf>) => containers.filter(({ kind }) => fillOf(kind) === side)
  const emptied = of('waste').filter(({ kind }) => kind !== 'solids')
  return [
    ...of('supply').map(({ id }) => ({ container: id, what: 'filled' as const, litres: null })),
    ...emptied.map(({ id }) => ({ container: id, what: 'emptied' as const, litres: null })),
    ...emptied.flatMap(({ id }) => {
      const litres = charges.get(id) ?? 0
      return litres > 0 ? [{ container: id, what: 'put-in' as const, litres }] : []
    }),
  ]
}
