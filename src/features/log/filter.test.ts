import { expect, it } from 'vitest'
import { trailerLog } from '../../../scripts/demo/trailerLog'
import { entry } from '../../../tests/support/entries'
import { matching, type LogFilter } from './filter'

const NONE: LogFilter = { what: '', container: '', person: '', from: '', until: '' }
const log = [
  ...trailerLog(),
  entry({ kind: 'run', at: '2027-09-14T14:00', did: [{ container: 'gray', what: 'emptied', litres: null }] }),
  entry({ kind: 'odd', at: '2027-09-14T14:30', from: '2027-09-14T10:00', container: 'fresh' }),
]
const count = (filter: Partial<LogFilter>) => matching(log, { ...NONE, ...filter }).length

it('shows all of it, or what is of a kind, an activity, a tank, a person, a span of days', () => {
  expect(count({})).toBe(log.length)
  expect(count({ what: 'use' })).toBe(12)
  expect(count({ what: 'activity shower' })).toBe(4)
  expect(count({ what: 'treatment chore note' })).toBe(1)
  expect(count({ container: 'gray' })).toBe(4)
  expect(count({ container: 'fresh' })).toBe(4)
  expect(count({ container: 'black' })).toBe(4)
  expect(count({ person: 'maren' })).toBe(2)
  expect(count({ from: '2027-09-14' })).toBe(5)
  expect(count({ until: '2027-09-11' })).toBe(5)
  expect(count({ from: '2027-09-12', until: '2027-09-12', what: 'reading' })).toBe(3)
  expect(count({ person: 'maren', container: 'gray' })).toBe(0)
})

it('keeps the order it was given', () => {
  const some = matching(log, { ...NONE, what: 'use' })
  expect(some).toEqual(log.filter((one) => some.includes(one)))
})
