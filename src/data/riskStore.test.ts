import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { nextTick } from 'vue'
import type { RiskWorker } from '@/workers'
import { riskJob } from '@/workers/riskJob'
import { switchHabit } from '@/core/habits'
import { trailerDemo } from '../../scripts/demo/trailer'
import { useRiskStore } from './riskStore'
import { useWorkspaceStore } from './workspaceStore'

const workers: RiskWorker[] = []
vi.mock('@/workers', async (original) => ({
  ...(await original<typeof import('@/workers')>()),
  spawnRisk: () => {
    if (workers.length === 0) throw new Error('no workers here')
    return workers
  },
}))

/** A worker whose trips wait until they are let go. */
function held() {
  const job = riskJob()
  const waiting: (() => void)[] = []
  const prepared: number[] = []
  workers.push({
    ...job,
    prepare: (request) => {
      prepared.push(request.revision)
      return job.prepare(request)
    },
    sample: (revision, from, to) =>
      new Promise((resolve) => waiting.push(() => resolve(job.sample(revision, from, to)))),
  })
  const settle = async () => {
    for (let k = 0; k < 4; k++) await new Promise((resolve) => setTimeout(resolve))
  }
  return {
    prepared,
    settle,
    go: async () => {
      waiting.splice(0).forEach((letGo) => letGo())
      await settle()
    },
  }
}

const edit = (make: (document: ReturnType<typeof trailerDemo>) => ReturnType<typeof trailerDemo>) =>
  useWorkspaceStore().replace('habit', make)

beforeEach(async () => {
  // There before it is asked for, so that only the trips are waited for.
  await import('@/workers')
  workers.length = 0
  setActivePinia(createPinia())
  vi.stubGlobal('navigator', { hardwareConcurrency: 2 })
})

describe('the risk of the current stay', () => {
  it('answers after the first wave, goes on to all trips, and then tells a story', async () => {
    const { go, settle } = held()
    const risk = useRiskStore()
    expect([risk.state, risk.risk]).toEqual(['none', null])
    edit(() => trailerDemo())
    await settle()
    expect(risk.state).toBe('running')
    await go()
    expect(risk.risk!.trials).toBe(500)
    for (let wave = 0; wave < 3; wave++) await go()
    expect([risk.state, risk.risk!.trials]).toEqual(['done', 10_000])
    await vi.waitFor(() => expect(risk.story?.days).toBe(risk.risk!.planOn.days))
  })

  it('edits made before the first answer wait, and only the newest of them is run', async () => {
    const { go, settle, prepared } = held()
    const risk = useRiskStore()
    edit(() => trailerDemo())
    await settle()
    for (const habit of ['paper-plates', 'wet-soap-rinse', 'shower-every-other']) {
      edit((document) => switchHabit(document, 'harrow-ridge', habit, true))
      await nextTick()
    }
    await settle()
    expect(prepared).toEqual([1])
    await go()
    expect(risk.risk!.trials).toBe(500)
    const before = risk.risk!.planOn.days
    expect(prepared).toEqual([1, 2])
    for (let wave = 0; wave < 4; wave++) await go()
    expect([risk.state, prepared]).toEqual(['done', [1, 2]])
    expect(risk.risk!.planOn.days).toBeGreaterThan(before + 2)
  })

  it('is stopped with what it has, started again, and says where there are no workers', async () => {
    const { go, settle } = held()
    const risk = useRiskStore()
    edit(() => trailerDemo())
    await settle()
    await go()
    risk.stop()
    await go()
    expect([risk.state, risk.risk!.trials]).toEqual(['stopped', 500])
    void risk.start()
    for (let wave = 0; wave < 5; wave++) await go()
    expect(risk.state).toBe('done')
    void risk.start()
    risk.stop()
    await settle()
    await go()
    expect(risk.state).toBe('stopped')
    workers.length = 0
    setActivePinia(createPinia())
    const elsewhere = useRiskStore()
    edit(() => trailerDemo())
    await settle()
    expect([elsewhere.state, elsewhere.risk]).toEqual(['failed', null])
  })
})
