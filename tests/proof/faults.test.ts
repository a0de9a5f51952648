import 'fake-indexeddb/auto'
import fc from 'fast-check'
import { it } from 'vitest'
import { sharedMemory } from '@/data/storage/memoryStore'
import { expectNothingLost, expectNothingLostInDatabase, happenings } from '../support/mixedFaults'

it('two tabs, one memory, everything that may go wrong: a thousand random rounds', async () => {
  await fc.assert(
    fc.asyncProperty(happenings, (happened) => expectNothingLost(sharedMemory(), happened)),
    { numRuns: 1000 },
  )
}, 1_800_000)

it('two tabs and a browser’s database: three hundred random rounds', async () => {
  await fc.assert(fc.asyncProperty(happenings, expectNothingLostInDatabase), { numRuns: 300 })
}, 1_800_000)
