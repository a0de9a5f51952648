import { expect, it } from 'vitest'
import { findEntries } from './findEntries'
import type { SearchEntry } from './useSearchEntries'

const way = (title: string, detail = ''): SearchEntry => ({
  id: title,
  kind: 'screen',
  title,
  detail,
  go: () => undefined,
})
const ALL = [
  way('Camp'),
  way('Gray', '62 L, 2.5 days'),
  way('Gray to black'),
  way('Sanitize', 'the fresh system'),
  way('Ilse Größe'),
]
const titles = (text: string) => findEntries(ALL, text).map(({ title }) => title)

it('finds by the first letters, with a slip, without accents, and by all words at once', () => {
  expect(titles('gra')).toEqual(['Gray', 'Gray to black'])
  expect(titles('sanitise')).toEqual(['Sanitize'])
  expect(titles('grosse')).toEqual(['Ilse Größe'])
  expect(titles('gray black')).toEqual(['Gray to black'])
  expect(titles('fresh')).toEqual(['Sanitize'])
  expect(titles('  ')).toEqual(ALL.map(({ title }) => title))
  expect(titles('zebra')).toEqual([])
})
