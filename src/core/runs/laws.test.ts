import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { checked, writeDocument } from '@/document'
import { addWallDays } from '../calendar'
import { count, dryCount, levelBefore, stateAt } from '../count'
import { flushRatios } from '../habits'
import { compile } from '../compile'
import { caseOf, type Document } from '../domain'
import { owned } from '../quantities'
import { BATCH, playTrips, tripLuck } from '../risk'
import { documentArb, reuseArb } from '../../../tests/support/generate'
import { runOf, runStep, withRunsArb } from '../../../tests/support/generateRuns'
import { playPlainRuns } from '../../../tests/support/plainRuns'
import { samplerFor, withoutSpread } from '../../../tests/support/spreads'
import { often } from '../../../tests/support/thorough'

const RUNS = { numRuns: often(50, 120) }
const counted = (document: Document) => {
  const model = compile(caseOf(document, 'stay'))
  return { model, result: count(model) }
}
const near = (a: number, b: number, size = 1) => Math.abs(a - b) <= 1e-9 * Math.max(1, size)

describe('laws of runs (model.md sections 7 and 10)', () => {
  it('documents with runs of every kind are valid, and come back from a file the same', () => {
    fc.assert(
      fc.property(withRunsArb, (document) => {
        expect(checked(document)).toEqual({ ok: true, value: document })
        const back = JSON.parse(writeDocument(document, [])) as Document
        expect(counted(back).result.days).toBe(counted(document).result.days)
      }),
      RUNS,
    )
  })

  it('no run in the days that are counted: the same bits', () => {
    fc.assert(
      fc.property(fc.oneof(documentArb, reuseArb), (document) => {
        const later = structuredClone(document)
        later.stays[0]!.runs = [runOf('late', 300, 'midday', [runStep('empty', 'black', null)])]
        const [without, withIt] = [counted(document), counted(later)]
        expect(withIt.result.ledger.levels).toEqual(without.result.ledger.levels)
        expect(withIt.result.days).toBe(without.result.days)
        expect(dryCount(withIt.model).days).toBe(without.result.days)
      }),
      RUNS,
    )
  })

  it('conserves: every level is its start, the flows and what runs moved; asked = moved + undone, within its bounds', () => {
    fc.assert(
      fc.property(withRunsArb, (document) => {
        const { model, result } = counted(document)
        const { ledger } = result
        const { count: parts } = model.grid
        const size = Math.max(1, ...ledger.levels.map(Math.abs))
        for (const row of ledger.runs) {
          expect(row.moved).toBeGreaterThanOrEqual(0)
          expect(row.moved).toBeLessThanOrEqual(row.asked)
          expect(row.bound === 'none' || row.bound === 'head').toBe(row.moved === row.asked)
        }
        model.containers.forEach(({ start }, c) => {
          let level = start
          for (let i = 0; i < parts; i++) {
            for (const { part, from, to, moved } of ledger.runs)
              if (part === i) level += (to === c ? moved : 0) - (from === c ? moved : 0)
            expect(near(levelBefore(model, ledger, c, i), level, size)).toBe(true)
            model.streams.forEach(({ from, to }, s) => {
              level += (to === c ? 1 : 0) * ledger.amounts[s * parts + i]!
              level -= (from === c ? 1 : 0) * ledger.amounts[s * parts + i]!
            })
            expect(near(ledger.levels[c * parts + i]!, level, size)).toBe(true)
          }
        })
      }),
      RUNS,
    )
  })

  it('never fills past full, draws below what stays, or loads past the payload, unless it was so before', () => {
    fc.assert(
      fc.property(withRunsArb, (document) => {
        const { model, result } = counted(document)
        const { ledger } = result
        for (const part of ledger.afterRuns.keys()) {
          const kg = (levels: (c: number) => number) =>
            model.containers.reduce((sum, { kgPer }, c) => sum + kgPer * levels(c), 0)
          const before = (c: number) =>
            part === 0 ? model.containers[c]!.start : ledger.levels[c * model.grid.count + part - 1]!
          const after = (c: number) => levelBefore(model, ledger, c, part)
          model.containers.forEach(({ ceiling, side, residue }, c) => {
            expect(after(c)).toBeLessThanOrEqual(Math.max(ceiling, before(c)) + 1e-9)
            const least = side === 'waste' ? residue : 0
            expect(after(c)).toBeGreaterThanOrEqual(Math.min(least, before(c)) - 1e-9)
          })
          if (model.payload !== null)
            expect(kg(after)).toBeLessThanOrEqual(Math.max(model.payload, kg(before)) + 1e-6)
        }
      }),
      RUNS,
    )
  })

  it('agrees with the plainest way of playing runs, straight from the document', () => {
    fc.assert(
      fc.property(withRunsArb, (document) => {
        const { model, result } = counted(document)
        const { ledger } = result
        const size = Math.max(1, ...ledger.levels.map(Math.abs))
        for (const part of ledger.afterRuns.keys()) {
          const tanks = model.containers.map(({ start }, c) => ({
            level: part === 0 ? start : ledger.levels[c * model.grid.count + part - 1]!,
            ratio: 1,
          }))
          playPlainRuns(document, model, part, tanks)
          tanks.forEach(({ level }, c) =>
            expect(Math.abs(levelBefore(model, ledger, c, part) - level)).toBeLessThan(1e-9 * size),
          )
        }
      }),
      RUNS,
    )
  })

  it('everything exact: the trips’ runs are the ledger’s, to the last bit', () => {
    fc.assert(
      fc.property(withRunsArb, (document) => {
        const sampler = samplerFor(withoutSpread(document))
        const { model, ledger } = sampler
        const result = count(model)
        const ends = playTrips(sampler, tripLuck(3, 0, 3), null, {
          part: ({ off }, i) => {
            for (let c = 0; c < model.containers.length; c++) {
              const level = sampler.accounts.base[c * model.grid.count + i]! + off[c * BATCH]!
              expect(level).toBe(ledger.levels[c * model.grid.count + i]!)
            }
          },
        })
        for (let t = 0; t < 3; t++) {
          expect(ends.days[t]).toBe(result.days ?? Infinity)
          expect(model.containers[ends.stopper[t]!]?.id ?? null).toBe(result.stopper)
        }
      }),
      { numRuns: often(40, 80) },
    )
  })

  it('an emptying or a refill never makes an earlier breach, and emptying twice equals once', () => {
    fc.assert(
      fc.property(withRunsArb, fc.nat(20), fc.boolean(), (document, day, empties) => {
        const copy = structuredClone(document)
        copy.rigs[0]!.payload = null
        // Runs that move nothing between tanks: what a level was before decides nothing else.
        const isPlain = (does: string) => does === 'empty' || does === 'fill' || does === 'take'
        for (const run of copy.stays[0]!.runs) run.steps = run.steps.filter((step) => isPlain(step.do))
        copy.stays[0]!.runs = copy.stays[0]!.runs.filter(({ steps }) => steps.length > 0)
        const more = structuredClone(copy)
        const step = empties ? runStep('empty', 'gray-0', null) : runStep('fill', null, 'fresh-0')
        more.stays[0]!.runs.push(runOf('more', day, 'midday', [step]))
        const least = ({ model, result }: ReturnType<typeof counted>) => result.days ?? model.horizonDays
        expect(least(counted(more))).toBeGreaterThanOrEqual(least(counted(copy)) - 1e-9)
        const twice = structuredClone(more)
        twice.stays[0]!.runs.push(runOf('again', day, 'midday', [step]))
        const [once, again] = [counted(more).result.ledger.levels, counted(twice).result.ledger.levels]
        once.forEach((level, k) => expect(near(level, again[k]!, Math.abs(level))).toBe(true))
      }),
      RUNS,
    )
  })

  it('a stay from now is the rest of its ledger, the runs of the part that has begun behind it', () => {
    fc.assert(
      fc.property(withRunsArb, fc.double({ min: 0, max: 0.99, noNaN: true }), (document, where) => {
        const { model, result } = counted(document)
        const { count: parts, edges } = model.grid
        const part = Math.floor(where * Math.min(parts, 80))
        const rest = model.horizonDays - edges[part]!
        const from = stateAt(model, result.ledger, addWallDays(model.start, edges[part]!))
        const now = compile(caseOf(document, 'stay'), { from, horizonDays: rest })
        const later = count(now)
        const size = Math.max(1, ...result.ledger.levels.map(Math.abs))
        model.containers.forEach((_, c) => {
          for (let i = part; i < parts; i++) {
            const is = later.ledger.levels[c * now.grid.count + i - part]!
            expect(Math.abs(is - result.ledger.levels[c * parts + i]!)).toBeLessThan(1e-7 * size)
          }
        })
        const whole = flushRatios(model, result.ledger, parts)
        flushRatios(now, later.ledger, parts).forEach(({ ratios }, k) =>
          ratios.forEach((ratio, i) => {
            const was = whole[k]!.ratios[part + i]!
            if (ratio !== null && was !== null && was < 1e6) expect(ratio).toBeCloseTo(was, 5)
          }),
        )
      }),
      RUNS,
    )
  })

  it('more capacity never shortens what holds, where nothing goes from tank to tank', () => {
    fc.assert(
      fc.property(withRunsArb, fc.nat(8), (document, which) => {
        const copy = structuredClone(document)
        copy.rigs[0]!.payload = null
        copy.stays[0]!.runs.forEach(
          (run) => (run.steps = [runStep('empty', run.day % 2 ? 'black' : 'gray-0', null)]),
        )
        const wider = structuredClone(copy)
        const tanks = wider.rigs[0]!.containers.filter(({ kind }) => kind === 'gray' || kind === 'black')
        const tank = tanks[which % tanks.length]!
        tank.capacity = owned(tank.capacity.value * 1.3)
        const least = ({ model, result }: ReturnType<typeof counted>) => result.days ?? model.horizonDays
        expect(least(counted(wider))).toBeGreaterThanOrEqual(least(counted(copy)) - 1e-9)
      }),
      RUNS,
    )
  })
})
