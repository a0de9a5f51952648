import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { checked, writeDocument } from '@/document'
import { compile } from '../compile'
import { caseOf, fillOf, type Document } from '../domain'
import { count, flowsOf, type Count } from './index'
import { daysBought } from '../habits'
import { fromSi, toSi, type Quantity } from '../quantities'
import { newHabit } from '@/document/edits'
import { documentArb, reuseArb } from '../../../tests/support/generate'
import { switchHabitIn } from '../../../tests/support/inDocument'
import { often } from '../../../tests/support/thorough'

const RUNS = { numRuns: often(60, 150) }
const counted = (document: Document): Count => count(compile(caseOf(document, 'stay')))
const orHorizon = (document: Document, { days }: Count) => days ?? document.stays[0]!.horizonDays.value

/** A copy with one change. */
function changed(document: Document, change: (copy: Document) => void): Document {
  const copy = structuredClone(document)
  change(copy)
  return copy
}
const set = (quantity: Quantity, value: number) => {
  quantity.value = value
}

describe('laws of the count, over generated rigs (model.md section 10)', () => {
  it('generates valid documents', () => {
    fc.assert(
      fc.property(documentArb, (document) => {
        expect(checked(document)).toEqual({ ok: true, value: document })
      }),
      RUNS,
    )
  })

  it('conserves: initial + brought in + from body = final + consumed + carried out + ground + kept, over every span', () => {
    fc.assert(
      fc.property(
        fc.oneof(documentArb, reuseArb),
        fc.double({ min: 0.01, max: 1, noNaN: true }),
        (document, spanShare) => {
          const model = compile(caseOf(document, 'stay'))
          const { ledger } = count(model)
          const parts = Math.max(1, Math.floor(model.grid.count * spanShare))
          const balance = { L: 0, uses: 0 }
          model.containers.forEach(({ start, unit }, c) => {
            balance[unit] += start - ledger.levels[c * model.grid.count + parts - 1]!
          })
          const ids = new Set(model.containers.map(({ id }) => id))
          let kept = 0
          for (const { part, from, to, amount, unit } of flowsOf(model, ledger)) {
            expect(amount).toBeGreaterThan(0)
            if (part >= parts) continue
            if (!ids.has(from)) balance[unit] += amount
            if (!ids.has(to)) balance[unit] -= amount
            kept += to === 'kept' ? amount : from === 'kept' ? -amount : 0
          }
          expect(Math.abs(balance.L)).toBeLessThan(1e-9)
          expect(Math.abs(balance.uses)).toBeLessThan(1e-9)
          const holds = model.vessels.reduce((sum, { capacity }) => sum + capacity, 0)
          expect(kept).toBeGreaterThan(-1e-9)
          expect(kept).toBeLessThan(holds + 1e-9)
        },
      ),
      RUNS,
    )
  })

  it('reuse: a vessel is empty after every morning, and never makes more of anything drain or be drawn', () => {
    fc.assert(
      fc.property(reuseArb, (document) => {
        const model = compile(caseOf(document, 'stay'))
        const { ledger } = count(model)
        const plain = compile(caseOf(switchHabitIn(document, 'stay', 'z-vessel', false), 'stay'))
        let kept = 0
        const byPart = new Map<number, number>()
        for (const { part, from, to, amount } of flowsOf(model, ledger))
          byPart.set(part, (byPart.get(part) ?? 0) + (to === 'kept' ? amount : from === 'kept' ? -amount : 0))
        for (let i = 0; i < model.grid.count; i++) {
          kept += byPart.get(i) ?? 0
          if (model.grid.part[i] === 0) expect(Math.abs(kept)).toBeLessThan(1e-9)
        }
        const drawn = (m: typeof model, l: typeof ledger) =>
          flowsOf(m, l).reduce(
            (sum, { from, amount }) => sum + (from.startsWith('f') || from === 'brought-in' ? amount : 0),
            0,
          )
        expect(drawn(model, ledger)).toBeLessThanOrEqual(drawn(plain, count(plain).ledger) + 1e-6)
      }),
      RUNS,
    )
  })

  it('more capacity never shortens the count', () => {
    fc.assert(
      fc.property(
        documentArb,
        fc.nat(),
        fc.double({ min: 1, max: 3, noNaN: true }),
        (document, which, factor) => {
          const larger = changed(document, ({ rigs, stays }) => {
            const container = rigs[0]!.containers[which % rigs[0]!.containers.length]!
            const extra = container.capacity.value * (factor - 1)
            set(container.capacity, container.capacity.value + extra)
            if (fillOf(container.kind) === 'supply') {
              const { level } = stays[0]!.levels.find((entry) => entry.container === container.id)!
              set(level, level.value + extra)
            }
          })
          expect(orHorizon(larger, counted(larger))).toBeGreaterThanOrEqual(
            orHorizon(document, counted(document)) - 1e-9,
          )
        },
      ),
      RUNS,
    )
  })

  it('more of an activity never lengthens it', () => {
    fc.assert(
      fc.property(
        documentArb,
        fc.nat(),
        fc.double({ min: 1, max: 5, noNaN: true }),
        (document, which, factor) => {
          const busier = changed(document, ({ crews }) => {
            const activity = crews[0]!.activities[which % crews[0]!.activities.length]!
            set(activity.rate, activity.rate.value * factor)
            for (const person of crews[0]!.persons)
              for (const own of person.rates)
                if (own.activity === activity.id) set(own.rate, own.rate.value * factor)
          })
          expect(orHorizon(busier, counted(busier))).toBeLessThanOrEqual(
            orHorizon(document, counted(document)) + 1e-9,
          )
        },
      ),
      RUNS,
    )
  })

  it('a habit without effect buys exactly 0', () => {
    fc.assert(
      fc.property(documentArb, (document) => {
        const idle = changed(document, ({ habits }) => {
          habits.push(newHabit('idle', 'Idle'))
        })
        expect(daysBought(caseOf(idle, 'stay')).find(({ habit }) => habit === 'idle')!.days).toBe(0)
      }),
      RUNS,
    )
  })

  it('days bought is the count with it minus without it, and a rival gives way', () => {
    fc.assert(
      fc.property(documentArb, (document) => {
        for (const { habit, days } of daysBought(caseOf(document, 'stay'))) {
          const on = switchHabitIn(document, 'stay', habit, true, rangeOf(document, habit))
          const off = switchHabitIn(document, 'stay', habit, false)
          expect(days).toBe(orHorizon(on, counted(on)) - orHorizon(off, counted(off)))
          expect(
            on.stays[0]!.habits.filter(({ habit: id }) => id === 'habit-0' || id === 'habit-1').length,
          ).toBeLessThan(2)
          expect(checked(on).ok).toBe(true)
        }
      }),
      RUNS,
    )
  })

  it('n equal days flow n times: every whole day without absence or dated habit has the same flows', () => {
    fc.assert(
      fc.property(documentArb, fc.integer({ min: 2, max: 20 }), (document, n) => {
        const even = changed(document, ({ stays }) => {
          stays[0]!.absences = []
          stays[0]!.guests = []
          stays[0]!.weather.days = []
          stays[0]!.start = '2027-03-26T05:00'
          stays[0]!.habits = stays[0]!.habits.map(({ habit }) => ({ habit, days: null, persons: null }))
        })
        const model = compile(caseOf(even, 'stay'))
        const { ledger } = count(model)
        model.containers.forEach(({ start }, c) => {
          const after = (days: number) => ledger.levels[c * model.grid.count + days * 4 - 1]! - start
          expect(after(n)).toBeCloseTo(n * after(1), 8)
        })
      }),
      RUNS,
    )
  })

  it('export then import is the same document and the same result', () => {
    fc.assert(
      fc.property(documentArb, (document) => {
        const { log, ...kept } = JSON.parse(writeDocument(document)) as object & { log: unknown }
        expect(log).toEqual([])
        const again = checked(kept)
        expect(again).toEqual({ ok: true, value: document })
        if (again.ok) expect(counted(again.value)).toEqual(counted(document))
      }),
      RUNS,
    )
  })

  it('units change nothing: through gallons and back moves the count by less than 1e-9 d', () => {
    fc.assert(
      fc.property(documentArb, fc.constantFrom('gal-us' as const, 'gal-imp' as const), (document, unit) => {
        const converted = changed(document, ({ rigs }) => {
          for (const { capacity } of rigs[0]!.containers)
            set(capacity, toSi(fromSi(capacity.value, unit), unit))
        })
        expect(orHorizon(converted, counted(converted))).toBeCloseTo(
          orHorizon(document, counted(document)),
          9,
        )
      }),
      RUNS,
    )
  })

  it('agrees with a second way of computing: small steps of a hundredth of a part', () => {
    fc.assert(
      fc.property(documentArb, (document) => {
        const model = compile(caseOf(document, 'stay'))
        const exact = count(model)
        const stepped = steppedCount(model)
        const step = 0.25 / 100
        if (exact.days === null || stepped === null)
          expect(Math.abs((exact.days ?? 30) - (stepped ?? 30))).toBeLessThanOrEqual(step * 2)
        else expect(Math.abs(exact.days - stepped)).toBeLessThanOrEqual(step * 2)
      }),
      RUNS,
    )
  })
})

