import { expect } from 'vitest'
import { useClockStore } from '@/data/clockStore'
import { useForecastStore } from '@/data/forecastStore'
import { useLogStore } from '@/data/logStore'
import { openMemoryStore } from '@/data/storage/memoryStore'
import { useUnderWayStore } from '@/data/underWayStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import type { Document } from '@/core/domain'
import type { LogEntry } from '@/core/log'
import type { WallTime } from '@/core/calendar'
import { trailerDemo } from '../../scripts/demo/trailer'
import { trailerLog } from '../../scripts/demo/trailerLog'
import type { heldClient } from './heldClient'
import { patiently } from './patiently'

/** The trailer’s stay as a page has it that was just opened, its log read, at a moment of the demo’s clock. */
export async function openedDemo(
  held: ReturnType<typeof heldClient>,
  at: WallTime = '2027-09-14T15:20',
  { document = trailerDemo(), log = trailerLog() }: { document?: Document; log?: LogEntry[] } = {},
) {
  const [workspace, clock, logs] = [useWorkspaceStore(), useClockStore(), useLogStore()]
  workspace.space = 'demo'
  clock.follow('demo')
  clock.backToStart()
  clock.move((Date.parse(`${at}Z`) - Date.parse(`${clock.now}Z`)) / 86_400_000)
  const [underWay, forecast] = [useUnderWayStore(), useForecastStore()]
  await workspace.open(
    () => openMemoryStore('', document, log),
    'kept',
    () => 0,
  )
  await patiently(() => expect(logs.isLoaded).toBe(true))
  /** Lets the worker answer what it is asked, until what it taught is what is counted. */
  const learn = () =>
    patiently(async () => {
      await held.go()
      expect([underWay.isReady, underWay.learned]).toEqual([true, expect.anything()])
    })
  return { workspace, clock, logs, underWay, forecast, learn }
}
