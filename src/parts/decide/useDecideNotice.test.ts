// @vitest-environment happy-dom
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { effectScope, nextTick, ref } from 'vue'
import type { DecideBy } from '@/core/advice'
import { useClockStore } from '@/data/clockStore'
import { useDecideStore } from '@/data/decideStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { heldClient } from '../../../tests/support/heldClient'
import { trailerDemo } from '../../../scripts/demo/trailer'
import { useDecideNotice } from './useDecideNotice'
import { runOf } from '../../../tests/support/generateRuns'
import { freshStores } from '../../../tests/support/freshStores'

const told: string[] = []
let permission = 'granted'
class FakeNotification {
  static get permission() {
    return permission
  }
  static requestPermission = () => Promise.resolve(permission)
  title: string
  constructor(title: string, { body }: { body: string }) {
    this.title = title
    told.push(`${title} / ${body}`)
  }
}
const pressing = ref<DecideBy[]>([])
/** Gray, to be seen to at a place of the demo by then. */
const gray = (leaveBy: string): DecideBy => ({
  container: 'gray',
  by: '2027-09-16T06:24',
  state: 'wait',
  perhaps: [],
  offers: [
    {
      usual: 'tote-loads',
      run: runOf('w', 0, 'midday', []),
      perhaps: null,
      place: null,
      leaveBy,
      at: leaveBy,
      span: null,
      isSure: true,
      kilometres: null,
      cost: 1,
    },
  ],
})

let scope = effectScope()
vi.mock('@/workers', async (original) => ({
  ...(await original<typeof import('@/workers')>()),
  jobClient: () => heldClient().client,
}))
beforeEach(async () => {
  await import('@/workers')
  localStorage.clear()
  told.length = 0
  permission = 'granted'
  pressing.value = []
  scope = effectScope()
  vi.stubGlobal('Notification', FakeNotification)
  freshStores()
})
afterEach(() => {
  scope.stop()
  vi.unstubAllGlobals()
})

/** The demo's clock at a moment, and a screen that reminds. */
function opened(now: string) {
  useWorkspaceStore().replace('run', () => trailerDemo())
  localStorage.setItem('dry-count:demo-clock', now)
  const clock = useClockStore()
  clock.follow('demo')
  vi.spyOn(useDecideStore(), 'pressing', 'get').mockImplementation(() => pressing.value)
  const notice = scope.run(useDecideNotice)!
  const passed = async (hours: number) => {
    clock.move(hours / 24)
    await nextTick()
    await new Promise((resolve) => setTimeout(resolve))
  }
  return { notice, passed }
}

it('is given once, three hours before a last moment, and again for another moment', async () => {
  pressing.value = [gray('2027-09-15T17:00')]
  const { notice, passed } = opened('2027-09-15T13:30')
  await notice.turn(true)
  await passed(0.25)
  expect(told).toEqual([])
  await passed(0.5)
  expect(told).toHaveLength(1)
  expect(told[0]).toContain('Gray')
  expect(told[0]).toContain('Gray can wait until Wed 15 Sept 17:00.')
  await passed(1)
  expect(told).toHaveLength(1)
  pressing.value = [gray('2027-09-15T17:30')]
  await passed(0)
  expect(told).toHaveLength(2)
  // What has passed is past.
  pressing.value = [gray('2027-09-15T12:00')]
  await passed(0)
  expect(told).toHaveLength(2)
})

it('is not given where it was never asked for, or is turned off again', async () => {
  pressing.value = [gray('2027-09-15T17:00')]
  const { notice, passed } = opened('2027-09-15T15:00')
  await passed(0.1)
  expect(told).toEqual([])
  await notice.turn(true)
  await notice.turn(false)
  pressing.value = [gray('2027-09-15T17:15')]
  await passed(0.1)
  expect(told).toHaveLength(1)
})

it('says so where the browser refuses', async () => {
  permission = 'denied'
  pressing.value = [gray('2027-09-15T17:00')]
  const { notice, passed } = opened('2027-09-15T15:00')
  await notice.turn(true)
  await passed(0.1)
  expect([notice.isOn.value, notice.isRefused.value, told]).toEqual([false, true, []])
})
