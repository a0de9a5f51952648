import { readdirSync, readFileSync } from 'node:fs'
import { expect, it } from 'vitest'

const FOLDER = new URL('./en/', import.meta.url)
/** Every text of the catalogue, a line each: where it is and what it says. */
const texts = readdirSync(FOLDER)
  .filter((file) => file.endsWith('.ts'))
  .flatMap((file) =>
    [...readFileSync(new URL(file, FOLDER), 'utf8').matchAll(/'((?:[^'\\\n]|\\.)*)'|`((?:[^`\\]|\\.)*)`/g)]
      .map(([, plain, made]) => ({ file, text: plain ?? made ?? '' }))
      .filter(({ text }) => text.includes(' ')),
  )

/** Old, literary or British words, and what is said instead. */
const AVOIDED: Record<string, RegExp> = {
  'nothing, zero': /\bnought\b/i,
  again: /\banew\b/i,
  'during, in': /\bamid\b/i,
  'work out': /\breckon/i,
  'the one who': /\bwhoever\b/i,
  'costly, precious': /\b(is|are) dear\b/i,
  'of it': /\bthereof\b/i,
  on: /\bupon\b/i,
  if: /\b(were it|be it|as it were|were to be)\b/i,
  'can be': /\bto be had\b/i,
  dishes: /\bwashing-up\b/i,
  site: /\bpitch\b/i,
  'fully shut': /\b(push|pull)\w* .*\bhome\b/i,
  'which inlet': /\bto the inlet\b/i,
}

it('says things in everyday words', () => {
  const found = texts.flatMap(({ file, text }) =>
    Object.entries(AVOIDED).flatMap(([instead, word]) =>
      word.test(text) ? [`${file}: “${text}” — rather: ${instead}`] : [],
    ),
  )
  expect(found).toEqual([])
})

/** Where a unit is chosen by its name, and what people type for it. */
const NAMES_UNITS = new Set(['words.ts', 'start.ts', 'asked.ts', 'settings.ts', 'cli.ts'])
it('has no unit as a word: quantities come from the formatter', () => {
  const unit = /(?<![{$\w-])\b(litres?|liters?|gallons?|kilomet(?:re|er)s?|kilograms?)\b(?![}\w-])/i
  const spoken = texts.filter(
    ({ file, text }) => !NAMES_UNITS.has(file) && unit.test(text.replaceAll(/\$\{[^}]*\}/g, '')),
  )
  expect(spoken.map(({ file, text }) => `${file}: ${text}`)).toEqual([])
})

const MOST_WORDS = 25
it('has sentences that are understood at first reading', () => {
  // What the command line prints as its usage is a table.
  const long = texts
    .filter(({ file }) => file !== 'cli.ts')
    .flatMap(({ file, text }) =>
      text
        .replaceAll(/\$\{[^}]*\}/g, 'n')
        .split(/(?<=[.!?:;])\s+/)
        .filter((sentence) => sentence.split(/\s+/).length > MOST_WORDS)
        .map((sentence) => `${file}: ${sentence}`),
    )
  expect(long).toEqual([])
})
