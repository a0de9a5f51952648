import { Worker } from 'node:worker_threads'
import { DOMParser, XMLSerializer } from '@xmldom/xmldom'
import fc from 'fast-check'
import { build, type Rolldown } from 'vite'
import { expect, it } from 'vitest'
import { alias } from '../../vitest.config'
import { checkedEntry, readCard, writeCard } from '@/document'
import { logFromCsv, logToCsv } from '@/document/logCsv'
import { geoJsonOf, placesOfGeoJson, readGeoJson } from '@/document/places/geojson'
import { gpxOf, readGpx } from '@/document/places/gpx'
import { placeSchema } from '@/document/schema/places'
import type { OpeningAnswer, OpeningRequest } from '@/engines/openingHours'
import { ridgePlaces } from '../../scripts/demo/ridge'
import { trailerLog } from '../../scripts/demo/trailerLog'

/** Files somebody brings: none crashes, is refused without words, takes long, or is taken in by half. */
const FILES = 3_000
const SLOW_MS = 200
/** Reading is timed by the machine: what is slow once is tried again before it is called so. */
const ran = <T>(read: () => T): T => {
  let fastest = Infinity
  let result!: T
  for (let k = 0; k < 3 && fastest > SLOW_MS; k++) {
    const began = performance.now()
    result = read()
    fastest = Math.min(fastest, performance.now() - began)
  }
  expect(fastest).toBeLessThan(SLOW_MS)
  return result
}
let serial = 0
const newId = () => `place-${(serial += 1)}`
const xml = {
  parse: (text: string) =>
    new DOMParser({
      onError: (level, message) => {
        if (level !== 'warning') throw new Error(message)
      },
    }).parseFromString(text, 'application/xml') as never,
  write: (document: unknown) => new XMLSerializer().serializeToString(document as never),
}

/** A good text with pieces cut, doubled, garbled or put elsewhere. */
const torn = (whole: string, tokens: readonly string[]) =>
  fc
    .array(
      fc.record({
        from: fc.nat(whole.length),
        length: fc.nat(30),
        filler: fc.oneof(fc.constantFrom(...tokens), fc.string({ maxLength: 8 }), fc.constant('')),
      }),
      { minLength: 1, maxLength: 5 },
    )
    .map((cuts) =>
      cuts.reduce(
        (text, { from, length, filler }) => text.slice(0, from) + filler + text.slice(from + length),
        whole,
      ),
    )

it('CSV: every line or none, and what is wrong is said', () => {
  const whole = logToCsv(trailerLog())
  fc.assert(
    fc.property(
      torn(whole, ['TRUE', 'FALSE', ';', '"', '\r\n', ',,', '1,5', '-1', '999999999', '\uFEFF']),
      (text) => {
        const read = ran(() => logFromCsv(text))
        if (read.ok) for (const one of read.log) expect(checkedEntry(one).ok).toBe(true)
        else expect(read.missing.length + read.faults.length).toBeGreaterThan(0)
      },
    ),
    { numRuns: FILES },
  )
})

const isSound = (read: ReturnType<typeof readGeoJson>) => {
  if (read.ok) for (const one of read.report.places) expect(placeSchema.safeParse(one).success).toBe(true)
  else expect(read.code.length).toBeGreaterThan(0)
}

it('GeoJSON: odd features are left out and named, the others are places', () => {
  const whole = geoJsonOf(ridgePlaces())
  const tokens = ['null', '1e9', '"toString"', '"2027-02-31"', '[]', '{}', '"yes"', ',']
  fc.assert(
    fc.property(torn(whole, tokens), (text) => isSound(ran(() => readGeoJson(text, newId, 'Nameless')))),
    { numRuns: FILES },
  )
  // Whole JSON of odd values.
  const features = JSON.parse(whole) as { features: { properties: Record<string, unknown> }[] }
  fc.assert(
    fc.property(fc.nat(), fc.string(), fc.jsonValue(), (n, key, value) => {
      const input = structuredClone(features)
      const { properties } = input.features[n % input.features.length]!
      const keys = [...Object.keys(properties), 'charge', 'check_date', 'access', key]
      properties[keys[n % keys.length]!] = value
      isSound(ran(() => placesOfGeoJson(input, newId, 'Nameless')))
    }),
    { numRuns: FILES },
  )
})

