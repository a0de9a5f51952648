import fc from 'fast-check'
import { expect, it } from 'vitest'
import { trailerLog } from '../../scripts/demo/trailerLog'
import { standing } from '@/core/log'
import { keptLog, withChanges } from './keptLog'
import { logChangesOf, type LogOperation } from './storage/logStore'

it('puts changes in their places as if everything were read again', () => {
  const all = trailerLog()
  const operation = fc.oneof(
    fc.constantFrom(...all).map((entry): LogOperation => ({ op: 'remove', id: entry.id })),
    fc
      .tuple(fc.constantFrom(...all), fc.integer({ min: 1, max: 4 }), fc.integer({ min: 0, max: 5000 }))
      .map(([entry, revision, minutes]): LogOperation => {
        const utc = new Date(Date.parse(entry.utc) + minutes * 60_000).toISOString()
        return { op: 'put', entry: { ...entry, revision, utc } }
      }),
    fc.nat(20).map((n): LogOperation => ({ op: 'put', entry: { ...all[n]!, id: `new-${n}` } })),
    fc.constant<LogOperation>({ op: 'drop-stay', stay: 'harrow-ridge' }),
  )
  fc.assert(
    fc.property(fc.shuffledSubarray(all), fc.array(operation, { maxLength: 12 }), (start, operations) => {
      let kept = keptLog(start)
      for (const one of operations) kept = withChanges(kept, logChangesOf([one], kept.rows))
      expect(kept.byStay.get('harrow-ridge') ?? []).toEqual(standing([...kept.rows.values()]))
    }),
    { numRuns: 150 },
  )
})
