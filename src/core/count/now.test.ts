import fc from 'fast-check'
import { expect, it } from 'vitest'
import { documentArb, reuseArb } from '../../../tests/support/generate'
import { example, use } from '../../../tests/support/build'
import { addWallDays } from '../calendar'
import { flushRatios } from '../habits'
import { compile } from '../compile'
import { caseOf, type Document } from '../domain'
import { count, stateAt } from './index'
import { often } from '../../../tests/support/thorough'

const counted = (document: Document) => {
  const stayCase = caseOf(document, 'stay')
  const model = compile(stayCase)
  return { stayCase, model, result: count(model) }
}

it('law: a stay from now, at the start of a part, with its own levels and vessels is the rest of its ledger', () => {
  fc.assert(
    fc.property(
      fc.oneof(documentArb, reuseArb),
      fc.double({ min: 0, max: 0.999, noNaN: true }),
      (document, where) => {
        const { stayCase, model, result } = counted(document)
        const { count: parts, edges } = model.grid
        const part = Math.floor(where * Math.min(parts, 80))
        const at = addWallDays(model.start, edges[part]!)
        const rest = model.horizonDays - edges[part]!
        if (rest <= 0) return
        const now = compile(stayCase, { from: stateAt(model, result.ledger, at), horizonDays: rest })
        const later = count(now)
        expect(now.grid.count).toBe(parts - part)
        expect([...now.grid.day]).toEqual([...model.grid.day.subarray(part)])
        const size = Math.max(1, ...result.ledger.levels.map(Math.abs))
        model.containers.forEach((_, c) => {
          for (let i = part; i < parts; i++) {
            const was = result.ledger.levels[c * parts + i]!
            const is = later.ledger.levels[c * now.grid.count + i - part]!
            expect(Math.abs(is - was)).toBeLessThan(1e-9 * size)
          }
        })
        // Crossed later than now: the same instant.
        if (result.days !== null && result.days > edges[part]! + 1e-9) {
          expect(later.days! + edges[part]!).toBeCloseTo(result.days, 6)
          expect(later.stopper).toBe(result.stopper)
        }
        const whole = flushRatios(model, result.ledger, parts)
        flushRatios(now, later.ledger, parts).forEach(({ ratios }, k) => {
          ratios.forEach((ratio, i) => {
            const was = whole[k]!.ratios[part + i]!
            if (ratio !== null && was !== null && was < 1e6) expect(ratio).toBeCloseTo(was, 6)
          })
        })
      },
    ),
    { numRuns: often(60, 150) },
  )
})

it('by hand: at three in the afternoon of the third day, 55 of 96 L are gone and the rest goes as it would have', () => {
  // 24 L a day, 6 in each part, from 100 L kept to 4: 4 days from 05:00 on; a stay from 08:00 of day 0.
  const document = example({
    fresh: [100, 4, 100],
    gray: [400, 1, 0],
    black: [50, 1, 0],
    uses: [use('sink', { rate: 24, volume: 1 })],
  })
  document.stays[0]!.start = '2027-06-01T08:00'
  const { stayCase, model, result } = counted(document)
  // Half a morning and three parts; a whole day; a morning and two thirds of a midday.
  const now = stateAt(model, result.ledger, '2027-06-03T15:00')
  const gone = 21 + 24 + 10
  expect(now.levels.find(({ container }) => container === 'fresh')!.level).toBeCloseTo(100 - gone, 9)
  const later = compile(stayCase, { from: now })
  expect(later.start).toBe('2027-06-03T15:00')
  expect(later.grid.day[0]).toBe(2)
  expect(later.grid.share[0]).toBeCloseTo(2 / 6, 12)
  const { days, at, stopper } = count(later)
  expect(stopper).toBe('fresh')
  expect(days).toBeCloseTo((96 - gone) / 24, 9)
  expect(at).toBe(result.at)
  expect(() => compile(stayCase, { from: { ...now, at: '2027-06-01T07:59' } })).toThrow(RangeError)
  expect(() => stateAt(model, result.ledger, '2027-05-31T12:00')).toThrow(RangeError)
})
