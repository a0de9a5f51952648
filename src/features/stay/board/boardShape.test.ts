import fc from 'fast-check'
import { expect, it } from 'vitest'
import { addWallDays, dayZero, wallDaysBetween } from '@/core/calendar'
import { count, levelAt } from '@/core/count'
import { caseOf, compile } from '@/core/model'
import { areaPath, boardCells, boardX } from './boardShape'
import { documentArb } from '../../../../tests/support/generate'

it('shows the ledger: every day ends at its level, goes on where the day before ended, and says what is past the limit', () => {
  fc.assert(
    fc.property(documentArb, (document) => {
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
