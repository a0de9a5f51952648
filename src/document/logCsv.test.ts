import fc from 'fast-check'
import Papa from 'papaparse'
import { expect, it } from 'vitest'
import type { LogEntry } from '@/core/log'
import { trailerLog } from '../../scripts/demo/trailerLog'
import { vanLog } from '../../scripts/demo/vanLog'
import { entry } from '../../tests/support/entries'
import { LOG_COLUMNS, logFromCsv, logToCsv } from './logCsv'

const TOOK = { minutes: 40, kilometres: null, fee: 3.5, rinses: [{ container: 'black', rounds: 3, owed: 1 }] }
const ALL: LogEntry[] = [
  ...trailerLog(),
  ...vanLog(),
  entry({
    kind: 'run',
    at: '2027-09-14T10:00',
    did: [{ container: 'black', what: 'emptied', litres: null }],
    place: null,
    took: TOOK,
  }),
  entry({ kind: 'dose', at: '2027-09-14T10:00', container: 'black', product: 'mire-ease', amount: 52 }),
  entry({ kind: 'chore', at: '2027-09-14T11:00', container: 'fresh', chore: 'chore-sanitize' }),
]
const plainText = fc.string({ maxLength: 60 }).filter((text) => !/[<>\p{Cc}]/u.test(text))
const hostile = fc.constantFrom(
  '=1+1',
  '+49 30',
  '-5',
  '@here',
  "'quoted",
  "'=x",
  '"a, b"',
  ' padded ',
  'naïve; ü',
  '',
)

it('comes back as it went out, to the letter, whatever is written in a note', () => {
  fc.assert(
    fc.property(fc.shuffledSubarray(ALL), fc.oneof(plainText, hostile), (some, note) => {
      const log = some.map((entry) => ({ ...entry, note }))
      expect(logFromCsv(logToCsv(log))).toEqual({ ok: true, log, unknown: [] })
      expect(logFromCsv(`\uFEFF${logToCsv(log)}`)).toMatchObject({ ok: true, log })
    }),
    { numRuns: 120 },
  )
})

it('lets nothing out that a spreadsheet would take for a formula', () => {
  const log = ['=HYPERLINK("x")', '+1', '-1', '@sum', '\u00a0=1'].map((note, n) => ({ ...ALL[n]!, note }))
  const cells = logToCsv(log)
    .split('\r\n')
    .slice(1, -1)
    .map((line) => line.replace(/^.*?([^,"]*("[^"]*(""[^"]*)*")?)$/, '$1').replace(/^"/, ''))
  for (const cell of cells) expect(cell).not.toMatch(/^[=+\-@\t\r]/)
})

it('reads it whole or not at all: what is wrong is said by line and column, columns of others are named', () => {
  const [header, first, second] = logToCsv(ALL.slice(0, 2)).split('\r\n') as [string, string, string]
  expect(header).toBe(LOG_COLUMNS.join(','))
  expect(logFromCsv('name,price\nbread,2')).toEqual({
    ok: false,
    missing: ['id', 'rig', 'at', 'utc', 'kind'],
    faults: [],
  })
  expect(logFromCsv('')).toMatchObject({ ok: false })
  const found = (text: string) => logFromCsv(text)
  const bad = second.replace(',use,', ',use,').replace('2027-09-11T19:40', '2027-13-11T19:40')
  expect(found([header, first, bad].join('\n'))).toEqual({
    ok: false,
    missing: [],
    faults: [{ line: 3, column: 'at', found: '2027-13-11T19:40' }],
  })
  expect(found([header, first, first].join('\n'))).toMatchObject({
    ok: false,
    faults: [{ line: 3, column: 'id' }],
  })
  expect(found([`${header},mood`, `${first},sunny`].join('\n'))).toEqual({
    ok: true,
    log: [ALL[0]],
    unknown: ['mood'],
  })
  const kinds = second.replace(',use,', ',dance,')
  expect(found([header, kinds].join('\n'))).toMatchObject({
    ok: false,
    faults: [{ line: 2, column: 'kind', found: 'dance' }],
  })
})

it('reads what spreadsheets make of it: semicolons, tabs, TRUE and FALSE, decimal commas, a byte-order mark', () => {
  const log = ALL.map((one, k) => ({ ...one, isRemoved: k % 3 === 0, note: '' }))
  const rows = Papa.parse<string[]>(logToCsv(log).trim()).data
  const numbers = ['n', 'litres', 'minutes'].map((name) => LOG_COLUMNS.indexOf(name as 'n'))
  for (const [delimiter, comma] of [
    [';', true],
    ['\t', false],
    [',', false],
  ] as const) {
    const written = rows.map((row, r) =>
      r === 0
        ? row
        : row.map((cell, c) =>
            cell === 'true' || cell === 'false'
              ? cell.toUpperCase()
              : comma && numbers.includes(c)
                ? cell.replace('.', ',')
                : cell,
          ),
    )
    const text = `\uFEFF${Papa.unparse(written, { delimiter, newline: '\r\n' })}`
    expect(logFromCsv(text)).toEqual({ ok: true, log, unknown: [] })
  }
  // A word that is neither of the two is said, and removes or brings back nothing.
  const [header, first] = logToCsv(ALL.slice(0, 1)).split('\r\n') as [string, string]
  expect(logFromCsv(`${header}\r\n${first.replace('false', 'perhaps')}`)).toMatchObject({
    ok: false,
    faults: [{ line: 2, column: 'removed', found: 'perhaps' }],
  })
  const without = (column: string) => {
    const at = rows[0]!.indexOf(column)
    return Papa.unparse(rows.map((row) => row.filter((_, c) => c !== at)))
  }
  for (const column of ['id', 'rig', 'at', 'utc', 'kind'])
    expect(logFromCsv(without(column))).toMatchObject({ ok: false, missing: [column] })
})
