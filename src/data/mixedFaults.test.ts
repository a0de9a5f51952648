import 'fake-indexeddb/auto'
import fc from 'fast-check'
import { describe, it } from 'vitest'
import {
  expectNothingLost,
  expectNothingLostInDatabase,
  happenings,
  type Happening,
} from '../../tests/support/mixedFaults'
import { sharedMemory } from './storage/memoryStore'
import { often } from '../../tests/support/thorough'

/** Once left 'not saved' standing for ever: a read and a write had failed, and what waited was taken back. */
const FOUND: Happening[] = [
  { kind: 'import', tab: 0, copy: 1 },
  { kind: 'reads', fail: true },
  { kind: 'writes', fail: true },
  { kind: 'import', tab: 1, copy: 1 },
  { kind: 'add-tote', tab: 0, name: 'T' },
  { kind: 'undo', tab: 0 },
  { kind: 'habit', tab: 0, habit: 'basin-dishes', on: false },
  { kind: 'level', tab: 0, litres: 0 },
  { kind: 'add-tote', tab: 0, name: 'T' },
]

describe('two tabs, and everything that may go wrong: nothing lost, nothing false', () => {
  it('in memory', async () => {
    await fc.assert(
      fc.asyncProperty(happenings, (happened) => expectNothingLost(sharedMemory(), happened)),
      { numRuns: often(20, 40), examples: [[FOUND]] },
    )
  }, 60_000)

  it('in a browser’s database', async () => {
    await fc.assert(fc.asyncProperty(happenings, expectNothingLostInDatabase), { numRuns: often(4, 8) })
  }, 120_000)
})
