// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { beforeEach, expect, it, vi } from 'vitest'
import { defineComponent, h } from 'vue'
import { vanDemo } from '../../scripts/demo/van'
import { freshStores } from '../../tests/support/freshStores'
import { heldClient } from '../../tests/support/heldClient'
import { openedDemo } from '../../tests/support/openedDemo'
import { patiently } from '../../tests/support/patiently'
import { budget as budgetOf } from '@/core/budget'
import { riskTables } from '@/core/risk'
import { SEED } from './seed'
import { useTodayStore } from './todayStore'

let held = heldClient()
vi.mock('@/workers', async (original) => ({
  ...(await original<typeof import('@/workers')>()),
  jobClient: () => held.client,
}))
beforeEach(async () => {
  await import('@/workers')
  localStorage.clear()
  held = heldClient()
  freshStores()
})

const SHOWER = { kind: 'use', activity: 'shower', n: 1, person: null, litres: null, minutes: null } as const
const times = (job: string) => held.asked.filter((one) => one.job === job).length

/** A screen that looks at today, on what the log taught. */
async function open() {
  const opened = await openedDemo(held)
  await opened.learn()
  const today = useTodayStore()
  const looks = () =>
    mount(
      defineComponent({
        setup() {
          useTodayStore().follow()
          return () => h('p')
        },
      }),
    )
  /** Answers whatever is asked until that holds. */
  const answered = (is: () => boolean) =>
    patiently(async () => {
      await held.go()
      expect(is()).toBe(true)
    })
  return { ...opened, today, looks, answered }
}

it('asks nothing while nobody looks; then says a first answer, confirms it, and what helps and moved', async () => {
  const { today, looks, answered, logs, forecast } = await open()
  expect([times('budget'), today.budget]).toEqual([0, null])
  const screen = looks()
  await answered(() => today.budget !== null)
  expect([today.isCurrent, today.hasFailed]).toEqual([true, false])
  await answered(() => times('budget') === 2 && today.next !== null && today.since !== null)
  // Of the stay as it is counted now, and of the uses that were logged.
  const uses = logs.entries.filter(({ kind }) => kind === 'use')
  const tables = riskTables()
  const first = budgetOf(forecast.stayCase!, uses, { seed: SEED, trials: 2_000, tables, guess: 1 })
  const guess = first.factor ?? 1
  await answered(() => today.budget?.trials === first.trials * 5 || first.trials === 0)
  expect(today.budget).toEqual(
    budgetOf(forecast.stayCase!, uses, { seed: SEED, trials: 10_000, tables, guess }),
  )
  expect([times('next'), times('since'), today.isNextCurrent]).toEqual([1, 1, true])
  screen.unmount()
  logs.add([{ ...SHOWER, at: '2027-09-14T15:20' }])
  await answered(() => times('learn') === 2)
  expect(times('budget')).toBe(2)
})

it('of uses logged while it is being worked out only the newest is asked for; what stands is shown until then', async () => {
  const { today, looks, answered, logs, workspace } = await open()
  const showers = () => today.budget!.lines.find(({ activity }) => activity === 'shower')!.spent
  looks()
  await patiently(() => expect(times('budget')).toBe(1))
  for (let k = 0; k < 3; k++) {
    logs.add([{ ...SHOWER, at: '2027-09-14T15:20' }])
    await workspace.settled()
  }
  expect([times('budget'), today.isCurrent]).toEqual([1, false])
  await answered(() => today.isCurrent)
  // Each use asked for by itself, first and once more to be sure, would be seven.
  expect(times('budget')).toBeLessThanOrEqual(5)
  const spent = showers()
  await workspace.undo()
  expect([today.isCurrent, today.budget === null]).toEqual([false, false])
  await answered(() => today.isCurrent)
  expect(showers()).toBeCloseTo(spent - 1, 9)
})

it('somebody who leaves in the middle of it finds the whole answer on coming back', async () => {
  const { today, looks, answered } = await open()
  const timer = looks()
  await patiently(() => expect(times('budget')).toBe(1))
  timer.unmount()
  await answered(() => today.isCurrent)
  // Longer than the screen would have waited.
  await new Promise((resolve) => setTimeout(resolve, 1_100))
  expect([times('budget'), times('next'), today.next]).toEqual([1, 0, null])
  looks()
  await answered(() => times('budget') === 2 && today.next !== null && today.since !== null)
  // Once more looked at, it is there: nothing is worked out again.
  looks()
  await new Promise((resolve) => setTimeout(resolve, 1_100))
  await held.go()
  expect([times('budget'), times('next'), times('since')]).toEqual([2, 1, 1])
})

it('where it cannot be worked out nothing is shown; another stay’s answer is never shown either', async () => {
  const { today, looks, answered, logs, workspace } = await open()
  looks()
  await answered(() => today.budget !== null)
  held.state.isBroken = true
  logs.add([{ ...SHOWER, at: '2027-09-14T15:20' }])
  await answered(() => today.hasFailed)
  expect([today.budget, today.next, today.since]).toEqual([null, null, null])
  expect(await today.swap('shower', 'dishes')).toBeNull()
  held.state.isBroken = false
  logs.remove([logs.entries.at(-1)!.id])
  await answered(() => today.budget !== null && !today.hasFailed)
  const offer = today.swap('shower', 'dishes')
  await held.settle()
  await held.go()
  expect((await offer)!.state).toMatch(/^(offered|none-left|no-help|forbidden)$/)
  workspace.replace('import', () => vanDemo())
  await held.settle()
  expect([today.budget, today.next, today.since]).toEqual([null, null, null])
})
