import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { sensitivity } from '@/core/advice'
import { count } from '@/core/count'
import { inputsOf } from '@/core/explain'
import { daysBought, flushRatios } from '@/core/habits'
import { compile, compileChances } from '@/core/compile'
import { caseOf, type Document } from '@/core/domain'
import { riskOf, riskTables, sampleTrips, samplerOf } from '@/core/risk'
import { checked } from './index'
import { trailerDemo } from '../../scripts/demo/trailer'
import { truckDemo } from '../../scripts/demo/truck'
import { vanDemo } from '../../scripts/demo/van'
import { often } from '../../tests/support/thorough'

const DEMOS = [trailerDemo(), vanDemo(), truckDemo()]

/** Every number with an origin, by its place in a document. */
function numbersOf(value: unknown): { value: number }[] {
  if (typeof value !== 'object' || value === null) return []
  if ('by' in value && 'value' in value && typeof value.value === 'number')
    return [value as { value: number }]
  return Object.values(value).flatMap(numbersOf)
}

/** What a slip of the keyboard, or of a finger, makes of a number: still allowed somewhere, seldom meant. */
const slip = fc.constantFrom<(value: number) => number>(
  () => 0,
  () => 1e-9,
  () => 0.001,
  () => 1,
  () => 20,
  () => 60,
  () => 200,
  () => 1000,
  () => 20_000,
  (value) => value * 10,
  (value) => value * 100,
  (value) => value / 1000,
  (value) => -value,
)

const tables = riskTables()

/** All that the screens ask of the core. */
function everything(document: Document): number[] {
  return document.stays.flatMap((stay) => {
    const model = compile(caseOf(document, stay.id))
    const counted = count(model)
    const sampler = samplerOf(model, compileChances(caseOf(document, stay.id), model), { tables })
    const sample = sampleTrips(sampler, {
      seed: 1,
      from: 0,
      to: 30,
      bandParts: Math.min(40, model.grid.count),
    })
    const risk = riskOf(model, sample, 7)
    expect(risk.planOn.days).toBeLessThanOrEqual(risk.likely.days)
    return [
      counted.days ?? model.horizonDays,
      ...counted.ledger.levels,
      ...daysBought(caseOf(document, stay.id)).flatMap(({ days, pushes }) => [
        days,
        ...pushes.map((push) => push.days),
      ]),
      ...sensitivity(caseOf(document, stay.id)).flatMap(({ low, high, atLow, atHigh }) => [
        low,
        high,
        atLow,
        atHigh,
      ]),
      ...flushRatios(model, counted.ledger, model.grid.count).flatMap(({ least }) =>
        least === null ? [] : [least],
      ),
      ...model.activities.flatMap(({ id }) =>
        inputsOf(caseOf(document, stay.id), id).map(({ quantity }) => quantity.value),
      ),
      risk.planOn.days,
      risk.nights,
      ...risk.fans.flatMap(({ low, middle, high }) => [...low, ...middle, ...high]),
    ]
  })
}

describe('numbers that are allowed but not meant', () => {
  it('whatever the checks let through, every answer is a number', () => {
    let through = 0
    const demo = fc.constantFrom(...DEMOS)
    const slips = fc.array(fc.tuple(fc.nat(), slip), { minLength: 1, maxLength: 6 })
    fc.assert(
      fc.property(demo, slips, fc.boolean(), (plain, changes, allOn) => {
        const document = structuredClone(plain)
        if (allOn)
          for (const stay of document.stays)
            stay.habits = document.habits
              .filter(({ group }) => group === null)
              .map(({ id }) => ({ habit: id, days: null, persons: null }))
        const numbers = numbersOf(document)
        for (const [at, change] of changes) {
          const number = numbers[at % numbers.length]!
          number.value = change(number.value)
        }
        const result = checked(document)
        if (!result.ok) return
        through += 1
        expect(everything(result.value).filter((value) => !Number.isFinite(value))).toEqual([])
      }),
      { numRuns: often(120, 3000) },
    )
    expect(through).toBeGreaterThan(often(4, 150))
  }, 120_000)
})
