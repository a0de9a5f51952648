import { caseOf, type Document } from '../domain'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { documentArb, reuseArb } from '../../../tests/support/generate'
import { trailerDemo } from '../../../scripts/demo/trailer'
import { owned } from '../quantities'
import { compile, compileChances, heatStepsAt } from '.'
import { often } from '../../../tests/support/thorough'

const anyStay = fc.oneof(documentArb, reuseArb)

function chancesOf(document: Document, stay = 'stay') {
  const model = compile(caseOf(document, stay), { horizonDays: 15 })
  return { model, chances: compileChances(caseOf(document, stay), model) }
}

describe('the chances of a stay', () => {
  it('have the means of the model: the many and everyone who does it once, in the heat of the day', () => {
    fc.assert(
      fc.property(
        anyStay,
        fc.array(fc.integer({ min: -5, max: 45 }), { minLength: 15, maxLength: 15 }),
        (document, celsius) => {
          const [first, second] = document.crews[0]!.activities
          Object.assign(first!, { kind: 'drinking' })
          if (second) Object.assign(second, { kind: 'shower' })
          document.stays[0]!.weather.days = celsius.map((value, day) => ({ day, warmest: owned(value) }))
          const { model, chances } = chancesOf(document)
          chances.activities.forEach(({ many, once }, a) => {
            for (let i = 0; i < model.grid.count; i++) {
              const steps = heatStepsAt(chances.warmest[model.grid.day[i]!]!, chances.heatAbove)
              const mean = [many, ...once].reduce(
                (sum, { cool, perStep }) => sum + cool[i]! + steps * perStep[i]!,
                0,
              )
              const given = model.uses[a * model.grid.count + i]!
              expect(Math.abs(mean - given)).toBeLessThan(1e-9 * (1 + given))
            }
          })
        },
      ),
      { numRuns: often(30, 60) },
    )
  })

  it('split the crew by their own rates, no matter which habits are on and who is away, so that luck stays with its owner', () => {
    const stay = 'harrow-ridge'
    const plain = trailerDemo()
    const changed = trailerDemo()
    const shower = changed.crews[0]!.activities.findIndex(({ kind }) => kind === 'shower')
    changed.stays[0]!.absences.push({
      person: changed.crews[0]!.persons[0]!.id,
      part: 'evening',
      days: [1, 1],
      weekdays: null,
    })
    changed.stays[0]!.habits = changed.habits.map(({ id }) => ({ habit: id, days: null, persons: null }))
    const shape = (document: Document) =>
      chancesOf(document, stay).chances.activities.map(({ isMany, once, falls, exact }) => ({
        isMany,
        once: once.length,
        falls,
        exact,
      }))
    expect(shape(changed)).toEqual(shape(plain))
    expect(shape(plain)[shower]).toMatchObject({ isMany: false, once: 3 })
    // Once somebody showers more than once a day by their own rate, that one is among the many.
    changed.crews[0]!.persons[2]!.rates = [
      { activity: changed.crews[0]!.activities[shower]!.id, rate: owned(1.4) },
    ]
    expect(shape(changed)[shower]).toMatchObject({ isMany: true, once: 2 })
  })

  it('nothing is used in a part in which it never falls', () => {
    fc.assert(
      fc.property(anyStay, (document) => {
        const { model, chances } = chancesOf(document)
        chances.activities.forEach(({ falls }, a) => {
          for (let i = 0; i < model.grid.count; i++)
            if (!falls[model.grid.part[i]!]) expect(model.uses[a * model.grid.count + i]).toBe(0)
        })
      }),
      { numRuns: often(30, 60) },
    )
  })
})
