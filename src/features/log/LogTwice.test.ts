// @vitest-environment happy-dom
import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, expect, it, vi } from 'vitest'
import { standing, type LogEntry } from '@/core/log'
import { entry } from '../../../tests/support/entries'
import { freshStores } from '../../../tests/support/freshStores'
import { heldClient } from '../../../tests/support/heldClient'
import { openedDemo } from '../../../tests/support/openedDemo'
import LogTwice from './LogTwice.vue'

const held = heldClient()
vi.mock('@/workers', async (original) => ({
  ...(await original<typeof import('@/workers')>()),
  jobClient: () => held.client,
}))
beforeEach(() => {
  localStorage.clear()
  freshStores()
})

/** Three uses of a day, each put in by two people some minutes apart. */
function twice(day: string): LogEntry[] {
  return ['08', '13', '18'].flatMap((hour) =>
    ['05', '11'].map((minute) =>
      entry({ kind: 'use', at: `${day}T${hour}:${minute}`, activity: 'dishes', n: 1, stay: 'harrow-ridge' }),
    ),
  )
}

async function opened(log: LogEntry[]) {
  const { logs, workspace } = await openedDemo(held, '2027-09-14T15:20', { log })
  const shown = mount(LogTwice)
  await flushPromises()
  return { logs, workspace, shown, button: (k: number) => shown.findAll('button')[k]!.trigger('click') }
}

it('asks on the second day on which all is logged twice, removes the second of each, and gives them back', async () => {
  const first = await opened(twice('2027-09-12'))
  expect(first.shown.find('[data-testid=logged-twice]').exists()).toBe(false)
  freshStores()
  const { logs, workspace, shown, button } = await opened([...twice('2027-09-12'), ...twice('2027-09-13')])
  expect(shown.find('[data-testid=logged-twice]').text()).toContain('6')
  await button(0)
  expect(shown.find('[data-testid=logged-twice]').exists()).toBe(false)
  expect(standing(logs.entries).map(({ at }) => at.slice(14))).toEqual(Array(6).fill('05'))
  expect(shown.find('[role=status]').text()).toContain('6')
  await workspace.undo()
  await flushPromises()
  expect(standing(logs.entries)).toHaveLength(12)
})

it('does not ask again where all of them happened', async () => {
  const log = [...twice('2027-09-12'), ...twice('2027-09-13')]
  const { logs, shown, button } = await opened(log)
  await button(1)
  expect(shown.find('[data-testid=logged-twice]').exists()).toBe(false)
  expect(standing(logs.entries)).toHaveLength(12)
  shown.unmount()
  expect(mount(LogTwice).find('[data-testid=logged-twice]').exists()).toBe(false)
})
