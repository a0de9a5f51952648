import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { example, use } from '../../../tests/support/build'
import { entry } from '../../../tests/support/entries'
import { trailerDemo } from '../../../scripts/demo/trailer'
import { truckDemo } from '../../../scripts/demo/truck'
import { compile } from '../compile'
import { caseOf, type Document } from '../domain'
import { leftToday } from './doneToday'
import { countable, firstPicks, hookedUp, oddSince } from './index'

/** Ann and Bo shower once a day at most, each with a chance of p, by weights of the four parts. */
function showers(p: number, weights: [number, number, number, number]): Document {
  const activity = {
    ...use('shower', { per: 'person', rate: p, volume: 10, weights }),
    dispersion: 1 as const,
  }
  const document = example({
    fresh: [500, 0, 500],
    gray: [400, 1, 0],
    black: [50, 1, 0],
    persons: ['ann', 'bo'],
    uses: [activity],
  })
  document.stays[0]!.counted = [{ activity: 'shower', from: '2027-05-03T05:00', until: null }]
  return document
}
const AT = '2027-05-04T17:00'
function left(document: Document, log: Parameters<typeof leftToday>[2] = [], at = AT) {
  const { stay, crew, ...rest } = caseOf(document, 'stay')
  return leftToday({ stay, crew }, compile({ stay, crew, ...rest }), log, at)
}
const logged = (at: string, n: number, person: string | null) =>
  entry({ kind: 'use', at, activity: 'shower', n, person, stay: 'stay' })

describe('what is left of today', () => {
  it('by hand: half of the day is over, so who has not showered has p·w ÷ (1 − p·w′) of it left', () => {
    const document = showers(0.6, [0.25, 0.25, 0.25, 0.25])
    // 0.6 × 0.5 ÷ (1 − 0.6 × 0.5) = 3/7 of a shower each, over the 0.3 that are usual from here: 1/(1 − 0.3).
    expect(left(document)).toEqual([{ activity: 'shower', factor: expect.closeTo(1 / 0.7, 12) as number }])
    expect(left(document, [logged('2027-05-04T09:00', 1, 'ann')])[0]!.factor).toBeCloseTo(0.5 / 0.7, 12)
    // One of nobody in particular is of one of them; 'not today' is of all; yesterday's and other stays' are not today's.
    expect(left(document, [logged('2027-05-04T09:00', 1, null)])[0]!.factor).toBeCloseTo(0.5 / 0.7, 12)
    expect(left(document, [logged('2027-05-04T09:00', 0, null)])[0]!.factor).toBe(0)
    expect(left(document, [logged('2027-05-03T09:00', 1, 'ann')])[0]!.factor).toBeCloseTo(1 / 0.7, 12)
    expect(
      left(document, [{ ...logged('2027-05-04T09:00', 1, 'ann'), stay: 'other' }])[0]!.factor,
    ).toBeCloseTo(1 / 0.7, 12)
  })

  it('is a number between nothing and all that can still come, whatever is known', () => {
    const clock = fc.constantFrom(
      '2027-05-04T05:00',
      '2027-05-04T11:10',
      '2027-05-04T22:59',
      '2027-05-05T04:59',
    )
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 1, noNaN: true }),
        fc.nat(3),
        clock,
        fc.boolean(),
        (p, last, at, isDone) => {
          const weights = [0, 0, 0, 0].map((_, k) => (k === last ? 1 : 0)) as [number, number, number, number]
          for (const spread of [weights, [0.25, 0.25, 0.25, 0.25] as [number, number, number, number]]) {
            const log = isDone
              ? [logged('2027-05-04T05:00', 1, 'ann'), logged('2027-05-04T05:00', 1, 'bo')]
              : []
            const [answer] = left(showers(p, spread), log, at)
            expect(Number.isFinite(answer!.factor)).toBe(true)
            expect(answer!.factor).toBeGreaterThanOrEqual(0)
            if (isDone) expect(answer!.factor).toBe(0)
          }
        },
      ),
    )
  })

  it('says nothing of what is not counted, was counted only since later today, or is done more than once a day', () => {
    const document = showers(0.6, [0.25, 0.25, 0.25, 0.25])
    const [stay] = document.stays
    stay!.counted[0]!.from = '2027-05-04T12:00'
    expect(left(document)).toEqual([])
    stay!.counted = []
    expect(left(document)).toEqual([])
    const often = showers(0.6, [0.25, 0.25, 0.25, 0.25])
    often.crews[0]!.activities[0]!.rate.value = 3
    expect(left(often)).toEqual([])
    const exact = showers(0.6, [0.25, 0.25, 0.25, 0.25])
    exact.crews[0]!.activities[0]!.dispersion = 0
    expect(left(exact)).toEqual([])
  })
})

it('what explains a reading reaches back to the reading before it, of one tank for a leak, of all for a visitor', () => {
  const { stay } = caseOf(trailerDemo(), 'harrow-ridge')
  const read = (at: string, container: string) =>
    entry({ kind: 'reading', at, container, saw: { as: 'full' } })
  const log = [
    read('2027-09-12T08:00', 'gray'),
    read('2027-09-13T08:00', 'fresh'),
    read('2027-09-14T08:00', 'gray'),
  ]
  const tank = { members: ['gray'] }
  const at = { at: '2027-09-14T08:00' }
  expect(oddSince('leak', at, tank, stay, log)).toMatchObject({
    from: '2027-09-12T08:00',
    container: 'gray',
    why: 'leak',
  })
  expect(oddSince('visitor', at, tank, stay, log)).toMatchObject({
    from: '2027-09-12T08:00',
    container: null,
  })
  expect(oddSince('leak', { at: '2027-09-12T08:00' }, tank, stay, log).from).toBe(stay.start)
})

describe('a guided count', () => {
  it('proposes what draws most, but not what is drunk; what is never done cannot be counted', () => {
    const crew = trailerDemo().crews[0]!
    const ids = countable(crew).map(({ id }) => id)
    expect(firstPicks(crew)).toEqual(ids.filter((id) => id !== 'drinking').slice(0, 3))
    crew.activities.find(({ id }) => id === 'shower')!.rate.value = 0
    expect(countable(crew).map(({ id }) => id)).not.toContain('shower')
  })

  it('begins with supplies full and waste empty, charged by what is said to be in it; a bin is left as it is', () => {
    const rig = truckDemo().rigs[0]!
    const did = hookedUp(rig, new Map([['truck-gray', 3]]))
    const of = (what: string) => did.filter((one) => one.what === what).map(({ container }) => container)
    const kinds = (ids: string[]) => ids.map((id) => rig.containers.find((one) => one.id === id)!.kind)
    expect(new Set(kinds(of('filled')))).toEqual(new Set(['fresh']))
    expect(kinds(of('emptied'))).not.toContain('solids')
    expect(kinds(of('emptied'))).toContain('urine')
    for (const { what, litres } of did) expect(litres === null).toBe(what !== 'put-in')
  })
})
