import fc from 'fast-check'
import { expect, it } from 'vitest'
import { chanceWords } from './chanceWords'
import { spacedLabels, spreadShape } from './spreadShape'

it('has a bar for every quarter day, the tallest whole, and leaves off what lies beyond the axis', () => {
  const { span, bars } = spreadShape([1.1, 1.2, 2.3, 2.4, 2.45, 9, Infinity], 4)
  expect(span).toBe(7)
  expect(bars.length).toBe(28)
  expect(bars[4]).toBeCloseTo(2 / 3, 9)
  expect(bars[9]).toBe(1)
  expect(bars.filter((bar) => bar > 0).length).toBe(2)
})

it('reaches every mark, however far the best of trips goes', () => {
  const trips = Array.from({ length: 100 }, (_, k) => 10 + k / 5)
  expect(spreadShape(trips, 13).span).toBe(20)
  expect(spreadShape(trips, 13, [12, 20, 28.2]).span).toBeGreaterThanOrEqual(28.2)
  expect(spreadShape(trips, 13, [12, 20, Infinity]).span).toBeGreaterThanOrEqual(20)
})

it('is empty but whole where every trip lies beyond', () => {
  const { span, bars } = spreadShape([Infinity, Infinity], 12)
  expect(span).toBe(19)
  expect(Math.max(...bars)).toBe(0)
})

it('says a chance as people do', () => {
  expect([0, 0.004, 0.126, 0.9, 0.996].map(chanceWords)).toEqual([
    'less than 1 in 100',
    'less than 1 in 100',
    '13 in 100',
    '90 in 100',
    'more than 99 in 100',
  ])
})

it('keeps three labels apart and inside the drawing, and over their marks where there is room', () => {
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 3, maxLength: 3 }),
      fc.constantFrom(330, 600),
      (shares, width) => {
        const marks = shares.sort((a, b) => a - b).map((share) => share * width) as [number, number, number]
        const labels = spacedLabels(marks, width)
        expect(labels[1] - labels[0]).toBeGreaterThanOrEqual(76 - 1e-9)
        expect(labels[2] - labels[1]).toBeGreaterThanOrEqual(76 - 1e-9)
        expect(labels[0]).toBeGreaterThanOrEqual(20)
        expect(labels[2]).toBeLessThanOrEqual(width - 20)
      },
    ),
  )
  expect(spacedLabels([100, 300, 500], 600)).toEqual([100, 300, 500])
})