it('GPX: read or refused, and a name of any characters is read again', () => {
  const whole = gpxOf(ridgePlaces(), xml, ({ name }) => name)
  fc.assert(
    fc.property(torn(whole, ['<', '>', '&', '</wpt>', 'lat="91"', ']]>', '&#0;']), (text) =>
      isSound(ran(() => readGpx(text, xml, newId, 'Nameless'))),
    ),
    { numRuns: FILES },
  )
  const [place] = ridgePlaces()
  fc.assert(
    fc.property(fc.string({ unit: 'binary', minLength: 1, maxLength: 40 }), (name) => {
      const written = gpxOf([{ ...place!, name }], xml, () => name)
      const read = readGpx(written, xml, newId, 'Nameless')
      expect(read.ok && read.report.places.length + read.report.leftOut.length).toBeGreaterThan(0)
    }),
    { numRuns: FILES },
  )
})

it('cards of others: read whole, or refused with a reason', () => {
  const whole = writeCard({
    format: 'dry-count/card@1',
    card: {
      name: 'Ours',
      kind: 'dump',
      steps: [{ words: 'Look at the ground.' }, { words: 'Shut the valve fully.' }],
    },
  } as never)
  fc.assert(
    fc.property(torn(whole, ['"step"', '"words"', '[', '}', 'null', '"__proto__"']), (text) => {
      const read = ran(() => readCard(text, 'own', []))
      if (!read.ok) expect(read.fault.length).toBeGreaterThan(0)
      else expect(read.card.steps.length).toBeGreaterThan(0)
    }),
    { numRuns: FILES },
  )
})

/** The library in a thread of its own, as in the application: what falls silent is given up. */
const TEXTS = 2_000
const DEADLINE_MS = 4_000
it('opening texts: each is read, refused in words, or given up at the deadline, and the page never waits', async () => {
  const bundled = (await build({
    configFile: false,
    logLevel: 'silent',
    resolve: { alias },
    build: {
      write: false,
      minify: false,
      lib: { entry: 'src/solver/openingHours.ts', formats: ['cjs'], fileName: 'opening' },
    },
  })) as Rolldown.RolldownOutput[]
  const chunk = bundled[0]!.output[0]
  const code = `${chunk.code}
      const { parentPort } = require('node:worker_threads')
      parentPort.on('message', (one) => parentPort.postMessage(module.exports.readOpening(one)))`
  const begin = () => new Worker(code, { eval: true })
  let worker = begin()
  const ask = (text: string): Promise<OpeningAnswer | null> =>
    new Promise((resolve, reject) => {
      const request: OpeningRequest = {
        text,
        from: '2027-09-10T05:00',
        until: '2027-09-25T05:00',
        sunrise: '06:50',
        sunset: '19:30',
      }
      const asked = worker
      const timer = setTimeout(() => {
        worker = begin()
        void asked.terminate().then(() => resolve(null))
      }, DEADLINE_MS)
      asked.once('message', (answer: OpeningAnswer) => {
        clearTimeout(timer)
        asked.removeAllListeners('error')
        resolve(answer)
      })
      asked.once('error', reject)
      asked.postMessage(request)
    })
  const piece = fc.oneof(
    fc.constantFrom(
      ...[
        'Mo-Fr',
        'Sa',
        'PH',
        'SH off',
        '08:00-18:00',
        '24/7',
        'Apr-Oct:',
        'sunrise-sunset',
        '"by key"',
        'off',
      ],
      ...[';', ',', '+', '||', '(sunset-01:00)', 'week 2-52/2', 'easter +1 day', '2027', '10:00+', 'unknown'],
    ),
    fc.string({ maxLength: 6 }),
    fc.nat(60).map((n) => ' '.repeat(n)),
  )
  let given = 0
  await fc.assert(
    fc.asyncProperty(fc.array(piece, { maxLength: 14 }), async (pieces) => {
      const answer = await ask(pieces.join(' '))
      if (answer === null) given += 1
      else if (!answer.ok) expect(typeof answer.why).toBe('string')
      else for (const { from, until } of answer.times.spans) expect(from < until).toBe(true)
    }),
    { numRuns: TEXTS },
  )
  await worker.terminate()
  console.log(`${given} of ${TEXTS} opening texts were given up at the deadline`)
  expect(given).toBeLessThan(TEXTS / 100)
}, 900_000)
