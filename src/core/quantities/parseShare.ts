import { parseNumber } from './parseQuantity'

/** How people say how full a tank is. */
const WORDS: [RegExp, number][] = [
  [/^(empty|none|nothing)$/, 0],
  [/^full$/, 1],
  [/^(a |one )?half( full)?$/, 1 / 2],
  [/^(a |one |1 )?third( full)?$/, 1 / 3],
  [/^(two|2) thirds( full)?$/, 2 / 3],
  [/^(a |one |1 )?quarter( full)?$/, 1 / 4],
  [/^(three|3) quarters( full)?$/, 3 / 4],
]
const SIGNS: Record<string, number> = { '½': 1 / 2, '⅓': 1 / 3, '⅔': 2 / 3, '¼': 1 / 4, '¾': 3 / 4 }

/**
 * Reads a share of a whole as people type it: `1/3`, `33 %`, `two thirds`, `½`, `half`, `full`.
 * @returns 0 to 1, or more where more is typed; null where it is no share
 */
export function parseShare(text: string, decimal: '.' | ',' = '.'): number | null {
  const found = text.trim().toLowerCase().replace(/-/g, ' ').replace(/\s+/g, ' ')
  if (found in SIGNS) return SIGNS[found]!
  const said = WORDS.find(([pattern]) => pattern.test(found))
  if (said) return said[1]
  if (found.endsWith('%')) {
    const percent = parseNumber(found.slice(0, -1), decimal)
    return percent === null ? null : percent / 100
  }
  const fraction = /^(\d{1,3}) ?[/⁄] ?(\d{1,3})$/.exec(found)
  if (!fraction || Number(fraction[2]) === 0) return null
  return Number(fraction[1]) / Number(fraction[2])
}
