// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { defineComponent, h } from 'vue'
import { habitsCompany, habitsWorth, sensitivity } from '@/core/advice'
import { switchHabit } from '@/core/habits'
import type { AdviceWorker } from '@/workers'
import { adviceJob } from '@/workers/adviceJob'
import { trailerDemo } from '../../scripts/demo/trailer'
import { riskTables } from '@/core/risk'
import { useAdviceStore, type Advice } from './adviceStore'
import { SEED } from './riskStore'
import { useWorkspaceStore } from './workspaceStore'

const STAY = 'harrow-ridge'
const HABITS = ['wet-soap-rinse', 'paper-plates', 'tooth-cup']
const TRIALS = 1000

let spawn: () => AdviceWorker
vi.mock('@/workers', async (original) => ({
  ...(await original<typeof import('@/workers')>()),
  spawnAdvice: () => spawn(),
}))

/** A worker that notes what it is asked for, and answers when it is let go. */
function held() {
  const job = adviceJob()
  const asked: string[] = []
  const waiting: (() => void)[] = []
  const slow =
    <T extends unknown[], R>(name: string, work: (...given: T) => Promise<R>) =>
    (...given: T): Promise<R> => {
      asked.push(name)
      return new Promise((resolve) => waiting.push(() => resolve(work(...given))))
    }
  spawn = () => ({
    worth: slow('worth', job.worth),
    company: slow('company', job.company),
    flush: slow('flush', job.flush),
    sensitivity: slow('sensitivity', job.sensitivity),
  })
  const go = async () => {
    waiting.splice(0).forEach((letGo) => letGo())
    for (let k = 0; k < 6; k++) await Promise.resolve()
  }
  return { asked, go }
}

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

beforeEach(() => {
  setActivePinia(createPinia())
  useWorkspaceStore().replace('habit', small)
})

describe('advice beside the count', () => {
  it('is asked for only while somebody looks, and is what the core says', async () => {
    const { asked, go } = held()
    const advice = useAdviceStore()
    expect(asked).toEqual([])
    const { document } = useWorkspaceStore()
    const habits = look('worth')
    await go()
    expect([...advice.worth.values()]).toEqual([...habitsWorth(document, STAY, HABITS, { seed: SEED, trials: TRIALS, tables: riskTables() })])
    expect(advice.isWorthCurrent).toBe(true)
    const stay = look('sensitivity')
    await go()
    await go()
    expect(advice.swings).toEqual(sensitivity(document, STAY))
    expect(asked).toEqual(['worth', 'worth', 'sensitivity'])
    habits.unmount()
    stay.unmount()
    useWorkspaceStore().replace('habit', (now) => switchHabit(now, STAY, 'tooth-cup', true))
    await vi.waitFor(() => expect(advice.isWorthCurrent).toBe(false), { timeout: 5000 })
    expect(asked).toHaveLength(3)
  }) // prettier-ignore

  it('an answer that an edit has overtaken is dropped; what stood before stays until the new one is there', async () => {
    const { asked, go } = held()
    const advice = useAdviceStore()
    look('worth')
    await go()
    const before = advice.worth
    const company = advice.askCompany('paper-plates')
    useWorkspaceStore().replace('habit', (now) => switchHabit(now, STAY, 'wet-soap-rinse', true))
    await vi.waitFor(() => expect(asked).toEqual(['worth', 'company', 'worth']), { timeout: 5000 })
    expect([advice.worth, advice.isWorthCurrent]).toEqual([before, false])
    await go()
    await company
    expect(advice.company.size).toBe(0)
    expect(advice.isWorthCurrent).toBe(true)
    expect(advice.worth.get('paper-plates')).not.toEqual(before.get('paper-plates'))
    void advice.askCompany('paper-plates')
    await go()
    const { document } = useWorkspaceStore()
    const [known] = [...habitsCompany(document, STAY, ['paper-plates'], { seed: SEED, trials: TRIALS, tables: riskTables() })]
    expect(advice.company.get('paper-plates')).toEqual(known)
  }) // prettier-ignore

  it('says where it cannot be counted, and tries again at the next edit', async () => {
    spawn = () => {
      throw new Error('no workers here')
    }
    const advice = useAdviceStore()
    look('sensitivity')
    await vi.waitFor(() => expect(advice.hasFailed).toBe(true))
    const { go } = held()
    useWorkspaceStore().replace('habit', (now) => switchHabit(now, STAY, 'tooth-cup', true))
    await vi.waitFor(() => expect(advice.hasFailed).toBe(false), { timeout: 5000 })
    await go()
    expect(advice.swings).toEqual(sensitivity(useWorkspaceStore().document, STAY))
  })
})
