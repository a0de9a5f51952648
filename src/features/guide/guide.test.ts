import { expect, it } from 'vitest'
import { en } from '@/texts'
import { guideEntries, guideSearch } from './guideEntries'

const entries = guideEntries()
const search = guideSearch(entries)
const titles = (words: string) => search(words).map(({ title }) => title)

it('has every word, school, caution, mishap, card and source once', () => {
  expect(new Set(entries.map(({ id }) => id)).size).toBe(entries.length)
  for (const { title } of entries) expect(title.trim()).not.toBe('')
  const count = (kind: string) => entries.filter((entry) => entry.kind === kind).length
  expect(count('term')).toBe(Object.keys(en.terms).length)
  expect(count('school')).toBe(Object.keys(en.schoolQuestions).length + 1)
  expect(count('card')).toBe(Object.keys(en.cardNames).length)
})

it('finds by parts of words and slips of the finger, the title first, all words asked for', () => {
  expect(titles('plan on')[0]).toBe('Plan on')
  expect(titles('safe fil')[0]).toBe('Safe fill')
  expect(titles('casette')).toContain('Cassette')
  expect(titles('bleach urine')[0]).toContain('Never mix bleach')
  expect(titles('vault toilet')).toEqual(['May a cassette or a jug be emptied into a vault toilet?'])
  expect(titles('xyzzyq')).toEqual([])
})
