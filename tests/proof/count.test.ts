import fc from 'fast-check'
import { expect, it } from 'vitest'
import { BREACH_TOLERANCE, count, flowsOf, levelAt } from '@/core/count'
import { compile, type Model } from '@/core/compile'
import { caseOf } from '@/core/domain'
import { documentArb } from '../support/generate'

const RUNS = { numRuns: 20_000 }

it('conserves to 1e-9 L over 20,000 generated stays, whole and in parts', () => {
  let worst = 0
  fc.assert(
    fc.property(documentArb, (document) => {
      const model = compile(caseOf(document, 'stay'))
      const { ledger } = count(model)
      const last = model.grid.count - 1
      let outside = 0
      for (const { from, to, amount } of flowsOf(model, ledger))
        outside += (isEnd(model, from) ? amount : 0) - (isEnd(model, to) ? amount : 0)
      const change = model.containers.reduce(
        (sum, { start }, c) => sum + ledger.levels[c * model.grid.count + last]! - start,
        0,
      )
      worst = Math.max(worst, Math.abs(change - outside))
      expect(Math.abs(change - outside)).toBeLessThan(1e-9)
    }),
    RUNS,
  )
  console.log(`largest error of the balance: ${worst.toExponential(1)} L`)
})

it('finds the crossing that bisection of the level finds, over 20,000 generated stays', () => {
  fc.assert(
    fc.property(documentArb, (document) => {
      const model = compile(caseOf(document, 'stay'))
      const counted = count(model)
      model.containers.forEach(({ limit, side }, c) => {
        const found = counted.containers[c] ?? null
        // What is only carried never stops a stay, whatever is in it.
        if (limit === null) {
          expect([side, found]).toEqual(['carrier', null])
          return
        }
        const past = (days: number) =>
          (side === 'supply' ? -1 : 1) * (levelAt(model, counted.ledger, c, days) - limit) > BREACH_TOLERANCE
        const bisected = firstPast(model, past)
        // At the very end of the days that are counted a hair decides whether it is still in them.
        if (found === null && bisected !== null && bisected > model.horizonDays - 1e-6) return
        if (found === null || bisected === null) expect(found).toBe(bisected)
        else expect(Math.abs(found - bisected)).toBeLessThan(1e-6)
      })
    }),
    RUNS,
  )
})

/** Within a part a level moves one way, so the first part that ends past the limit holds the crossing. */
function firstPast({ grid, horizonDays }: Model, past: (days: number) => boolean): number | null {
  if (past(0)) return 0
  for (let i = 0; i < grid.count; i++) {
    let [low, high] = [grid.edges[i]!, grid.edges[i + 1]!]
    if (!past(high)) continue
    for (let step = 0; step < 60; step++) {
      const middle = (low + high) / 2
      if (past(middle)) high = middle
      else low = middle
    }
    return high <= horizonDays + 1e-6 ? high : null
  }
  return null
}

function isEnd(model: Model, id: string): boolean {
  return !model.containers.some((container) => container.id === id)
}
