import { beforeEach, expect, it, vi } from 'vitest'
import { freshStores } from '../../tests/support/freshStores'
import { heldClient } from '../../tests/support/heldClient'
import { openedDemo } from '../../tests/support/openedDemo'
import { patiently } from '../../tests/support/patiently'
import type { LogEntry } from '@/core/log'
import { caseOf } from '@/core/domain'
import { reviewOf } from '@/core/review'
import { learnStay } from '@/core/underway'
import { useReviewStore } from './reviewStore'
import { SEED } from './seed'

const STAY = 'harrow-ridge'
let held = heldClient()
vi.mock('@/workers', async (original) => ({
  ...(await original<typeof import('@/workers')>()),
  jobClient: () => held.client,
}))
beforeEach(() => {
  held = heldClient()
  freshStores()
})

async function open() {
  const { workspace, clock, logs } = await openedDemo(held)
  const reviews = useReviewStore()
  const times = () => held.asked.filter(({ job }) => job === 'review').length
  /** Asked, and answered where a worker is asked at all. @returns how often one was */
  const asked = async () => {
    const before = times()
    const answer = reviews.ask(STAY)
    let isThere = false
    void answer.then(() => (isThere = true))
    await patiently(async () => {
      await held.go()
      expect(isThere).toBe(true)
    })
    return times() - before
  }
  return { workspace, clock, logs, reviews, asked }
}

it('is what the core says, and is worked out once', async () => {
  const { workspace, clock, logs, reviews, asked } = await open()
  expect([reviews.begun.map(({ id }) => id), reviews.of(STAY)]).toEqual([[STAY], null])
  expect(await asked()).toBe(1)
  const stayCase = caseOf(workspace.document, STAY)
  const log = logs.entries
  const learned = learnStay({ stayCase, log, at: clock.now, earlier: [], seed: SEED })
  expect(reviews.of(STAY)).toEqual(reviewOf(stayCase, log, learned, clock.now))
  expect(await asked()).toBe(0)
})

it('is worked out again after any entry, any number of the rig, and with the clock; not for what is none of its', async () => {
  const { workspace, clock, logs, reviews, asked } = await open()
  await asked()
  const first = reviews.of(STAY)!
  // One in the middle, so that neither their number nor the last of them changes.
  const shower = logs.entries.find(({ kind }) => kind === 'use') as Extract<LogEntry, { kind: 'use' }>
  logs.amend({ ...shower, n: shower.n + 1 })
  await workspace.settled()
  expect(await asked()).toBe(1)
  expect(reviews.of(STAY)).not.toEqual(first)
  // As long in writing as it was before.
  workspace.edit('rig', (draft) => void (draft.rigs[0]!.containers[1]!.capacity.value += 1))
  expect(await asked()).toBe(1)
  clock.move(1 / 24)
  expect(await asked()).toBe(1)
  workspace.edit(
    'rig',
    (draft) => void draft.stays.push({ ...draft.stays[0]!, id: 'later', start: '2028-01-01T12:00' }),
  )
  expect(await asked()).toBe(0)
})

it('where it cannot be worked out that is said, and it is tried again', async () => {
  const { reviews, asked } = await open()
  held.state.isBroken = true
  await asked()
  expect([reviews.of(STAY), reviews.hasFailed(STAY)]).toEqual([null, true])
  held.state.isBroken = false
  await asked()
  expect([reviews.of(STAY) === null, reviews.hasFailed(STAY)]).toEqual([false, false])
})
