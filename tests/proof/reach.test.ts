import fc from 'fast-check'
import { it } from 'vitest'
import { expectFinderIsBest, finderArb } from '../support/finder'

it('the finder is never less than every set by hand: a hundred rigs of all kinds, schools and bans, ten habits', () => {
  fc.assert(fc.property(finderArb, expectFinderIsBest), { numRuns: 100, seed: 20271105, endOnFailure: true })
}, 3_600_000)
