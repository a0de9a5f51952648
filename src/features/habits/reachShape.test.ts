import { expect, it } from 'vitest'
import { reachShape } from './reachShape'

const set = (bother: number, days: number) => ({ habits: [], bother, days, isBeyond: false })

it('draws more bother to the right and more days higher up, with the goal between the sets it lies between', () => {
  const { points, goalY, path } = reachShape([set(0, 4), set(2, 6), set(7.5, 9)], 8, 300, 200)
  expect(points.map(({ x }) => x)).toEqual([0, 80, 300])
  expect(points[0]!.y).toBeGreaterThan(points[1]!.y)
  expect(goalY).toBeLessThan(points[1]!.y)
  expect(goalY).toBeGreaterThan(points[2]!.y)
  expect(path.match(/V/g)!.length).toBe(2)
})

it('has whole ticks inside the frame, few however long the axes', () => {
  const { botherTicks, dayTicks } = reachShape([set(0, 4), set(31, 44)], 30, 300, 200)
  expect(botherTicks.every(({ value, at }) => Number.isInteger(value) && at >= 0 && at <= 300)).toBe(true)
  expect(dayTicks.every(({ at }) => at >= 0 && at <= 200)).toBe(true)
  expect(Math.max(botherTicks.length, dayTicks.length)).toBeLessThan(12)
  expect(reachShape([set(0, 4)], 6, 300, 200).points.length).toBe(1)
})
