import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { count } from '../count'
import { blockedBy } from '../habits'
import { compile } from '../compile'
import { caseOf, type Document } from '../domain'
import { addWallDays, dayZero } from '../calendar'
import { owned, type Quantity } from '../quantities'
import { documentArb, reuseArb } from '../../../tests/support/generate'
import { runOf, runStep, withRunsArb } from '../../../tests/support/generateRuns'
import { trailerDemo } from '../../../scripts/demo/trailer'
import { truckDemo } from '../../../scripts/demo/truck'
import { vanDemo } from '../../../scripts/demo/van'
import { dailyInputsOf, dailyUse, explainAt, explainCount, explainLevel, inputsOf } from './index'
import { switchHabitIn } from '../../../tests/support/inDocument'
import { isThorough, often } from '../../../tests/support/thorough'

const anyStay = fc.oneof(documentArb, reuseArb)

/** Every number with an origin in a document, and where it stands. */
function quantitiesOf(value: unknown, path = ''): [string, Quantity][] {
  if (typeof value !== 'object' || value === null) return []
  if ('by' in value && 'value' in value && typeof value.value === 'number') return [[path, value as Quantity]]
  return Object.entries(value).flatMap(([key, inner]) => quantitiesOf(inner, `${path}/${key}`))
}

/** L of each activity in each part, by where it comes from and goes to: what the terms of any sum are made of. */
function flowsOf(document: Document, stay: string): Map<string, number[]> {
  const model = compile(caseOf(document, stay), { horizonDays: 9 })
  const { amounts } = count(model).ledger
  const { count: parts } = model.grid
  const flows = new Map<string, number[]>()
  model.streams.forEach(({ activity }, s) => {
    const { id } = model.activities[activity]!
    flows.set(id, [...(flows.get(id) ?? []), ...amounts.subarray(s * parts, (s + 1) * parts)])
  })
  return flows
}

const differs = (one: number[] = [], other: number[] = []) =>
  one.length !== other.length || one.some((amount, k) => Math.abs(amount - other[k]!) > 1e-9)

