import { expect, it } from 'vitest'
import { leftLater, leftToday, type Allowance } from './allowance'

/** Two uses a day at factor 1, none of them sure. */
const twoADay = (spent: number[], own: Partial<Allowance> = {}): Allowance => ({
  activity: 'shower',
  byDay: spent.map(() => ({ fixed: 0, perFactor: 2 })),
  spent,
  swapped: [],
  today: spent.length - 1,
  ...own,
})

it('carries over one use at most, however many days were saved', () => {
  // Nothing was used for three days: 2 of today and 1 of before.
  expect(leftToday(twoADay([0, 0, 0, 0]), 1)).toBe(3)
  expect(leftToday(twoADay([0, 0]), 1)).toBe(3)
  // One less than granted is carried over as it is.
  expect(leftToday(twoADay([1.5, 0]), 1)).toBe(2.5)
})

it('owes nothing of a day that used too much: today starts fresh', () => {
  expect(leftToday(twoADay([5, 0]), 1)).toBe(2)
  expect(leftToday(twoADay([5, 1, 0]), 1)).toBe(3)
  expect(leftToday(twoADay([0, 9]), 1)).toBe(0)
})

it('grants days gone by no more than usual, and less where the factor is less', () => {
  // At factor 3 today has 6; yesterday had 2 and used 2.
  expect(leftToday(twoADay([2, 0]), 3)).toBe(6)
  // At a quarter yesterday had half a use and used none.
  expect(leftToday(twoADay([0, 0]), 0.25)).toBe(1)
})

it('counts swaps on their day, and from its first', () => {
  expect(leftToday(twoADay([3, 0], { swapped: [1, 0] }), 1)).toBe(2)
  expect(leftToday(twoADay([2, 1], { swapped: [0, 2] }), 1)).toBe(3)
  // What was spent on the first day counts like any other.
  expect(leftToday(twoADay([1, 2, 2]), 1)).toBe(1)
})

it('has the days to come without today', () => {
  const days = twoADay([0, 0, 0, 0], { today: 1 })
  expect(leftLater(days, 1)).toBe(4)
  expect(leftLater(days, 0.5)).toBe(2)
})
