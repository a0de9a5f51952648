import fc from 'fast-check'
import { expect, it } from 'vitest'
import { LEAST_WIDTH, filledTo, labelUnder, spanOf, stopMark, tallyShape } from './tally'

const days = (n: number) => Array.from({ length: n }, (_, k) => k + 1)
const numbers = (path: string) => (path.match(/-?\d+(\.\d+)?(e-?\d+)?/g) ?? []).map(Number)

it('every label stands within the tally, whatever stroke it belongs to', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 40 }), fc.integer({ min: 1, max: 6 }), (planned, perRow) => {
      const { strokes, width } = tallyShape(days(planned), null, perRow)
      const room = Math.max(LEAST_WIDTH, width)
      for (const stroke of strokes) {
        const [from, to] = spanOf(labelUnder(stroke, 'Fri 17 Sep 2027', room))
        expect(from).toBeGreaterThanOrEqual(0)
        expect(to).toBeLessThanOrEqual(room)
      }
    }),
  )
})

it('the stop cuts its own stroke where the day is cut, and crosses none of the others of its five', () => {
  fc.assert(
    fc.property(fc.double({ min: 4.02, max: 4.98, noNaN: true }), (at) => {
      const { strokes } = tallyShape(days(5), at)
      const bar = strokes[4]!
      expect(bar.isStop).toBe(true)
      const [x1, y1, x2, y2] = numbers(stopMark(bar)) as [number, number, number, number]
      const middle = filledTo(bar)
      expect([(x1 + x2) / 2, (y1 + y2) / 2]).toEqual([
        expect.closeTo(middle.x, 6),
        expect.closeTo(middle.y, 6),
      ])
      // Square across the bar, and so steep that it reaches over less than a stroke's room.
      expect((x2 - x1) * (bar.x2 - bar.x1) + (y2 - y1) * (bar.y2 - bar.y1)).toBeCloseTo(0, 6)
      expect(Math.abs(x2 - x1)).toBeLessThan(10)
    }),
  )
})