/** Walks the stay in hundredths of a part, adding each stream's share, and reports the first step past a limit. */
function steppedCount(model: ReturnType<typeof compile>): number | null {
  const levels = model.containers.map(({ start }) => start)
  const past = () =>
    model.containers.some(({ side, limit }, c) => {
      if (limit === null) return false
      return side === 'supply' ? levels[c]! < limit - 1e-9 : levels[c]! > limit + 1e-9
    })
  if (past()) return 0
  for (let i = 0; i < model.grid.count; i++)
    for (let k = 1; k <= 100; k++) {
      for (const { activity, from, to, ofDraw, fixed, portion } of model.streams) {
        const at = activity * model.grid.count + i
        const amount = (model.uses[at]! * (ofDraw * model.volume[at]! + fixed) * (portion?.[i] ?? 1)) / 100
        if (from >= 0) levels[from]! -= amount
        if (to >= 0) levels[to]! += amount
      }
      const days = model.grid.edges[i]! + ((model.grid.edges[i + 1]! - model.grid.edges[i]!) * k) / 100
      if (days > model.horizonDays) return null
      if (past()) return days
    }
  return null
}

/** The days a habit is on for, if it is. */
function rangeOf(document: Document, habit: string): [number, number] | null {
  return document.stays[0]!.habits.find((on) => on.habit === habit)?.days ?? null
}
