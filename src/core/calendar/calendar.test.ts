import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  PARTS,
  addWallDays,
  dayAndPartOf,
  dayZero,
  isWallTime,
  leaveAfterNights,
  nightsBetween,
  partGrid,
  partOfSlot,
  slotAt,
  slotNumber,
  slotOfTime,
  wallDaysBetween,
} from './index'

const wallTimes = fc
  .date({ min: new Date('2000-01-01T00:00:00Z'), max: new Date('2100-01-01T00:00:00Z'), noInvalidDate: true })
  .map((date) => date.toISOString().slice(0, 16))

describe('the day of four parts (model.md section 2)', () => {
  it('gives the night to the day it began', () => {
    expect(dayZero('2027-09-12T17:00')).toBe('2027-09-12T05:00')
    expect(dayZero('2027-09-12T04:59')).toBe('2027-09-11T05:00')
    expect(dayAndPartOf('2027-09-12T17:00', '2027-09-13T04:00')).toEqual({ day: 0, part: 3 })
    expect(dayAndPartOf('2027-09-12T17:00', '2027-09-13T05:00')).toEqual({ day: 1, part: 0 })
  })

  it('numbers the parts from the morning of day 0, and finds each in a grid wherever that begins', () => {
    fc.assert(
      fc.property(
        wallTimes,
        fc.nat(200),
        fc.double({ min: 0, max: 20, noNaN: true }),
        (start, number, later) => {
          expect(slotNumber(slotAt(number))).toBe(number)
          const grid = partGrid(start, 30, addWallDays(start, later))
          for (const i of [0, 1, grid.count - 1]) {
            const slot = { day: grid.day[i]!, part: PARTS[grid.part[i]!]! }
            expect(partOfSlot(grid, slot)).toBe(i)
            // The first minute of a part lies in it, however short it is.
            const first = addWallDays(addWallDays(start, later), grid.edges[i]!)
            expect(slotOfTime(start, first)).toEqual(slot)
          }
        },
      ),
      { examples: [['2042-07-11T10:59', 0, 0]] },
    )
  })

  it('shortens the first part and runs to the first part end at or after the horizon', () => {
    const grid = partGrid('2027-09-12T18:30', 2)
    expect([...grid.edges.subarray(1, 4)]).toEqual([4.5 / 24, 10.5 / 24, 16.5 / 24])
    expect([grid.part[0], grid.day[0], grid.share[0]]).toEqual([2, 0, 0.75])
    expect([grid.part[2], grid.day[2], grid.share[2]]).toEqual([0, 1, 1])
    expect(partGrid('2027-09-12T05:00', 60).count).toBe(240)
  })

  it('holds over all starts and horizons', () => {
    fc.assert(
      fc.property(wallTimes, fc.double({ min: 0.01, max: 90, noNaN: true }), (start, horizon) => {
        const { count, edges, day, part, share } = partGrid(start, horizon)
        expect(edges[count]).toBeGreaterThanOrEqual(horizon - 1e-9)
        if (count > 1) expect(edges[count - 1]).toBeLessThan(horizon)
        for (let i = 0; i < count; i++) {
          expect(edges[i + 1]! - edges[i]!).toBeCloseTo(share[i]! / 4, 9)
          const middle = addWallDays(start, (edges[i]! + edges[i + 1]!) / 2)
          if (share[i]! > 0.02) expect(dayAndPartOf(start, middle)).toEqual({ day: day[i], part: part[i] })
        }
      }),
    )
  })

  it('counts nights there and back, over clock changes too', () => {
    fc.assert(
      fc.property(wallTimes, fc.integer({ min: 1, max: 90 }), (start, nights) => {
        const leave = leaveAfterNights(start, '2027-01-01T11:00', nights)
        expect(leave.endsWith('T11:00')).toBe(true)
        expect(nightsBetween(start, leave)).toBe(nights)
      }),
    )
    expect(wallDaysBetween('2027-03-28T00:00', '2027-03-29T00:00')).toBe(1)
  })

  it('knows real dates from made-up ones', () => {
    expect(
      ['2028-02-29T10:00', '2027-02-29T10:00', '2027-02-28T24:00', '2027-1-1T10:00', ''].map(isWallTime),
    ).toEqual([true, false, false, false, false])
  })
})
