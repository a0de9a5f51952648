import { createHash } from 'node:crypto'
import { readFileSync, readdirSync } from 'node:fs'
import fc from 'fast-check'
import { CARD_KINDS } from '@/core/domain'
import { FIRST_ASKS, cardCase, cardOf, cardsFor, runFor, subjectsOf } from '@/core/cards'
import { compile, compileChances } from '@/core/compile'
import { count } from '@/core/count'
import { caseOf, type Document } from '@/core/domain'
import { riskOf, riskTables, samplerOf, sampleTrips } from '@/core/risk'
import { learnStay } from '@/core/underway'
import { openDocument } from '@/document'
import { documentArb, reuseArb } from '../tests/support/generate'
import { withRunsArb } from '../tests/support/generateRuns'
import { made, drawn } from '../tests/support/drawnCards'

// npm run fingerprint: one line per kind of answer, over all fixtures and demos and 200 generated documents.
// A change that is to change no answer leaves every line as it was.

const GENERATED = 200
const CARDS = 400
const TRIPS = 200
const tables = riskTables()
const hashes = new Map<string, { hash: ReturnType<typeof createHash>; parts: number }>()

/** Numbers to their last bit; what cannot be said in JSON by its own name. */
function exact(_key: string, value: unknown): unknown {
  if (ArrayBuffer.isView(value)) return Array.from(value as Float64Array, (one) => exact('', one))
  if (value instanceof Map) return [...value]
  return typeof value === 'number' && !Number.isFinite(value) ? String(value) : value
}

function add(kind: string, answer: unknown): void {
  const of = hashes.get(kind) ?? { hash: createHash('sha256'), parts: 0 }
  hashes.set(kind, of)
  of.hash.update(`${JSON.stringify(answer, exact)}\n`)
  of.parts += 1
}

function answers(document: Document, stay: string): void {
  const stayCase = caseOf(document, stay)
  const model = compile(stayCase)
  const counted = count(model)
  add('counts', counted)
  const sampler = samplerOf(model, compileChances(stayCase, model), { tables })
  const sample = sampleTrips(sampler, { seed: 7, from: 0, to: TRIPS, bandParts: 8 })
  add('chances', [sample, riskOf(model, sample, 7)])
  const ground = { stayCase, model, counted, log: [] }
  for (const run of stayCase.stay.runs) add('cards', cardsFor(cardCase(ground, run, FIRST_ASKS, run.place)))
  for (const kind of CARD_KINDS)
    for (const subject of subjectsOf(stayCase, kind)) {
      const of = cardCase(ground, runFor(stayCase, kind, subject), FIRST_ASKS, null)
      add('cards', cardOf(of, kind, subject))
    }
}

for (const folder of ['src/document/fixtures', 'demo'])
  for (const name of readdirSync(folder).sort()) {
    const opened = await openDocument(JSON.parse(readFileSync(`${folder}/${name}`, 'utf8')))
    if (!opened.ok) throw new Error(`${name} does not open`)
    const { value: document, log } = opened
    for (const { id } of document.stays) {
      answers(document, id)
      const stayCase = caseOf(document, id)
      if (log.some(({ stay }) => stay === id))
        add('learned', learnStay({ stayCase, log, earlier: [], at: stayCase.stay.leaveAt, seed: 11 }))
    }
  }
const documents = fc.sample(fc.oneof(documentArb, reuseArb, withRunsArb), {
  seed: 30,
  numRuns: GENERATED,
})
for (const document of documents) for (const { id } of document.stays) answers(document, id)
for (const one of fc.sample(drawn, { seed: 31, numRuns: CARDS })) add('cards', made(one)?.card ?? null)

for (const [kind, { hash, parts }] of hashes)
  console.log(`${kind}: ${hash.digest('hex').slice(0, 16)} of ${parts}`)
