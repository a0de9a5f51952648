import type { LogEntry } from '@/core/log'

type Told<E> = E extends LogEntry
  ? Pick<E, 'kind' | 'at'> & Partial<Omit<E, 'kind' | 'at' | 'utc'>> & { utc?: string }
  : never

const OFFSET_MS = 2 * 3_600_000
let serial = 0

/** An entry of the trailer's stay, logged two hours ahead of UTC; what is not said is as an empty form would have it. */
export function entry(told: Told<LogEntry>): LogEntry {
  const utc = new Date(Date.parse(`${told.at}:00Z`) - OFFSET_MS).toISOString()
  const head = { id: `e${(serial += 1)}`, revision: 1, isRemoved: false, note: '', utc }
  const whose = { rig: 'trailer', stay: 'harrow-ridge' }
  return { ...head, ...whose, ...OPEN[told.kind], ...told } as LogEntry
}

/** What a kind of entry has where nothing is said of it. */
const OPEN: Record<LogEntry['kind'], object> = {
  start: { valvesShut: true },
  use: { activity: 'shower', n: 1, person: null, litres: null, minutes: null },
  reading: { container: 'gray', isOffLevel: false },
  run: { did: [], place: null },
  dose: { container: 'black', product: 'mire-ease', amount: 50 },
  odd: { container: null, why: 'other' },
  shakedown: {},
  treatment: { container: null },
  chore: { container: null },
  trial: { container: null },
  practice: { container: null },
  note: { container: null },
  end: {},
}

/** A step of a panel in thirds. */
export const thirds = (step: number) => ({ as: 'panel' as const, edges: [0, 1 / 3, 2 / 3, 1], step })
