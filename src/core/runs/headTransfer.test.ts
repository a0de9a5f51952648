import { describe, expect, it } from 'vitest'
import { headTransfer, type TransferCase } from './headTransfer'

/**
 * Gray of 200 L, 0.4 m high, half a meter up; black of 100 L, 0.5 m high, on the floor, safe to 90 L. Base areas 0.5 and 0.2 m²,
 * so that S = 2 + 5 = 7 per m².
 */
function tanks(
  gray: [number, number],
  black: [number, number],
  own: Partial<TransferCase> = {},
): TransferCase {
  const range = ([low, high]: [number, number]) => ({ low, high })
  return {
    gray: { capacity: 200, height: 0.4, bottom: range([0.5, 0.5]), content: range(gray), most: 1000 },
    black: { capacity: 100, height: 0.5, bottom: range([0, 0]), content: range(black), safeLevel: 90 },
    bore: 0.076,
    ...own,
  }
}
const volumeOf = (of: TransferCase) => {
  const found = headTransfer(of)
  return found.ok ? [found.value.volume, found.value.bound] : found.refusal
}

describe('by hand: what surely may go, each reading at its worse end', () => {
  it('by the levels: four fifths of what makes them even', () => {
    // Surfaces at 0.5 + 0.2 and 0.1: Δ0 = 0.6; 0.8 × 0.6 ÷ 7 = 68.57 L.
    const even = tanks([100, 100], [20, 20])
    expect(volumeOf(even)).toEqual([expect.closeTo(68.571_428, 5), 'levels'])
    // Gray may hold 80 to 120, black 10 to 30: Δ0 = 0.66 − 0.15 = 0.51 at the worst, 0.74 − 0.05 = 0.69 at the best.
    const found = headTransfer(tanks([80, 120], [10, 30]))
    if (!found.ok) throw new Error(found.refusal)
    expect(found.value.volume).toBeCloseTo((800 * 0.51) / 7, 9)
    expect(found.value.head.low).toBeCloseTo(0.51, 12)
    expect(found.value.head.high).toBeCloseTo(0.69, 12)
    expect(found.value.seconds.low).toBeLessThan(found.value.seconds.high)
  })

  it('by the room in black at its high reading', () => {
    // Read at 50 to 70 of 90: 20 L of room, not 40.
    expect(volumeOf(tanks([200, 200], [50, 70]))).toEqual([20, 'black'])
    expect(volumeOf(tanks([200, 200], [70, 90]))).toBe('black-full')
    expect(volumeOf(tanks([200, 200], [70, 89.5]))).toEqual([0.5, 'black'])
  })

  it('by gray at its low reading, and above what it keeps', () => {
    expect(volumeOf(tanks([5, 60], [0, 0]))).toEqual([5, 'gray'])
    expect(volumeOf(tanks([0, 60], [0, 0]))).toBe('gray-empty')
    const { gray } = tanks([60, 60], [0, 0])
    expect(volumeOf(tanks([60, 60], [0, 0], { gray: { ...gray, most: 12 } }))).toEqual([12, 'gray'])
    expect(volumeOf(tanks([60, 60], [0, 0], { gray: { ...gray, most: 0 } }))).toBe('gray-empty')
  })

  it('not at all where gray may stand no higher, by the heights as they may be', () => {
    const { gray, black } = tanks([100, 100], [60, 60])
    const low = { ...gray, bottom: { low: 0.09, high: 0.5 } }
    // Surfaces at 0.09 + 0.2 and 0.3: gray may stand lower.
    expect(volumeOf(tanks([100, 100], [60, 60], { gray: low }))).toBe('wrong-direction')
    const raised = { ...black, bottom: { low: 0, high: 0.5 } }
    expect(volumeOf(tanks([100, 100], [60, 60], { black: raised }))).toBe('wrong-direction')
  })
})

it('by hand: seconds to hold the valve open, slow and fast', () => {
  // Exact levels: V = 20 L of room, Δ0 = 0.9 − 0.35 = 0.55 with black at 70.
  const found = headTransfer(tanks([200, 200], [70, 70]))
  if (!found.ok) throw new Error(found.refusal)
  const area = (Math.PI * 0.076 ** 2) / 4
  const time = (cd: number) =>
    (2 * (Math.sqrt(0.55) - Math.sqrt(0.55 - 0.02 * 7))) / (cd * area * Math.sqrt(2 * 9.806_65) * 7)
  expect(found.value.seconds.low).toBeCloseTo(time(0.6), 2)
  expect(found.value.seconds.high).toBeCloseTo(time(0.4), 2)
})
