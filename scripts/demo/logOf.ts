import type { LogEntry } from '@/core/log'

/** The demo world's clocks are two hours ahead of UTC. */
export const DEMO_OFFSET_HOURS = 2

type Told<E> = E extends LogEntry
  ? Omit<E, 'id' | 'revision' | 'isRemoved' | 'rig' | 'stay' | 'utc' | 'note'> & { note?: string }
  : never

/** Entries of one stay, numbered in the order they were made. */
export function logOf(rig: string, stay: string, told: Told<LogEntry>[]): LogEntry[] {
  return told.map((entry, n) => ({
    note: '',
    ...entry,
    id: `${stay}-${String(n + 1).padStart(3, '0')}`,
    revision: 1,
    isRemoved: false,
    rig,
    stay,
    utc: new Date(Date.parse(`${entry.at}:00Z`) - DEMO_OFFSET_HOURS * 3_600_000).toISOString(),
  }))
}

export const use = (at: string, activity: string, n = 1, person: string | null = null) => ({
  kind: 'use' as const,
  at,
  activity,
  n,
  person,
  litres: null as number | null,
  minutes: null as number | null,
})

/** A panel in thirds. */
export const lit = (at: string, container: string, step: number) => ({
  kind: 'reading' as const,
  at,
  container,
  isOffLevel: false,
  saw: { as: 'panel' as const, edges: [0, 1 / 3, 2 / 3, 1], step },
})
