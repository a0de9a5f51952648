// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { defineComponent, h, ref } from 'vue'
import { daysBought } from '@/core/habits'
import { caseOf } from '@/core/domain'
import { runOf, runStep } from '../../tests/support/generateRuns'
import { heldClient } from '../../tests/support/heldClient'
import { switchHabitIn } from '../../tests/support/inDocument'
import { trailerDemo } from '../../scripts/demo/trailer'
import { useBoughtStore } from './boughtStore'
import { useWorkspaceStore } from './workspaceStore'
import { patiently } from '../../tests/support/patiently'
import { freshStores } from '../../tests/support/freshStores'

const STAY = 'harrow-ridge'
const HABIT = 'wet-soap-rinse'

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

/** The demo, and somebody who looks at its habits for as long as `isLooking`. */
async function open() {
  const workspace = useWorkspaceStore()
  workspace.replace('habit', () => trailerDemo())
  const bought = useBoughtStore()
  const isLooking = ref(true)
  const looked = mount(
    defineComponent({
      setup() {
        bought.follow(() => isLooking.value)
        return () => h('p')
      },
    }),
  )
  const asked = (times: number) => patiently(() => expect(held.asked).toHaveLength(times))
  await asked(1)
  await held.go()
  const row = () => bought.rows.find(({ habit }) => habit === HABIT)
  return { workspace, bought, row, asked, isLooking, looked }
}

describe('what habits buy', () => {
  it('is what the core says, of the newest edit only; a switch shows at once what it was set to', async () => {
    const { workspace, bought, row, asked } = await open()
    const before = bought.rows
    expect(before).toEqual(daysBought(caseOf(workspace.document, STAY)))
    expect(row()!.on).toBe(false)
    workspace.replace('habit', (document) => switchHabitIn(document, STAY, HABIT, true))
    expect(row()!.on).toBe(true)
    await asked(2)
    workspace.replace('habit', (document) => switchHabitIn(document, STAY, HABIT, false))
    expect(row()!.on).toBe(false)
    workspace.replace('habit', (document) => switchHabitIn(document, STAY, 'paper-plates', true))
    expect(bought.rows.map(({ days }) => days)).toEqual(before.map(({ days }) => days))
    await held.go()
    await asked(3)
    await held.go()
    expect(bought.rows).toEqual(daysBought(caseOf(workspace.document, STAY)))
  })

  it('counts with the runs that are set; a habit that was removed is gone at once', async () => {
    const { workspace, bought, row, asked } = await open()
    const tote = runOf('tote', 5, 'midday', [runStep('loads', 'gray', 'tote', { as: 'all' }, 4)])
    workspace.replace('run', (document) => {
      const copy = structuredClone(document)
      copy.stays[0]!.runs = [tote]
      return copy
    })
    await asked(2)
    await held.go()
    expect(bought.rows).toEqual(daysBought(caseOf(workspace.document, STAY)))
    workspace.replace('habit', (document) => {
      const without = switchHabitIn(document, STAY, HABIT, false)
      return { ...without, habits: without.habits.filter(({ id }) => id !== HABIT) }
    })
    expect(row()).toBeUndefined()
  })

  it('is asked for only while somebody looks, and not again where nothing has changed', async () => {
    const { workspace, asked, isLooking, looked } = await open()
    isLooking.value = false
    workspace.replace('habit', (document) => switchHabitIn(document, STAY, 'paper-plates', true))
    await new Promise((resolve) => setTimeout(resolve, 400))
    expect(held.asked).toHaveLength(1)
    isLooking.value = true
    await asked(2)
    await held.go()
    isLooking.value = false
    await held.settle()
    isLooking.value = true
    await held.settle()
    expect(held.asked).toHaveLength(2)
    looked.unmount()
    workspace.replace('habit', (document) => switchHabitIn(document, STAY, 'paper-plates', false))
    await new Promise((resolve) => setTimeout(resolve, 400))
    expect(held.asked).toHaveLength(2)
  })
})
