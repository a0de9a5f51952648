import fc from 'fast-check'
import { expect, it } from 'vitest'
import { filledTo, tallyShape } from './tally'

it('is one stroke a night, every fifth a bar, and cut where the stop cuts the day', () => {
  const { strokes } = tallyShape(12, 6.25)
  expect(strokes.length).toBe(12)
  expect(strokes.filter(({ isBar }) => isBar).map(({ index }) => index)).toEqual([4, 9])
  expect(strokes.filter(({ isStop }) => isStop).map(({ index }) => index)).toEqual([6])
  const stop = strokes[6]!
  expect(filledTo(stop).y).toBeCloseTo(stop.y1 + (stop.y2 - stop.y1) * 0.25, 9)
})

it('fills as many strokes as there are dry days, whatever they are', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 90 }),
      fc.option(fc.double({ min: 0, max: 100, noNaN: true })),
      (nights, days) => {
        const { strokes, width, height } = tallyShape(nights, days, 3)
        const filled = strokes.reduce((sum, stroke) => sum + stroke.filled, 0)
        expect(filled).toBeCloseTo(Math.min(nights, days ?? nights), 9)
        expect(strokes.filter(({ isStop }) => isStop).length).toBe(days !== null && days < nights ? 1 : 0)
        for (const { x1, x2, y1, y2 } of strokes) {
          expect(Math.min(x1, x2)).toBeGreaterThanOrEqual(0)
          expect(Math.max(x1, x2)).toBeLessThanOrEqual(width)
          expect(Math.max(y1, y2)).toBeLessThanOrEqual(height)
        }
      },
    ),
  )
})
