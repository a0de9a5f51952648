import { beforeEach, expect, it, onTestFinished, vi } from 'vitest'
import { watch } from 'vue'
import { trailerLog } from '../../scripts/demo/trailerLog'
import { heldClient } from '../../tests/support/heldClient'
import { openedDemo } from '../../tests/support/openedDemo'
import { count } from '@/core/count'
import { compile } from '@/core/compile'
import { learnStay } from '@/core/underway'
import { useRiskStore } from './riskStore'
import { SEED } from './seed'
import { useUnderWayStore } from './underWayStore'
import { patiently } from '../../tests/support/patiently'
import { freshStores } from '../../tests/support/freshStores'

let held = heldClient()
vi.mock('@/workers', async (original) => ({
  ...(await original<typeof import('@/workers')>()),
  jobClient: () => held.client,
}))
vi.stubGlobal('navigator', { hardwareConcurrency: 2 })

beforeEach(async () => {
  await import('@/workers')
  held = heldClient()
  freshStores()
})

const open = (at?: string) => openedDemo(held, at)
const levelOf = (stayCase: ReturnType<typeof useUnderWayStore>['stayCase'], id: string) =>
  stayCase!.now!.levels.find(({ container }) => container === id)!.level

it('a stay is counted from its start while it is planned, from now while it is under way, and as planned when it is over', async () => {
  const { clock, underWay, forecast } = await open('2027-09-10T12:00')
  expect([underWay.phase, underWay.at, forecast.model!.start]).toEqual(['planned', null, '2027-09-11T16:00'])
  expect(forecast.today).toBe(0)
  clock.move(2)
  expect([underWay.phase, forecast.model!.start, forecast.today]).toEqual([
    'under-way',
    '2027-09-12T12:00',
    1,
  ])
  clock.move(30)
  expect([underWay.phase, underWay.at]).toEqual(['over', '2027-09-23T11:00'])
  expect(forecast.model!.start).toBe('2027-09-11T16:00')
})

it('counts by the plan until the log is learned, then stands on it as the core does', async () => {
  const { underWay, forecast, learn } = await open()
  expect([underWay.learned, underWay.isReady]).toEqual([null, false])
  const plan = forecast.result!.days
  await learn()
  expect(underWay.isReady).toBe(true)
  const { planCase, stayCase } = underWay
  const known = learnStay({
    stayCase: planCase!,
    log: trailerLog(),
    earlier: [],
    at: '2027-09-14T15:20',
    seed: SEED,
  })
  expect(stayCase!.now!.levels).toEqual(known.now.levels)
  expect(forecast.result!.days).toBe(count(compile(stayCase!)).days)
  expect(forecast.result!.days).not.toBe(plan)
})

it('chances wait for what is known: of the plan’s level alone they would be too narrow', async () => {
  const { learn } = await open()
  const risk = useRiskStore()
  await held.settle()
  expect(held.asked.some(({ job }) => job === 'sample')).toBe(false)
  await learn()
  await held.settle()
  await patiently(() => expect(held.asked.some(({ job }) => job === 'sample')).toBe(true))
  expect(risk.state).toBe('running')
})

it('takes a use in at once, its undo too, and learns again behind it', async () => {
  const { workspace, clock, logs, underWay, learn } = await open()
  await learn()
  const before = underWay.stayCase!
  const asked = held.asked.length
  logs.add([
    { kind: 'use', at: clock.now, activity: 'shower', n: 2, person: null, litres: null, minutes: null },
  ])
  const after = levelOf(underWay.stayCase, 'gray')
  expect(after).toBeGreaterThan(levelOf(before, 'gray') + 15)
  await patiently(() => expect(held.asked.length).toBeGreaterThan(asked))
  await held.go()
  expect(Math.abs(levelOf(underWay.stayCase, 'gray') - after)).toBeLessThan(2)
  await workspace.settled()
  await workspace.undo()
  expect(levelOf(underWay.stayCase, 'gray')).toBeLessThan(after - 15)
})

it('what takes longer is worked out once a use, on what it taught; a worker that is slow to learn holds it up for a moment only', async () => {
  const { workspace, clock, logs, underWay, learn } = await open()
  const risk = useRiskStore()
  await learn()
  await patiently(() => expect(held.asked.some(({ job }) => job === 'sample')).toBe(true))
  for (let k = 0; k < 6; k++) await held.go()
  // Time goes on only while something is waited for: a busy machine is not taken for a slow worker.
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] })
  onTestFinished(() => void vi.useRealTimers())
  const shower = { kind: 'use', activity: 'shower', n: 1, person: null, litres: null, minutes: null } as const
  const from = held.asked.length
  const jobs = () => held.asked.slice(from).map(({ job }) => job)
  const cases = new Set<unknown>()
  watch(
    () => underWay.stayCase,
    (now) => cases.add(now),
    { flush: 'sync' },
  )
  logs.add([{ ...shower, at: clock.now }])
  expect(cases.size).toBe(1)
  await workspace.settled()
  await patiently(() => expect(jobs()).toEqual(['learn']))
  expect([underWay.isReady, risk.state]).toEqual([false, 'running'])
  await held.go()
  await patiently(() => expect(jobs()).toEqual(['learn', 'sample']))
  for (let k = 0; k < 6; k++) await held.go()
  expect(jobs()).toEqual(['learn', 'sample', 'sample', 'sample', 'sample', 'story'])
  // Stepped by the use, then learned; that it has been written by then is no change.
  expect(cases.size).toBe(2)
  // Nobody answers: what is known goes for it.
  logs.add([{ ...shower, at: clock.now }])
  await patiently(() => expect(underWay.isReady).toBe(false))
  await patiently(() => expect(underWay.isReady).toBe(true))
  await patiently(() => expect(jobs().slice(6)).toEqual(['learn', 'sample']))
})

it('goes on with the clock, remembers what it learned, and says where nothing can be learned', async () => {
  const first = await open()
  await first.learn()
  const gray = levelOf(first.underWay.stayCase, 'gray')
  first.clock.move(0.5)
  expect(levelOf(first.underWay.stayCase, 'gray')).toBeGreaterThan(gray)
  // A page that is opened again shows the means at once, before any worker has answered.
  freshStores()
  held = heldClient()
  held.state.isBroken = true
  const again = await open()
  await patiently(() => expect(again.underWay.hasFailed).toBe(true))
  expect([again.underWay.isReady, again.underWay.learned]).toEqual([true, null])
  expect(again.forecast.result!.days).not.toBeNull()
})

it('an edit of the plan counts at once on what is known; of another crew it counts by the plan until it is learned', async () => {
  const { workspace, underWay, forecast, learn } = await open()
  await learn()
  const gray = levelOf(underWay.stayCase, 'gray')
  workspace.edit('rig', (draft) => void (draft.rigs[0]!.name = 'Other'))
  expect(levelOf(underWay.stayCase, 'gray')).toBe(gray)
  workspace.edit('crew', (draft) => void draft.crews[0]!.activities.pop())
  expect(underWay.learned).toBeNull()
  expect(underWay.stayCase!.now!.draws).toBeNull()
  expect(forecast.result!.days).not.toBeNull()
})
