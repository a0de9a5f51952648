import { wallMinutes, wallTimeAt } from '@/core/calendar'
import type { Evidence, Known, Measured, PanelRead, Used } from '@/core/learn'
import type { LogEntry } from '@/core/log'
import type { Household, Luck } from './household'

/** How a crew keeps its log: nothing but what it counts, each use, every second one, or each for a day. */
export const LOGGING = ['none', 'each', 'half', 'stops'] as const
export type Logging = (typeof LOGGING)[number]

/** Those who stop log for so long. */
const STOPS_AFTER_D = 1

/** What a household writes down, as the application keeps it: uses, readings and what was done to tanks, in their order. */
export function entriesOf(home: Household, logging: Logging, luck: Luck): LogEntry[] {
  const { stayCase, model, counted } = home
  const { activities } = stayCase.crew
  const isLogged = (one: Used): boolean => {
    if (counted.has(activities[one.activity]!.id)) return true
    if (logging === 'half') return luck.uniform() < 0.5
    return logging === 'each' || (logging === 'stops' && one.at < STOPS_AFTER_D)
  }
  const told = home.evidence.filter((one) => one.kind !== 'used' || isLogged(one))
  const ordered = [...told].sort((a, b) => a.at - b.at)
  return ordered.flatMap((one, k): LogEntry[] => {
    const minutes = Math.floor(wallMinutes(model.start) + one.at * 1440 + 1e-6)
    const at = wallTimeAt(minutes)
    const head = {
      id: `entry-${String(k).padStart(6, '0')}`,
      revision: 1,
      isRemoved: false,
      rig: stayCase.rig.id,
      stay: stayCase.stay.id,
      at,
      utc: new Date(minutes * 60_000 + (k % 60_000)).toISOString(),
      note: '',
    }
    const said = saidOf(home, one)
    return said ? [{ ...head, ...said } as LogEntry] : []
  })
}

function saidOf({ stayCase, model }: Household, one: Evidence): object | null {
  const container = (of: PanelRead | Measured | Known) => model.containers[of.container]!.members[0]!
  if (one.kind === 'used') {
    const activity = stayCase.crew.activities[one.activity]!.id
    return { kind: 'use', activity, n: one.n, person: null, litres: one.litres, minutes: null }
  }
  if (one.kind === 'panel') {
    const saw = { as: 'panel', edges: [...one.edges], step: one.step }
    return { kind: 'reading', container: container(one), saw, isOffLevel: false }
  }
  if (one.kind === 'measured') {
    const saw = { as: 'amount', amount: one.level, deviation: one.deviation }
    return { kind: 'reading', container: container(one), saw, isOffLevel: false }
  }
  if (one.kind !== 'known') return null
  const what = one.level === 'full' ? 'filled' : 'emptied'
  return { kind: 'run', did: [{ container: container(one), what, litres: null }], place: null }
}
