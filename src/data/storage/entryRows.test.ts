import fc from 'fast-check'
import { expect, it } from 'vitest'
import { trailerLog } from '../../../scripts/demo/trailerLog'
import { vanLog } from '../../../scripts/demo/vanLog'
import { recordsOf, stockLeft } from '@/core/cards'
import { compile } from '@/core/compile'
import { happened, type LogEntry } from '@/core/log'
import { caseOf } from '@/core/domain'
import { endOf, learnStay } from '@/core/underway'
import { checkedEntry } from '@/document'
import { logToCsv } from '@/document/logCsv'
import { trailerDemo } from '../../../scripts/demo/trailer'
import { entry, thirds } from '../../../tests/support/entries'
import { looksWhole } from './entryRows'

const ALL: LogEntry[] = [
  ...trailerLog(),
  ...vanLog(),
  entry({
    kind: 'run',
    at: '2027-09-12T10:00',
    did: [{ container: 'gray', what: 'emptied', litres: 90 }],
    took: {
      minutes: 9,
      kilometres: null,
      fee: null,
      rinses: [{ container: 'gray', rounds: 2, owed: 0 }],
      drains: [{ container: 'gray', minutes: 4 }],
    },
  }),
  entry({ kind: 'reading', at: '2027-09-12T11:00', saw: thirds(1) }),
  entry({ kind: 'odd', at: '2027-09-12T12:00', from: '2027-09-12T09:00' }),
  entry({ kind: 'dose', at: '2027-09-12T12:10', amount: 3 }),
]

it('what passes the rules looks whole, and what looks whole breaks nothing that is made of a log', () => {
  for (const one of ALL) expect(looksWhole(one)).toBe(true)
  const stayCase = caseOf(trailerDemo(), 'harrow-ridge')
  const model = compile(stayCase)
  const junk = fc.oneof(
    fc.constantFrom<unknown>(null, undefined, '', 'x', -1, NaN, [], {}, [null], true, '2027-99-99T10:00'),
    fc.jsonValue(),
  )
  const paths = (of: unknown, path: string[] = []): string[][] =>
    typeof of === 'object' && of !== null
      ? Object.entries(of).flatMap(([key, value]) => [[...path, key], ...paths(value, [...path, key])])
      : []
  fc.assert(
    fc.property(fc.nat(), fc.nat(), junk, (n, m, value) => {
      const row = structuredClone(ALL[n % ALL.length]!) as unknown as Record<string, unknown>
      const all = paths(row)
      const path = all[m % all.length]!
      let at: Record<string, unknown> = row
      for (const key of path.slice(0, -1)) at = at[key] as Record<string, unknown>
      at[path.at(-1)!] = value
      if (checkedEntry(row).ok) expect(looksWhole(row)).toBe(true)
      if (!looksWhole(row)) return
      const log = [row as LogEntry, ...trailerLog()].map((one) => ({ ...one, stay: 'harrow-ridge' }))
      learnStay({ stayCase, log, earlier: [], at: '2027-09-14T15:20', seed: 1 })
      happened(log, stayCase)
      recordsOf(log)
      stockLeft(stayCase.crew.products, log)
      endOf(stayCase.stay, log)
      logToCsv(log)
      expect(model.containers.length).toBeGreaterThan(0)
    }),
    { numRuns: 250 },
  )
})
