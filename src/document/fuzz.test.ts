import fc from 'fast-check'
import { expect, it } from 'vitest'
import { count } from '@/core/count'
import { compile } from '@/core/compile'
import type { LogEntry } from '@/core/log'
import { caseOf } from '@/core/domain'
import { en } from '@/texts'
import { often } from '../../tests/support/thorough'
import { readDocument, writeDocument, type DocumentFault } from './index'
import { trailerDemo } from '../../scripts/demo/trailer'
import { trailerLog } from '../../scripts/demo/trailerLog'

const RUNS = often(500, 20_000)
const TEXT = writeDocument(trailerDemo(), trailerLog())
const PLACES = placesOf(JSON.parse(TEXT))

/** Every path of a document. */
function placesOf(value: unknown, path: (string | number)[] = []): (string | number)[][] {
  if (typeof value !== 'object' || value === null) return [path]
  const inside = Object.entries(value).flatMap(([key, child]) =>
    placesOf(child, [...path, Array.isArray(value) ? Number(key) : key]),
  )
  return [path, ...inside]
}

const hostile = fc.oneof(
  fc.constantFrom<unknown>(
    null,
    true,
    -1,
    0,
    1e308,
    -1e308,
    0.1,
    '',
    'fresh',
    'ground',
    '<b>x</b>',
    '__proto__',
    '\u0000',
    [],
    {},
  ),
  fc.double(),
  fc.string({ maxLength: 200 }),
  fc.jsonValue({ maxDepth: 3 }),
)
const mutation = fc.record({
  place: fc.constantFrom(...PLACES.filter((path) => path.length > 0)),
  kind: fc.constantFrom('set', 'delete', 'double', 'key', 'swap'),
  value: hostile,
  other: fc.constantFrom(...PLACES.filter((path) => path.length > 0)),
})
type Mutation = Parameters<Parameters<typeof mutation.map>[0]>[0]
type Holder = Record<string | number, unknown>

const at = (root: unknown, path: readonly (string | number)[]): unknown =>
  path.reduce<unknown>(
    (value, key) => (typeof value === 'object' && value !== null ? (value as Holder)[key] : undefined),
    root,
  )

function mutate(root: unknown, { place, kind, value, other }: Mutation): void {
  const holder = at(root, place.slice(0, -1))
  const key = place.at(-1)!
  if (typeof holder !== 'object' || holder === null) return
  const target = holder as Holder
  if (kind === 'set') target[key] = value
  else if (kind === 'delete' && Array.isArray(holder)) holder.splice(Number(key), 1)
  else if (kind === 'delete') Reflect.deleteProperty(target, key)
  else if (kind === 'double' && Array.isArray(holder)) holder.push(structuredClone(target[key]))
  else if (kind === 'key')
    Object.defineProperty(target, typeof value === 'string' ? value : 'extra', {
      value: 1,
      enumerable: true,
      configurable: true,
      writable: true,
    })
  else if (kind === 'swap') target[key] = structuredClone(at(root, other))
}

/** Cuts, doubles or garbles the text itself. */
const torn = fc
  .tuple(fc.nat(TEXT.length), fc.nat(40), fc.string({ maxLength: 10 }))
  .map(([from, length, filler]) => TEXT.slice(0, from) + filler + TEXT.slice(from + length))

it(`survives ${RUNS} mutated documents: each is opened whole or refused with a reason`, async () => {
  const tally = { opened: 0, refused: 0 }
  const texts = fc.oneof(
    {
      weight: 4,
      arbitrary: fc.array(mutation, { minLength: 1, maxLength: 4 }).map((mutations) => {
        const root = JSON.parse(TEXT) as unknown
        for (const one of mutations) mutate(root, one)
        return JSON.stringify(root)
      }),
    },
    { weight: 1, arbitrary: torn },
  )
  await fc.assert(
    fc.asyncProperty(texts, async (text) => {
      const result = await readDocument(text)
      if (result.ok) {
        tally.opened += 1
        // Whole but for entries that are no good; what is kept is what was written, in its order.
        const { log, ...document } = JSON.parse(text) as { log: LogEntry[] }
        expect(JSON.parse(JSON.stringify(result.value))).toEqual(document)
        const gone = new Set((result.leftOut ?? []).map(({ path }) => path[1]))
        expect(JSON.parse(JSON.stringify(result.log))).toEqual(log.filter((_, i) => !gone.has(i)))
        for (const fault of result.leftOut ?? []) expect(wordsOf(fault).length).toBeGreaterThan(5)
        expect(await readDocument(writeDocument(result.value, result.log))).toMatchObject({
          ok: true,
          log: result.log,
        })
        for (const { id } of result.value.stays) {
          const { days, ledger } = count(compile(caseOf(result.value, id)))
          expect(days === null || Number.isFinite(days)).toBe(true)
          expect(ledger.levels.every(Number.isFinite)).toBe(true)
        }
      } else {
        tally.refused += 1
        expect(result.faults.length).toBeGreaterThan(0)
        for (const fault of result.faults) expect(wordsOf(fault).length).toBeGreaterThan(5)
      }
    }),
    { numRuns: RUNS, plugins: [fc.interruptAfterTimeLimit(often(60_000, 1_500_000))] },
  )
  expect(({} as Holder).extra).toBeUndefined()
  expect(tally.opened).toBeGreaterThan(RUNS / 100)
  expect(tally.refused).toBeGreaterThan(0.4 * RUNS)
}, 1_600_000)

function wordsOf(fault: DocumentFault): string {
  return en.faults[fault.code](fault)
}
