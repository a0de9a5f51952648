import { readFileSync, readdirSync } from 'node:fs'
import { join } from 'node:path'
import { parse } from '@vue/compiler-sfc'
import ts from 'typescript'

// npm run figures: what a reader stumbles over, counted. With a name (`npm run figures -- casts`) it lists where.

interface Unit {
  file: string
  /** All of the file. */
  text: string
  /** Its script. */
  source: ts.SourceFile
  /** The line of the file that the script begins at. */
  from: number
}

const LONG_LINE = 140
const LONG_FUNCTION = 40
/** Lines alike in a row that make a block of two files a copy. */
const BLOCK = 8
/** Where a number of an array is read billions of times a second. */
const INNER_LOOPS = /^src\/core\/risk\//
/** Words with two meanings, and the only one that stays. */
const WORDS: readonly [string, RegExp][] = [
  ['school', /\bschools?\b/gi],
  ['side', /\bsides?\b/gi],
  ['want', /\bwants?\b/gi],
  ['way', /\bways?\b/gi],
  ['wrong', /\bwrongs?\b/gi],
  ['care', /\bcares?\b/gi],
  ['home', /\bhome\b/gi],
  ['inlet', /(?<!rinse |fresh )\binlets?\b/gi],
  ['stand', /\bstands?\b/gi],
]

const files = readdirSync('src', { recursive: true, encoding: 'utf8' })
  .map((file) => join('src', file))
  .filter((file) => /\.(ts|vue)$/.test(file) && !/\.test\.ts$/.test(file))
  .sort()
const units = files.map(unitOf)

function unitOf(file: string): Unit {
  const text = readFileSync(file, 'utf8')
  let [script, from] = [text, 0]
  if (file.endsWith('.vue')) {
    const { descriptor } = parse(text)
    const block = descriptor.scriptSetup ?? descriptor.script
    script = block?.content ?? ''
    from = (block?.loc.start.line ?? 1) - 1
  }
  return { file, text, source: ts.createSourceFile(file, script, ts.ScriptTarget.ES2022, true), from }
}

function placesOf(unit: Unit, isIt: (node: ts.Node) => boolean): string[] {
  const found: string[] = []
  const visit = (node: ts.Node): void => {
    if (isIt(node)) {
      const { line } = unit.source.getLineAndCharacterOfPosition(node.getStart(unit.source))
      found.push(`${unit.file}:${line + 1 + unit.from}`)
    }
    ts.forEachChild(node, visit)
  }
  visit(unit.source)
  return found
}

const isConst = (node: ts.AsExpression) =>
  ts.isTypeReferenceNode(node.type) && node.type.typeName.getText() === 'const'

function isLongFunction(node: ts.Node): boolean {
  if (!ts.isFunctionLike(node) || !('body' in node) || !node.body) return false
  const at = (position: number) => node.getSourceFile().getLineAndCharacterOfPosition(position).line
  return at(node.body.end) - at(node.getStart()) + 1 > LONG_FUNCTION
}

function linesOf(unit: Unit, isIt: (line: string) => boolean): string[] {
  return unit.text.split('\n').flatMap((line, k) => (isIt(line) ? [`${unit.file}:${k + 1}`] : []))
}

/** Edits of the document, or of a draft of it, made inside a component. */
const EDITS = /\b(?:workspace|store)\.(?:edit|replace)\(|\bedit\(\s*[a-z.]+,\s*\(draft/

/** Blocks of lines that stand in two files; each counted once. */
function copies(): string[] {
  const seen = new Map<string, string>()
  const found = new Set<string>()
  for (const { file, text } of units) {
    const lines = text
      .split('\n')
      .map((line, k) => ({ line: line.trim(), at: k + 1 }))
      .filter(({ line }) => line.length > 3 && !line.startsWith('import ') && !line.startsWith('//'))
    for (let k = 0; k + BLOCK <= lines.length; k++) {
      const block = lines.slice(k, k + BLOCK)
      const key = block.map(({ line }) => line).join('\n')
      const first = seen.get(key)
      if (first === undefined) seen.set(key, `${file}:${block[0]!.at}`)
      else if (!first.startsWith(`${file}:`)) found.add(`${first.replace(/:\d+$/, '')} = ${file}`)
    }
  }
  return [...found]
}

const each = (of: (unit: Unit) => string[]) => units.flatMap(of)
const nonNull = each((unit) => placesOf(unit, ts.isNonNullExpression))
const figures: Record<string, { what: string; places: string[] }> = {
  ignores: {
    what: 'places hidden from the formatter',
    places: each((unit) => linesOf(unit, (line) => line.includes('prettier-ignore'))),
  },
  long: {
    what: `lines over ${LONG_LINE} characters, texts aside`,
    places: each((unit) =>
      unit.file.startsWith('src/texts/') ? [] : linesOf(unit, (line) => line.length > LONG_LINE),
    ),
  },
  sure: {
    what: "'!' outside the sampler",
    places: nonNull.filter((place) => !INNER_LOOPS.test(place)),
  },
  sampler: { what: "'!' in the sampler", places: nonNull.filter((place) => INNER_LOOPS.test(place)) },
  casts: {
    what: "'as', 'as const' aside",
    places: each((unit) => placesOf(unit, (node) => ts.isAsExpression(node) && !isConst(node))),
  },
  functions: {
    what: `functions over ${LONG_FUNCTION} lines`,
    places: each((unit) => placesOf(unit, isLongFunction)),
  },
  edits: {
    what: 'edits written inside components',
    places: each((unit) => (unit.file.endsWith('.vue') ? linesOf(unit, (line) => EDITS.test(line)) : [])),
  },
  silent: {
    what: 'caught errors that nobody hears of',
    places: each((unit) => placesOf(unit, (node) => ts.isCatchClause(node) && !node.variableDeclaration)),
  },
  copies: { what: `pairs of files with ${BLOCK} lines alike in a row`, places: copies() },
}
for (const [word, pattern] of WORDS)
  figures[word] = {
    what: `times '${word}' in code and texts`,
    places: each((unit) =>
      unit.text
        .split('\n')
        .flatMap((line, k) =>
          Array<string>((line.match(pattern) ?? []).length).fill(`${unit.file}:${k + 1}`),
        ),
    ),
  }

const asked = process.argv[2]
if (asked !== undefined) console.log((figures[asked]?.places ?? []).join('\n'))
else
  for (const [name, { what, places }] of Object.entries(figures))
    console.log(`${String(places.length).padStart(5)}  ${what} (${name})`)
