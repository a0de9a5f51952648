import { expect, it } from 'vitest'
import { chanceWords } from './chanceWords'
import { spreadShape } from './spreadShape'

it('has a bar for every quarter day, the tallest whole, and leaves off what lies beyond the axis', () => {
  const { span, bars } = spreadShape([1.1, 1.2, 2.3, 2.4, 2.45, 9, Infinity], 4)
  expect(span).toBe(7)
  expect(bars.length).toBe(28)
  expect(bars[4]).toBeCloseTo(2 / 3, 9)
  expect(bars[9]).toBe(1)
  expect(bars.filter((bar) => bar > 0).length).toBe(2)
})

it('is empty but whole where every trip lies beyond', () => {
  const { span, bars } = spreadShape([Infinity, Infinity], 12)
  expect(span).toBe(19)
  expect(Math.max(...bars)).toBe(0)
})

it('says a chance as people do', () => {
  expect([0, 0.004, 0.126, 0.9, 0.996].map(chanceWords)).toEqual([
    'less than 1 in 100', 'less than 1 in 100', '13 in 100', '90 in 100', 'more than 99 in 100',
  ]) // prettier-ignore
})
