import type { Translate } from './group'

/**
 * A language for tests: every word of the catalogue accented and two fifths longer, as other languages are. What is on a screen
 * without accents did not come through the catalogue; what is cut would be cut in German.
 */
export const pseudo: Translate = (name, english) => (AS_THEY_ARE.has(name) ? english : said(english))

/** Signs of units, and words that are only searched for. */
const AS_THEY_ARE = new Set(['units', 'asked', 'cli'])

function said<T>(value: T): T {
  if (typeof value === 'string') return accented(value, NOBODY) as T
  if (typeof value === 'function') return spoken(value as unknown as Say) as T
  if (Array.isArray(value)) return value.map((one: unknown) => said(one)) as T
  if (typeof value === 'object' && value !== null)
    return Object.fromEntries(Object.entries(value).map(([key, one]) => [key, said(one)])) as T
  return value
}

type Say = (...of: unknown[]) => unknown
/** What a text is about keeps its name. */
const spoken =
  (say: Say): Say =>
  (...of) => {
    const text = say(...of)
    return typeof text === 'string'
      ? accented(text, new Set(of.flatMap((one) => String(one).match(WORD) ?? [])))
      : text
  }

const NOBODY: ReadonlySet<string> = new Set()
const WORD = /\p{L}+/gu
const PLAIN = 'aeiouyAEIOUYcnszCNSZ'
const ACCENTED = 'àéîöûýÀÉÎÖÛÝçñšžÇÑŠŽ'

/** A path stays one, and so does the name of a number, `{tank}`, and the target of a link. */
function accented(text: string, names: ReadonlySet<string>): string {
  if (text.startsWith('/')) return text
  return text.replaceAll(/\{[^}]*\}|\]\([^)]*\)|\p{L}+/gu, (word) =>
    /^[{\]]/.test(word) || names.has(word) || isAccented(word) ? word : longer(word),
  )
}

const isAccented = (word: string) => Array.from(word).some((letter) => ACCENTED.includes(letter))

const LONGER = 0.4
function longer(word: string): string {
  let more = Math.ceil(word.length * LONGER)
  const letters = Array.from(word, (letter) => {
    const n = PLAIN.indexOf(letter)
    if (n < 0) return letter
    const own = ACCENTED[n]!
    if (more < 1) return own
    more -= 1
    return own + own.toLowerCase()
  })
  return letters.join('') + 'ö'.repeat(Math.max(0, more))
}
