// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { beforeEach, expect, it, vi } from 'vitest'
import { defineComponent, h } from 'vue'
import { daysPerBother } from '@/core/habits'
import { useAdviceStore } from '@/data/adviceStore'
import { useBoughtStore } from '@/data/boughtStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { heldClient } from '../../../tests/support/heldClient'
import { switchHabitIn } from '../../../tests/support/inDocument'
import { trailerDemo } from '../../../scripts/demo/trailer'
import { isWorthAWord, useHabitRows, type HabitOrder } from './useHabitRows'
import { patiently } from '../../../tests/support/patiently'
import { freshStores } from '../../../tests/support/freshStores'

const STAY = 'harrow-ridge'

let held = heldClient()
vi.mock('@/workers', async (original) => ({
  ...(await original<typeof import('@/workers')>()),
  jobClient: () => held.client,
}))
beforeEach(async () => {
  await import('@/workers')
  held = heldClient()
  freshStores()
})

/** The demo's habits on a screen; what is asked of the workers waits until it is let go. */
function listed(by: HabitOrder) {
  const workspace = useWorkspaceStore()
  workspace.replace('habit', () => trailerDemo())
  let rows: ReturnType<typeof useHabitRows>
  mount(
    defineComponent({
      setup() {
        rows = useHabitRows(by)
        return () => h('p', rows.value.length)
      },
    }),
  )
  const order = () => rows!.value.map(({ habit }) => habit.id)
  const answered = async (is: () => boolean) => {
    await patiently(async () => {
      await held.go()
      expect(is()).toBe(true)
    })
  }
  return {
    workspace,
    rows: () => rows!.value,
    order,
    answered,
    bought: useBoughtStore(),
    advice: useAdviceStore(),
  }
}

const isFalling = (values: readonly number[]) =>
  values.every((value, k) => k === 0 || value <= values[k - 1]! + 1e-9)

it('stands by average days until what each buys to plan on is known, then by that, and does not move while one is tried', async () => {
  const { workspace, rows, order, answered, bought, advice } = listed('days')
  expect(rows()).toEqual([])
  await answered(() => bought.rows.length > 0)
  expect(rows().every(({ planOn }) => planOn === null)).toBe(true)
  expect(isFalling(rows().map(({ days }) => days))).toBe(true)
  const byAverage = order()
  await answered(() => advice.worth.size > 0)
  expect(isFalling(rows().map(({ planOn }) => planOn!))).toBe(true)
  const byPlanOn = order()
  expect(byPlanOn).not.toEqual(byAverage)
  workspace.replace('habit', (document) => switchHabitIn(document, STAY, byPlanOn[0]!, true))
  expect(rows()[0]).toMatchObject({ habit: { id: byPlanOn[0] }, on: true })
  expect(order()).toEqual(byPlanOn)
  expect(
    rows()
      .filter((row) => !isWorthAWord(row))
      .every(({ on }) => !on),
  ).toBe(true)
}, 30_000)

it('by worth it stands by days for the bother; what does not apply to the rig is not there', async () => {
  const { rows, answered, advice, workspace } = listed('worth')
  await answered(() => advice.worth.size > 0)
  expect(isFalling(rows().map(({ planOn, habit }) => daysPerBother(planOn!, habit.bother.value)))).toBe(true)
  expect(rows().length).toBeLessThan(workspace.document.habits.length)
}, 30_000)
