import { beforeEach, describe, expect, it, vi } from 'vitest'
import { nextTick } from 'vue'
import { heldClient } from '../../tests/support/heldClient'
import { trailerDemo } from '../../scripts/demo/trailer'
import { vanDemo } from '../../scripts/demo/van'
import { useRiskStore } from './riskStore'
import { useWorkspaceStore } from './workspaceStore'
import { switchHabitIn } from '../../tests/support/inDocument'
import { patiently } from '../../tests/support/patiently'
import { freshStores } from '../../tests/support/freshStores'

let held = heldClient()
vi.mock('@/workers', async (original) => ({
  ...(await original<typeof import('@/workers')>()),
  jobClient: () => held.client,
}))

const edit = (make: (document: ReturnType<typeof trailerDemo>) => ReturnType<typeof trailerDemo>) =>
  useWorkspaceStore().replace('habit', make)

beforeEach(async () => {
  // There before it is asked for, so that only the trips are waited for.
  await import('@/workers')
  held = heldClient()
  freshStores()
  vi.stubGlobal('navigator', { hardwareConcurrency: 2 })
})

describe('the risk of the current stay', () => {
  it('answers after the first wave, goes on to all trips, and then tells a story', async () => {
    const { go, settle } = held
    const risk = useRiskStore()
    expect([risk.state, risk.risk]).toEqual(['none', null])
    edit(() => trailerDemo())
    await settle()
    expect(risk.state).toBe('running')
    await go()
    expect(risk.risk!.trials).toBe(500)
    for (let wave = 0; wave < 4; wave++) await go()
    expect([risk.state, risk.risk!.trials]).toEqual(['done', 10_000])
    await patiently(() => expect(risk.story?.days).toBe(risk.risk!.planOn.days))
  })

  it('edits made before the first answer wait, and only the newest of them is run', async () => {
    const { go, settle, asked } = held
    const revisions = () => [...new Set(asked.map(({ revision }) => revision))]
    const risk = useRiskStore()
    edit(() => trailerDemo())
    await settle()
    for (const habit of ['paper-plates', 'wet-soap-rinse', 'shower-every-other']) {
      edit((document) => switchHabitIn(document, 'harrow-ridge', habit, true))
      await nextTick()
    }
    await settle()
    expect(revisions()).toEqual([1])
    await go()
    expect(risk.risk!.trials).toBe(500)
    const before = risk.risk!.planOn.days
    expect(revisions()).toEqual([1, 2])
    for (let wave = 0; wave < 4; wave++) await go()
    expect([risk.state, revisions()]).toEqual(['done', [1, 2]])
    expect(risk.risk!.planOn.days).toBeGreaterThan(before + 2)
  })

  it('is stopped with what it has, and started again', async () => {
    const { go, settle } = held
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
  })

  it('where it cannot be computed no figure stands, and it is tried again', async () => {
    const { go, settle, state } = held
    const risk = useRiskStore()
    edit(() => trailerDemo())
    await settle()
    await go()
    expect(risk.risk!.trials).toBe(500)
    state.isBroken = true
    edit((document) => switchHabitIn(document, 'harrow-ridge', 'paper-plates', true))
    for (let wave = 0; wave < 3; wave++) await go()
    expect([risk.state, risk.risk, risk.story]).toEqual(['failed', null, null])
    state.isBroken = false
    void risk.start()
    for (let wave = 0; wave < 5; wave++) await go()
    expect([risk.state, risk.risk!.trials]).toEqual(['done', 10_000])
  })

  it('figures of one stay do not stand beside another', async () => {
    const { go, settle } = held
    const risk = useRiskStore()
    edit(() => trailerDemo())
    await settle()
    for (let wave = 0; wave < 5; wave++) await go()
    expect(risk.risk!.trials).toBe(10_000)
    edit(() => vanDemo())
    await nextTick()
    expect([risk.risk, risk.story]).toEqual([null, null])
  })
})
