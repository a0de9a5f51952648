import { expect, it } from 'vitest'
import { count } from '@/core/count'
import { FIRST_ASKS, cardCase, cardOf, runFor, split, stepAt, subjectsOf } from '@/core/cards'
import { compile } from '@/core/compile'
import { caseOf } from '@/core/domain'
import { trailerDemo } from '../../scripts/demo/trailer'
import { trailerLog } from '../../scripts/demo/trailerLog'
import type { LogEntry } from '@/core/log'
import { useNoticeStore } from './noticeStore'
import type { Edit } from './storage/documentStore'
import { sharedMemory } from './storage/memoryStore'
import { useWalkStore } from './walkStore'
import { useWorkspaceStore } from './workspaceStore'
import { freshStores } from '../../tests/support/freshStores'

/** A tab opens what is kept. */
async function opened(memory = sharedMemory(trailerDemo()), by = 'one') {
  freshStores()
  const workspace = useWorkspaceStore()
  const walk = useWalkStore()
  await workspace.open(
    () => memory(by),
    'kept',
    () => 1_000,
    by,
  )
  await turn()
  return { workspace, walk, memory }
}
const turn = () => new Promise((resolve) => setTimeout(resolve))

function parts() {
  const stayCase = caseOf(trailerDemo(), 'harrow-ridge')
  const model = compile(stayCase)
  const [subject] = subjectsOf(stayCase, 'dump')
  const ground = { stayCase, model, counted: count(model), log: [] }
  return split(
    cardOf(cardCase(ground, runFor(stayCase, 'dump', subject!), FIRST_ASKS, null), 'dump', subject!),
  )
}

it('a walk outlives the page: step, clock, what the panel showed; put away it is gone', async () => {
  const { walk: first, memory } = await opened()
  expect(first.current).toBeNull()
  first.begin(parts(), 'harrow-ridge', null, 'sallow-mill', 1000)
  first.act({ do: 'next', at: 2000 })
  first.act({ do: 'start-timer', at: 3000, seconds: 60 })
  first.readBefore('black', 2)
  await turn()
  const { walk: again } = await opened(memory)
  expect(again.current).toEqual(first.current)
  expect(again.current).toMatchObject({
    place: 'sallow-mill',
    before: { black: 2 },
    walk: { card: 0, step: 1, timers: { '0.1': { startedAt: 3000 } } },
  })
  expect(stepAt(again.current!.walk)!.id).toBe(parts()[0]!.steps[1]!.id)
  again.discard()
  await turn()
  expect((await opened(memory)).walk.current).toBeNull()
})

it('what cannot be read is no walk, and on a full disk it goes on as long as the page is open', async () => {
  const memory = sharedMemory(trailerDemo())
  for (const value of [null, {}, { walk: { cards: [] } }, 7]) {
    await memory('other').begun.keep({ name: 'walk', id: 'broken', value }, true)
    expect((await opened(memory)).walk.current).toBeNull()
  }
  const full = (by: string) => {
    const store = memory(by)
    return { ...store, begun: { ...store.begun, keep: () => Promise.reject(new Error('full')) } }
  }
  const { walk } = await opened(full)
  walk.begin(parts(), 'harrow-ridge', null, null, 0)
  await turn()
  walk.act({ do: 'next', at: 2000 })
  await turn()
  expect(walk.current!.walk.step).toBe(1)
  // Never kept, it can be ended all the same.
  expect(walk.ending()).toMatchObject({ name: 'walk', isKept: false })
})

it('two tabs that end the same walk log it once, and the second is told; what one tab ended does not come back', async () => {
  const { walk: first, memory } = await opened()
  first.begin(parts(), 'harrow-ridge', null, null, 0)
  await turn()
  const here = useWorkspaceStore()
  const ends = first.ending()!
  expect(ends.isKept).toBe(true)
  // The other tab has the same walk open, and ends it first.
  const other = memory('two')
  const entry = (note: string): LogEntry => ({ ...trailerLog()[2]!, id: `${ends.id}-1`, note })
  const logged = (note: string): Edit => ({
    label: 'log',
    coalesce: null,
    make: (document) => document,
    log: [{ op: 'put', entry: entry(note) }],
    ends,
  })
  expect((await other.commit([logged('two')], 5_000)).dropped).toEqual([])
  here.edit('log', () => undefined, null, [{ op: 'put', entry: entry('one') }], ends)
  await here.settled()
  expect((await memory('three').log.range()).map(({ note }) => note)).toEqual(['two'])
  expect(useNoticeStore().shown.map(({ notice }) => notice.kind)).toContain('already-ended')
  await turn()
  expect(first.current).toBeNull()
  // A tab that slept through it taps once more: the walk stays ended.
  expect(await other.begun.keep({ name: 'walk', id: ends.id, value: {} }, false)).toBeNull()
  expect(await other.begun.read('walk')).toBeNull()
})

it('who waits is said of one walk; the next station begins with nobody waiting, and the bottle stays the same', async () => {
  const { walk } = await opened()
  walk.asks.othersWait = true
  walk.asks.stays = false
  walk.asks.bleachPercent = 8
  walk.begin(parts(), 'harrow-ridge', null, null, 0)
  expect(walk.asks.othersWait).toBe(true)
  walk.discard()
  expect(walk.asks).toEqual({ ...FIRST_ASKS, bleachPercent: 8 })
})
