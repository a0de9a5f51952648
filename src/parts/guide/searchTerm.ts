/** Words of a question that say nothing of what it is about. */
const SILENT = new Set(
  'a an the i we my our me you your it its is are was do does did can may should how what when which why who to of in for with at'.split(
    ' ',
  ),
)

/** A letter with its mark is that letter. */
export const fold = (text: string) =>
  text
    .normalize('NFD')
    .replace(/\p{Diacritic}/gu, '')
    .toLowerCase()
    .replaceAll('ß', 'ss')

/** A word as it is looked for, in the Guide and in Find; null: it says nothing. */
export function searchTerm(term: string): string | null {
  const word = fold(term).replace(/['’]s?$/, '')
  return SILENT.has(word) ? null : word
}

/** Letters from which a slip is forgiven: shorter words are other words soon (a pump is no dump). */
const SLIPS_FROM = 5
/** Beginnings are enough, slips are forgiven, and every word counts. */
export const SEARCHING = {
  prefix: true,
  fuzzy: (term: string) => (term.length >= SLIPS_FROM ? 0.2 : false),
  combineWith: 'AND',
} as const
