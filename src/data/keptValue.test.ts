// @vitest-environment happy-dom
import { beforeEach, expect, it } from 'vitest'
import { isListOf, isNumber, isText, keptRef, keptValue } from './keptValue'
import { report, reports } from './report'
import { reportsText } from './reportsText'

beforeEach(() => {
  localStorage.clear()
  reports.value = []
})
const list = { key: 'list', version: 2, first: [] as number[], isWhole: isListOf(isNumber) }

it('gives back what was kept, in its version; what is of another, or broken, is left aside', () => {
  const kept = keptValue(list)
  expect(kept.read()).toEqual([])
  kept.write([1, 2])
  expect(keptValue(list).read()).toEqual([1, 2])
  expect(keptValue({ ...list, version: 3 }).read()).toEqual([])
  expect(reports.value).toEqual([])
  for (const broken of ['{"version":2,"value":[1,"a"]}', '{"version":2,"value":null}']) {
    localStorage.setItem('list', broken)
    expect(kept.read()).toEqual([])
  }
  expect(reports.value[0]).toMatchObject({ where: 'kept list', times: 2 })
  localStorage.setItem('list', '[4')
  expect(kept.read()).toEqual([])
  kept.forget()
  expect(localStorage.getItem('list')).toBeNull()
})

it('reads what was kept before there were versions, as the first', () => {
  const word = { key: 'word', version: 1, first: 'auto', isWhole: isText }
  localStorage.setItem('word', 'dark')
  expect(keptValue(word).read()).toBe('dark')
  const shown = keptRef(word)
  expect(shown.value).toBe('dark')
  localStorage.setItem('word', '{"a":1}')
  expect(keptRef(word).value).toBe('auto')
})

it('keeps the last twenty reports, says how often the same came in a row, and no address of the page', () => {
  for (let k = 0; k < 3; k++) report('counting', new RangeError('no stay'))
  expect(reports.value).toHaveLength(1)
  expect(reports.value[0]).toMatchObject({ where: 'counting', times: 3 })
  const error = new Error('lost')
  error.stack = 'Error: lost\n    at run (https://camp.example/assets/a.js:1:2)'
  for (let k = 0; k < 30; k++) report(`job ${k}`, error)
  expect(reports.value).toHaveLength(20)
  expect(reports.value[0]!.where).toBe('job 29')
  expect(reportsText(reports.value)).toContain('at run (assets/a.js:1:2)')
  expect(reportsText(reports.value)).not.toContain('camp.example')
  report('odd', 'a word')
  expect(reports.value[0]!.what).toBe('a word')
})