describe('the sums behind the numbers', () => {
  it('every level is its start and the terms, in every part and between; uses × litres a use is the term', () => {
    fc.assert(
      fc.property(
        fc.oneof(anyStay, withRunsArb),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (document, at) => {
          const model = compile(caseOf(document, 'stay'), { horizonDays: 20 })
          const { ledger } = count(model)
          const { edges, count: parts } = model.grid
          model.containers.forEach(({ start }, c) => {
            const last = Math.floor(at * (parts - 1))
            const whole = explainLevel(model, ledger, c, last)
            expect(whole.level).toBe(ledger.levels[c * parts + last]!)
            const between = explainAt(model, ledger, c, at * edges[parts]!)
            for (const { terms, runs, level } of [whole, between]) {
              const sum = [...terms, ...runs].reduce((total, { amount }) => total + amount, start)
              expect(Math.abs(sum - level)).toBeLessThan(1e-9 * (1 + Math.abs(start) + Math.abs(level)))
              for (const { uses, perUse, amount } of terms)
                if (uses > 0) expect(uses * perUse).toBeCloseTo(Math.abs(amount), 6)
            }
          })
        },
      ),
      { numRuns: often(30, 60) },
    )
  })

  it('a transfer between tanks that stand open to each other moves nothing, and is no term of any sum', () => {
    const document = trailerDemo()
    Object.assign(document.rigs[0]!.outlets[0]!, { joined: ['gray', 'black'] })
    document.stays[0]!.runs = [runOf('over', 2, 'midday', [runStep('transfer', 'black', 'gray')])]
    const model = compile(caseOf(document, 'harrow-ridge'))
    const { ledger } = count(model)
    expect(ledger.runs).toEqual([])
    const sum = explainLevel(model, ledger, 1, 20)
    expect(sum.runs).toEqual([])
    expect(sum.terms.reduce((total, { amount }) => total + amount, sum.start)).toBeCloseTo(sum.level, 9)
  })

  it('the sum of a count ends on the limit, at the hour of the count', () => {
    fc.assert(
      fc.property(fc.oneof(anyStay, withRunsArb), (document) => {
        const model = compile(caseOf(document, 'stay'))
        const counted = count(model)
        model.containers.forEach(({ limit }, c) => {
          const breach = counted.breaches[c] ?? null
          const sum = explainCount(model, counted, c)
          if (!breach) expect(sum).toBeNull()
          else if (breach.days > 0) {
            expect(sum!.days).toBeCloseTo(breach.days, 9)
            // What a run leaves past a limit is past it, not on it.
            const isByRun =
              counted.ledger.afterRuns.has(breach.part) && breach.days === model.grid.edges[breach.part]
            if (!isByRun) expect(Math.abs(sum!.level - limit!)).toBeLessThan(1e-6)
          }
        })
      }),
      { numRuns: often(30, 60) },
    )
  })

  it('every number of a document that moves an activity’s flows is named for it, whichever habit is on', () => {
    const demos = [trailerDemo(), vanDemo(), truckDemo()]
    for (const plain of demos) {
      const stay = plain.stays[0]!.id
      plain.stays[0]!.weather.days = [
        { day: 1, warmest: owned(34) },
        { day: 2, warmest: owned(12) },
      ]
      // What a vessel holds hangs on other activities too: their terms name their own.
      const free = plain.habits.filter(
        (habit) => habit.vessel === null && blockedBy(habit, plain.rigs[0]!, plain.stays[0]!) === null,
      )
      expect(free.length).toBeGreaterThan(5)
      const some = free.filter((_, k) => isThorough || k % 3 === 0)
      const documents = [plain, ...some.map(({ id }) => switchHabitIn(plain, stay, id, true))].map(
        (document) => structuredClone(document),
      )
      for (const document of documents) {
        const before = flowsOf(document, stay)
        const named = new Map(
          [...before.keys()].map((id) => [
            id,
            new Set(inputsOf(caseOf(document, stay), id).map(({ quantity }) => quantity)),
          ]),
        )
        for (const [path, quantity] of quantitiesOf(document)) {
          const { value } = quantity
          // A fixture that takes the usual amount of water explains nothing, and is not named.
          if (path.endsWith('waterFactor') && value === 1) continue
          quantity.value = value * 0.93 + 0.004
          const after = flowsOf(document, stay)
          quantity.value = value
          for (const [id, inputs] of named)
            if (differs(before.get(id), after.get(id)))
              expect([path, id, inputs.has(quantity)]).toEqual([path, id, true])
        }
      }
    }
  })

  it('a day’s use stands on nothing but the inputs named for it', () => {
    fc.assert(
      fc.property(documentArb, (document) => {
        const crew = document.crews[0]!
        for (const activity of crew.activities) {
          const named = new Set(dailyInputsOf(crew, activity).map(({ quantity }) => quantity))
          const { litres } = dailyUse(crew, activity)
          for (const [, quantity] of quantitiesOf(document)) {
            const { value } = quantity
            quantity.value = value * 1.1 + 1
            const hasMoved = Math.abs(dailyUse(crew, activity).litres - litres) > 1e-12
            quantity.value = value
            if (hasMoved) expect(named.has(quantity)).toBe(true)
          }
        }
      }),
      { numRuns: often(6, 60) },
    )
  })

  it('heat is named where it counts: the hot days, the threshold and what it adds', () => {
    const document = trailerDemo()
    const stay = document.stays[0]!
    const kinds = (activity: string) =>
      inputsOf(caseOf(document, stay.id), activity).map(({ kind, of }) =>
        of && kind === 'warmest' ? `${kind} ${of.slice(0, 10)}` : kind,
      )
    stay.weather = { ...stay.weather, usual: owned(20), days: [] }
    expect(kinds('drinking').filter((kind) => /heat|warmest/.test(kind))).toEqual([])
    stay.weather.days = [
      { day: 3, warmest: owned(33) },
      { day: 1, warmest: owned(31) },
      { day: 2, warmest: owned(15) },
    ]
    const second = addWallDays(dayZero(stay.start), 1).slice(0, 10)
    const fourth = addWallDays(dayZero(stay.start), 3).slice(0, 10)
    expect(kinds('drinking').slice(-4)).toEqual([
      `warmest ${second}`,
      `warmest ${fourth}`,
      'heat-above',
      'heat-drinking',
    ])
    expect(kinds('shower').slice(-2)).toEqual(['heat-above', 'heat-showers'])
    expect(kinds('dishes').filter((kind) => /heat|warmest/.test(kind))).toEqual([])
    stay.weather.usual = owned(29)
    expect(kinds('shower')).toContain('warmest-usual')
  })
})
