import MiniSearch from 'minisearch'
import { fold, SEARCHING, searchTerm } from '@/parts/guide/searchTerm'
import type { Way } from './useWayEntries'

/** What fits a few letters, best first, a slip of the keyboard forgiven; of nothing typed, all in their order. */
export function findWays(ways: readonly Way[], text: string): Way[] {
  const asked = text.trim()
  if (asked === '') return [...ways]
  const index = new MiniSearch<{ at: number; title: string; detail: string; asked: string }>({
    idField: 'at',
    fields: ['title', 'asked', 'detail'],
    processTerm: searchTerm,
    searchOptions: { ...SEARCHING, boost: { title: 3, asked: 2 } },
  })
  index.addAll(ways.map(({ title, detail, asked = '' }, at) => ({ at, title, detail, asked })))
  const found = index.search(asked).map(({ id }) => ways[Number(id)]!)
  // A whole beginning goes before what is only like it, and a thing itself before what the Guide says of it.
  const rank = ({ title, kind }: Way) =>
    (fold(title).startsWith(fold(asked)) ? 0 : 2) + (kind === 'guide' ? 1 : 0)
  return found.sort((a, b) => rank(a) - rank(b))
}
