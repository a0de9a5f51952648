import { readdirSync, readFileSync } from 'node:fs'
import { expect, it } from 'vitest'

const FOLDER = new URL('./en/', import.meta.url)
/** Every text of the catalogue, a line each: where it is and what it says. */
const texts = readdirSync(FOLDER)
  .filter((file) => file.endsWith('.ts'))
  .flatMap((file) =>
    [
      ...readFileSync(new URL(file, FOLDER), 'utf8').matchAll(/'((?:[^'\\\n]|\\.)*)'|`((?:[^`\\]|\\.)*)`/g),
    ].map(([, plain, made]) => ({ file, text: plain ?? made ?? '' })),
  )

/** Old, literary or British words, and what is said instead. */
const AVOIDED: Record<string, RegExp> = {
  'nothing, zero': /\bnought\b/i,
  again: /\b(anew|afresh)\b/i,
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
/** Said of what is shown, not of what a comment explains. */
const AVOIDED_SHOWN: Record<string, RegExp> = {
  'need, call, have to': /\bwants?\b/i,
  'learned nothing': /\b(taught|teach(es)?) nothing\b/i,
  'is, is left': /\bstands? (below|open|by|on its|on your)\b/i,
  'cannot be': /\bcannot be had\b/i,
  'move, run': /\blet over\b/i,
  except: /\bbut for\b/i,
  'your own': /\bof one[’']s own\b/i,
  'a straight line': /\bthe crow\b/i,
  last: /\bbears? (it )?long\b/i,
}

/** One word for one thing: the second names that people have for it are for the search alone. */
const SECOND_NAMES: Record<string, RegExp> = {
  gray: /\bgrey\b/i,
  trash: /\b(rubbish|garbage|litter)\b/i,
  site: /\b(campsites?|pitch(es)?)\b/i,
  tap: /\b(faucets?|spigots?)\b/i,
  'drinking water': /\bpotable (water|tap)\b/i,
  rig: /\b(motorhomes?|caravans?|campervans?)\b/i,
  'dish water': /\bdishwater\b/i,
  toward: /\btowards\b/i,
  'waste tank': /\b(holding tanks?|sewage tanks?)\b/i,
  'end valve': /\b(master valve|main valve)\b/i,
  habit: /\b(tips?|tricks?) (for|to) sav/i,
  toilet: /\b(lavator(y|ies)|loos?)\b/i,
}
it('has one word for one thing', () => {
  const found = texts
    .filter(({ file }) => file !== 'asked.ts')
    .flatMap(({ file, text }) =>
      Object.entries(SECOND_NAMES).flatMap(([name, second]) =>
        second.test(text) ? [`${file}: “${text}” — here it is called ${name}`] : [],
      ),
    )
  expect(found).toEqual([])
})

it('says things in everyday words', () => {
  const found = texts.flatMap(({ file, text }) =>
    Object.entries({ ...AVOIDED, ...AVOIDED_SHOWN }).flatMap(([instead, word]) =>
      word.test(text) ? [`${file}: “${text}” — rather: ${instead}`] : [],
    ),
  )
  expect(found).toEqual([])
})

it('explains itself in everyday words: comments, names and documents', () => {
  const files = ['src', 'cli', 'server', 'scripts', 'tests', 'bench', 'docs']
    .flatMap((folder) => readdirSync(folder, { recursive: true }).map((name) => `${folder}/${String(name)}`))
    .concat('README.md', 'CONTRIBUTING.md')
    .filter((name) => /\.(ts|vue|mjs|md)$/.test(name) && !/plainWords|texts\/en\//.test(name))
  expect(files.length).toBeGreaterThan(900)
  const found = files.flatMap((file) =>
    readFileSync(file, 'utf8')
      .split('\n')
      .flatMap((line, n) =>
        Object.entries(AVOIDED).flatMap(([instead, word]) =>
          word.test(line) ? [`${file}:${n + 1} “${line.trim()}” — rather: ${instead}`] : [],
        ),
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
