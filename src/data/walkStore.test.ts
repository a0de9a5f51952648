import { beforeEach, expect, it } from 'vitest'
import { count } from '@/core/count'
import { FIRST_ASKS, cardCase, cardOf, runFor, split, stepAt, subjectsOf } from '@/core/cards'
import { compile } from '@/core/compile'
import { caseOf } from '@/core/model'
import { trailerDemo } from '../../scripts/demo/trailer'
import { useWalkStore } from './walkStore'
import { useWorkspaceStore } from './workspaceStore'
import { freshStores } from '../../tests/support/freshStores'

const kept = new Map<string, string>()
beforeEach(() => {
  kept.clear()
  const storage = {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => void kept.set(key, value),
    removeItem: (key: string) => void kept.delete(key),
    get length() {
      return kept.size
    },
    key: (n: number) => [...kept.keys()][n] ?? null,
    clear: () => kept.clear(),
  }
  Object.assign(globalThis, {
    window: { localStorage: storage, addEventListener: () => undefined, dispatchEvent: () => true },
  })
  freshStores()
})

function parts() {
  const stayCase = caseOf(trailerDemo(), 'harrow-ridge')
  const model = compile(stayCase)
  const [subject] = subjectsOf(stayCase, 'dump')
  const ground = { stayCase, model, counted: count(model), log: [] }
  return split(
    cardOf(cardCase(ground, runFor(stayCase, 'dump', subject!), FIRST_ASKS, null), 'dump', subject!),
  )
}

it('a walk outlives the page: step, clock, what the panel showed; put away it is gone', () => {
  const first = useWalkStore()
  expect(first.current).toBeNull()
  first.begin(parts(), 'harrow-ridge', null, 'sallow-mill', 1000)
  first.act({ do: 'next', at: 2000 })
  first.act({ do: 'start-timer', at: 3000, seconds: 60 })
  first.readBefore('black', 2)
  freshStores()
  const again = useWalkStore()
  expect(again.current).toEqual(first.current)
  expect(again.current).toMatchObject({
    place: 'sallow-mill',
    before: { black: 2 },
    walk: { card: 0, step: 1, timers: { '0.1': { startedAt: 3000 } } },
  })
  expect(stepAt(again.current!.walk)!.id).toBe(parts()[0]!.steps[1]!.id)
  again.discard()
  freshStores()
  expect(useWalkStore().current).toBeNull()
})

it('the demo’s walk is not the owner’s, and what cannot be read is no walk', () => {
  const walk = useWalkStore()
  walk.begin(parts(), 'harrow-ridge', null, null, 0)
  const [key] = [...kept.keys()]
  expect(key).toBe(`dry-count:walk:${useWorkspaceStore().space}`)
  for (const broken of ['{', '{}', '{"walk":{"cards":[]}}', 'null']) {
    kept.set(key!, broken)
    freshStores()
    expect(useWalkStore().current).toBeNull()
  }
})

it('who waits is said of one walk; the next station begins with nobody waiting, and the bottle stays the same', () => {
  const walk = useWalkStore()
  walk.asks.othersWait = true
  walk.asks.stays = false
  walk.asks.bleachPercent = 8
  walk.begin(parts(), 'harrow-ridge', null, null, 0)
  expect(walk.asks.othersWait).toBe(true)
  walk.discard()
  expect(walk.asks).toEqual({ ...FIRST_ASKS, bleachPercent: 8 })
})
