// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { beforeEach, expect, it, vi } from 'vitest'
import { defineComponent, h } from 'vue'
import { caseOf } from '@/core/domain'
import { reach } from '@/core/reach'
import { SEED } from '@/data/riskStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { freshStores } from '../../../tests/support/freshStores'
import { heldClient } from '../../../tests/support/heldClient'
import { switchHabitIn } from '../../../tests/support/inDocument'
import { patiently } from '../../../tests/support/patiently'
import { trailerDemo } from '../../../scripts/demo/trailer'
import { useReach } from './useReach'

const STAY = 'harrow-ridge'
const HABITS = ['wet-soap-rinse', 'paper-plates', 'tooth-cup']
const NIGHTS = 5
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

function opened() {
  const document = trailerDemo()
  document.habits = document.habits.filter(({ id }) => HABITS.includes(id))
  document.stays[0]!.habits = []
  document.crews[0]!.flush.school = 'little'
  const workspace = useWorkspaceStore()
  workspace.replace('import', () => document)
  let found!: ReturnType<typeof useReach>
  const screen = mount(
    defineComponent({
      setup() {
        found = useReach()
        return () => h('p')
      },
    }),
  )
  const asked = () => held.asked.filter(({ job }) => job === 'reach').length
  /** Answers until the search has come to that. */
  const until = (state: string) =>
    patiently(async () => {
      await held.go()
      expect(found.state.value).toBe(state)
    })
  return { workspace, document, found, screen, asked, until }
}

/** The core by itself. */
function searched(document: ReturnType<typeof trailerDemo>, untilDays: number, without: string[] = []) {
  const steps = reach(caseOf(document, STAY), { seed: SEED, untilDays, without })
  for (;;) {
    const step = steps.next()
    if (step.done) return step.value
  }
}

it('finds what the core finds; what is picked goes before it, and a refused habit is searched without', async () => {
  const { document, found, until } = opened()
  expect([found.state.value, found.shown.value]).toEqual(['idle', null])
  void found.start(NIGHTS)
  await until('done')
  const whole = searched(document, found.askedDays.value)
  expect(found.result.value).toEqual(whole)
  expect(found.shown.value).toEqual(whole.goal ?? whole.most)
  found.pick(whole.curve[0]!)
  expect(found.shown.value).toEqual(whole.curve[0])
  const refused = whole.most.habits[0]!
  found.refuse(refused)
  expect(found.shown.value).toBeNull()
  await until('done')
  expect(found.result.value).toEqual(searched(document, found.askedDays.value, [refused]))
  found.allowHold('refused', () => undefined)
  await until('done')
  expect([found.without.value, found.result.value!.most]).toEqual([[], whole.most])
}, 60_000)

it('stopped, it says nothing more; one that is left stops by itself', async () => {
  const { found, screen, asked } = opened()
  void found.start(NIGHTS)
  await patiently(() => expect(asked()).toBe(1))
  found.stop()
  await held.go()
  expect([found.state.value, found.result.value]).toEqual(['stopped', null])
  void found.start(NIGHTS)
  await patiently(() => expect(asked()).toBe(2))
  screen.unmount()
  await held.go()
  expect([found.state.value, found.result.value]).toEqual(['stopped', null])
})

it('an answer goes when what it was of has changed, not when it is taken; a failure is said', async () => {
  const { workspace, found, until } = opened()
  void found.start(NIGHTS)
  await until('done')
  found.taking(() =>
    workspace.replace('habit', (now) =>
      switchHabitIn(now, STAY, found.shown.value!.habits[0] ?? HABITS[0]!, true),
    ),
  )
  expect([found.state.value, found.isGone.value]).toEqual(['done', false])
  workspace.replace('habit', (now) => switchHabitIn(now, STAY, 'tooth-cup', true))
  expect([found.state.value, found.result.value, found.isGone.value]).toEqual(['idle', null, true])
  held.state.isBroken = true
  void found.start(NIGHTS)
  await until('failed')
  expect(found.isGone.value).toBe(false)
})
