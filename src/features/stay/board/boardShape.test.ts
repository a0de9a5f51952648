import fc from 'fast-check'
import { expect, it } from 'vitest'
import { addWallDays, dayZero, wallDaysBetween } from '@/core/calendar'
import { count, levelAt } from '@/core/count'
import { compile } from '@/core/compile'
import { caseOf } from '@/core/domain'
import { areaPath, boardCells, boardX, withLived } from './boardShape'
import { example, use } from '../../../../tests/support/build'
import { documentArb } from '../../../../tests/support/generate'
import { runOf, runStep, withRunsArb } from '../../../../tests/support/generateRuns'

it('shows the ledger: every day ends at its level, goes on where the day before ended, and says what is past the limit', () => {
  fc.assert(
    fc.property(fc.oneof(documentArb, withRunsArb), (document) => {
      const model = compile(caseOf(document, 'stay'))
      const counted = count(model)
      model.containers.forEach(({ capacity, limit, side, start }, c) => {
        const cells = boardCells(model, counted, c, 12)
        expect(cells.map(({ day }) => day)).toEqual([...Array(12).keys()])
        let level = start
        for (const cell of cells) {
          expect(cell.profile[0]!.share * capacity).toBeCloseTo(level, 9)
          level = cell.endL
          const end = wallDaysBetween(
            document.stays[0]!.start,
            addWallDays(dayZero(document.stays[0]!.start), cell.day + 1),
          )
          expect(cell.endL).toBeCloseTo(levelAt(model, counted.ledger, c, end), 6)
          expect(cell.overL > 1e-9).toBe(
            limit !== null && (side === 'supply' ? cell.endL < limit - 1e-9 : cell.endL > limit + 1e-9),
          )
        }
      })
      if (counted.at !== null && counted.days! < 12)
        expect(boardX(model, counted.days!)).toBeCloseTo(
          wallDaysBetween(dayZero(document.stays[0]!.start), counted.at),
          2,
        )
    }),
    { numRuns: 60 },
  )
})

it('draws nothing outside its cell', () => {
  expect(
    areaPath(
      [
        { x: 0.5, share: 0.25 },
        { x: 1, share: 1.4 },
      ],
      100,
      80,
    ),
  ).toBe('M50 80L50 60L100 0L100 80Z')
})

/** Gray of 100 L, 24 L a day, emptied at midday of day 2. */
function emptied() {
  const document = example({
    fresh: [500, 0, 500],
    gray: [100, 1, 0],
    black: [50, 1, 0],
    uses: [use('sink', { rate: 24, volume: 1 })],
  })
  document.stays[0]!.runs = [runOf('dump', 2, 'midday', [runStep('empty', 'gray', null)])]
  const model = compile(caseOf(document, 'stay'))
  return { model, counted: count(model) }
}

it('by hand: a run stands upright at the start of its part', () => {
  const { model, counted } = emptied()
  const [, , day] = boardCells(model, counted, 1, 4)
  expect(day!.profile.map(({ x, share }) => [x, Math.round(share * 1000) / 1000])).toEqual([
    [0, 0.48], [0.25, 0.54], [0.25, 0], [0.5, 0.06], [0.75, 0.12], [1, 0.18],
  ]) // prettier-ignore
  expect(day!.endL).toBeCloseTo(18, 9)
})

it('by hand: days lived are drawn from how the levels went, and what was read on them where it was', () => {
  const { model, counted } = emptied()
  const container = model.containers[1]!
  // Now is noon of day 1: the count goes on from there, the day before was lived.
  const cells = boardCells(model, counted, 1, 4).slice(1)
  const track = { at: [0, 0.5, 1, 1.25], levels: [0, 10, 22, 30] }
  const marks = [{ at: 0.5, from: 0, to: 0.33, fits: true }]
  const days = withLived(cells, track, container, 0, marks)
  expect(days.map(({ day }) => day)).toEqual([0, 1, 2, 3])
  expect(days[0]).toMatchObject({
    part: null,
    endL: 22,
    overL: 0,
    marks: [{ x: 0.5, from: 0, to: 0.33, fits: true }],
  })
  expect(days[0]!.lived.map(({ x, share }) => [x, share])).toEqual([
    [0, 0],
    [0.5, 0.1],
    [1, 0.22],
  ])
  // The day that goes on has both: lived up to now, expected from there.
  expect(days[1]!.lived).toEqual([
    { x: 0, share: 0.22 },
    { x: 0.25, share: 0.3 },
  ])
  expect(days[1]!.part).not.toBeNull()
  expect(days[2]!.lived).toEqual([])
  // A level past its limit is said to be.
  const over = withLived([], { at: [0, 1], levels: [90, 112] }, container, 0, [])
  expect(over[0]!.overL).toBeCloseTo(12, 9)
})
