import fc from 'fast-check'
import { expect, it } from 'vitest'
import { addWallDays } from '@/core/calendar'
import { count, levelAt } from '@/core/count'
import { compile } from '@/core/compile'
import { caseOf } from '@/core/domain'
import { levelSeries } from './levelSeries'
import { documentArb } from '../../../tests/support/generate'

it('draws the ledger: the start, then every part end, in time', () => {
  fc.assert(
    fc.property(documentArb, fc.double({ min: 0.3, max: 20, noNaN: true }), (document, days) => {
      const model = compile(caseOf(document, 'stay'))
      const counted = count(model)
      levelSeries(model, counted, days).forEach(({ times, percent }, c) => {
        const { capacity, start } = model.containers[c]!
        expect(percent[0]).toBeCloseTo((100 * start) / capacity, 9)
        expect([...times].sort()).toEqual(times)
        expect(times.length).toBe(percent.length)
        expect(times.at(-1)! >= addWallDays(model.start, Math.min(days, 30))).toBe(true)
        percent.forEach((value, i) => {
          const at = levelAt(model, counted.ledger, c, model.grid.edges[i]!)
          expect(value).toBeCloseTo((100 * at) / capacity, 6)
        })
      })
    }),
    { numRuns: 40 },
  )
})
