// @vitest-environment happy-dom
import { caseOf } from '@/core/domain'
import { mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { defineComponent, h } from 'vue'
import { habitsCompany, habitsWorth, sensitivity } from '@/core/advice'
import { heldClient } from '../../tests/support/heldClient'
import { trailerDemo } from '../../scripts/demo/trailer'
import { riskTables } from '@/core/risk'
import { useAdviceStore, type Advice } from './adviceStore'
import { SEED } from './riskStore'
import { useWorkspaceStore } from './workspaceStore'
import { switchHabitIn } from '../../tests/support/inDocument'
import { patiently } from '../../tests/support/patiently'
import { freshStores } from '../../tests/support/freshStores'

const STAY = 'harrow-ridge'
const HABITS = ['wet-soap-rinse', 'paper-plates', 'tooth-cup']
const TRIALS = 1000

let held = heldClient()
vi.mock('@/workers', async (original) => ({
  ...(await original<typeof import('@/workers')>()),
  jobClient: () => held.client,
}))
const jobs = () => held.asked.map(({ job }) => job)

function small() {
  const document = trailerDemo()
  document.habits = document.habits.filter(({ id }) => HABITS.includes(id))
  document.stays[0]!.habits = []
  return document
}

/** Somebody looks at one kind of advice. */
function look(advice: Advice) {
  return mount(
    defineComponent({
      setup() {
        useAdviceStore().follow(advice)
        return () => h('p')
      },
    }),
  )
}

/** It waits for the screen, and for others to ask too. */
const asked = (times: number) => patiently(() => expect(jobs()).toHaveLength(times))

beforeEach(async () => {
  await import('@/workers')
  held = heldClient()
  freshStores()
  useWorkspaceStore().replace('habit', small)
})

describe('advice beside the count', () => {
  it('is asked for only while somebody looks, and is what the core says', async () => {
    const { go } = held
    const advice = useAdviceStore()
    expect(jobs()).toEqual([])
    const { document } = useWorkspaceStore()
    const habits = look('worth')
    await asked(1)
    await go()
    expect([...advice.worth.values()]).toEqual([
      ...habitsWorth(caseOf(document, STAY), HABITS, { seed: SEED, trials: TRIALS, tables: riskTables() }),
    ])
    expect(advice.isWorthCurrent).toBe(true)
    // Another screen looks: what is known of the stay as it stands is not asked again.
    const stay = look('sensitivity')
    await asked(2)
    await go()
    expect(advice.swings).toEqual(sensitivity(caseOf(document, STAY)))
    expect(advice.isWorthCurrent).toBe(true)
    expect(jobs()).toEqual(['worth', 'sensitivity'])
    habits.unmount()
    stay.unmount()
    useWorkspaceStore().replace('habit', (now) => switchHabitIn(now, STAY, 'tooth-cup', true))
    await patiently(() => expect(advice.isWorthCurrent).toBe(false))
    expect(jobs()).toHaveLength(2)
  })

  it('an answer that an edit has overtaken is dropped; what stood before stays until the new one is there', async () => {
    const { go, settle } = held
    const advice = useAdviceStore()
    look('worth')
    await asked(1)
    await go()
    const before = advice.worth
    const company = advice.askCompany('paper-plates')
    useWorkspaceStore().replace('habit', (now) => switchHabitIn(now, STAY, 'wet-soap-rinse', true))
    await patiently(() => expect(jobs()).toEqual(['worth', 'company', 'worth']))
    expect([advice.worth, advice.isWorthCurrent]).toEqual([before, false])
    await go()
    await company
    expect(advice.company.size).toBe(0)
    expect(advice.isWorthCurrent).toBe(true)
    expect(advice.worth.get('paper-plates')).not.toEqual(before.get('paper-plates'))
    void advice.askCompany('paper-plates')
    await settle()
    await go()
    const { document } = useWorkspaceStore()
    const [known] = [
      ...habitsCompany(caseOf(document, STAY), ['paper-plates'], {
        seed: SEED,
        trials: TRIALS,
        tables: riskTables(),
      }),
    ]
    expect(advice.company.get('paper-plates')).toEqual(known)
  })

  it('says where it cannot be counted, and tries again at the next edit', async () => {
    const { go, settle, state } = held
    state.isBroken = true
    const advice = useAdviceStore()
    look('sensitivity')
    await patiently(() => expect(advice.hasFailed).toBe(true))
    expect(advice.swings).toBeNull()
    state.isBroken = false
    useWorkspaceStore().replace('habit', (now) => switchHabitIn(now, STAY, 'tooth-cup', true))
    await patiently(() => expect(advice.hasFailed).toBe(false))
    await settle()
    await go()
    expect(advice.swings).toEqual(sensitivity(caseOf(useWorkspaceStore().document, STAY)))
  })
})
