import MiniSearch from 'minisearch'
import type { Way } from './useWayEntries'

/** What fits a few letters, best first, a slip of the keyboard forgiven; of nothing typed, all in their order. */
export function findWays(ways: readonly Way[], text: string): Way[] {
  const asked = text.trim()
  if (asked === '') return [...ways]
  const index = new MiniSearch<{ at: number; title: string; detail: string }>({
    idField: 'at',
    fields: ['title', 'detail'],
    processTerm: (term) => fold(term),
    searchOptions: { boost: { title: 3 }, prefix: true, fuzzy: 0.2, combineWith: 'AND' },
  })
  index.addAll(ways.map(({ title, detail }, at) => ({ at, title, detail })))
  const found = index.search(asked).map(({ id }) => ways[Number(id)]!)
  // A whole beginning goes before what is only like it.
  const begins = ({ title }: Way) => (fold(title).startsWith(fold(asked)) ? 0 : 1)
  return found.sort((a, b) => begins(a) - begins(b))
}

const fold = (text: string) =>
  text
    .normalize('NFD')
    .replace(/\p{Diacritic}/gu, '')
    .toLowerCase()
    .replaceAll('ß', 'ss')
