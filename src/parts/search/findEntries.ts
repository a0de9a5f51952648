import MiniSearch from 'minisearch'
import { fold, SEARCHING, searchTerm } from '@/parts/guide/searchTerm'
import type { SearchEntry } from './useSearchEntries'

/** What fits a few letters, best first, a slip of the keyboard forgiven; of nothing typed, all in their order. */
export function findEntries(entries: readonly SearchEntry[], text: string): SearchEntry[] {
  const asked = text.trim()
  if (asked === '') return [...entries]
  const index = new MiniSearch<{ at: number; title: string; detail: string; asked: string }>({
    idField: 'at',
    fields: ['title', 'asked', 'detail'],
    processTerm: searchTerm,
    searchOptions: { ...SEARCHING, boost: { title: 3, asked: 2 } },
  })
  index.addAll(entries.map(({ title, detail, asked = '' }, at) => ({ at, title, detail, asked })))
  const found = index.search(asked).map(({ id }) => entries[Number(id)]!)
  // A whole beginning goes before what is only like it, and a thing itself before what the Guide says of it.
  const rank = ({ title, kind }: SearchEntry) =>
    (fold(title).startsWith(fold(asked)) ? 0 : 2) + (kind === 'guide' ? 1 : 0)
  return found.sort((a, b) => rank(a) - rank(b))
}
