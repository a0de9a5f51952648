// @vitest-environment happy-dom
import { flushPromises } from '@vue/test-utils'
import { beforeEach, expect, it, vi } from 'vitest'
import { useFoldStore } from '@/data/foldStore'
import { report, reports } from '@/data/report'
import * as t from '@/texts/t'
import { freshStores } from '../../../tests/support/freshStores'
import { mounted } from '../../../tests/support/mounted'
import RecentReports from './RecentReports.vue'

beforeEach(() => {
  localStorage.clear()
  freshStores()
  reports.value = []
  useFoldStore().set('reports', true)
})

it('shows what went wrong, the newest first, and copies it; where it cannot, it says so and keeps it on the screen', async () => {
  const shown = await mounted(RecentReports)
  expect(shown.text()).toContain(t.settings.reports.none)
  report('learning', new Error('no stay'))
  report('the budget', new RangeError('below 0'))
  await flushPromises()
  const rows = shown.findAll('[data-testid=reports] li')
  expect(rows.map((row) => row.text())).toEqual([
    expect.stringContaining('the budget'),
    expect.stringContaining('learning'),
  ])
  const writeText = vi.fn<(text: string) => Promise<void>>().mockResolvedValue(undefined)
  Object.defineProperty(navigator, 'clipboard', { value: { writeText }, configurable: true })
  await shown.get('button:not([aria-expanded])').trigger('click')
  await flushPromises()
  expect(writeText.mock.calls[0]![0]).toMatch(/the budget[\s\S]*below 0[\s\S]*learning/)
  expect(shown.get('[role=status]').text()).toBe(t.settings.reports.copied)
  writeText.mockRejectedValue(new Error('forbidden'))
  await shown.get('button:not([aria-expanded])').trigger('click')
  await flushPromises()
  expect(shown.get('[role=status]').text()).toBe(t.settings.reports.notCopied)
})
