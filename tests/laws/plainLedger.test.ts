import fc from 'fast-check'
import { expect, it } from 'vitest'
import { addWallDays, slotBegins, type WallTime } from '@/core/calendar'
import { keptChain } from '@/core/chain'
import { compile, type Model } from '@/core/compile'
import { amountsBeforeReuse, ledger, stateAt } from '@/core/count'
import { caseOf, type Document, type StayCase } from '@/core/domain'
import { whole } from '@/core/slices'
import { documentArb } from '../support/generate'
import { withRunsArb } from '../support/generateRuns'
import { playPlainRuns } from '../support/plainRuns'
import { often } from '../support/thorough'

/** A stay played part by part on plain numbers: what its day takes first gives room or takes it only after the runs of the part. */
function plainLedger(document: Document, model: Model, start: readonly number[], until = Infinity) {
  const { count, day, part } = model.grid
  const amounts = whole(amountsBeforeReuse(model))
  const tanks = start.map((level) => ({ level, ratio: 1 }))
  const after: { part: number; levels: number[] }[] = []
  const isOver = (i: number) => {
    const { start: begins, leaveAt } = document.stays[0]!
    return (
      slotBegins(begins, {
        day: day[i]!,
        part: (['morning', 'midday', 'evening', 'night'] as const)[part[i]!]!,
      }) > leaveAt
    )
  }
  for (let i = 0; i < count && i < until; i++) {
    const levels = () => tanks.map(({ level }) => level)
    if (!isOver(i))
      playPlainRuns(document, model, i, tanks, (_, moved) => {
        // A run that moves nothing is not done.
        if (moved > 1e-9) after.push({ part: i, levels: levels() })
      })
    model.streams.forEach(({ from, to }, s) => {
      if (from >= 0) tanks[from]!.level -= amounts[s * count + i]!
      if (to >= 0) tanks[to]!.level += amounts[s * count + i]!
    })
  }
  return { after, levels: tanks.map(({ level }) => level) }
}

const RUNS = { numRuns: often(200, 1500) }
const plain = fc.tuple(withRunsArb, documentArb).map(([document]) => {
  // Vessels have a second computation of their own.
  const copy = structuredClone(document)
  copy.stays[0]!.habits = copy.stays[0]!.habits.filter(({ habit }) => habit !== 'z-vessel')
  // Every second run in the part of the one before it.
  copy.stays[0]!.runs.forEach((run, k, all) => {
    if (k % 2 === 1) Object.assign(run, { day: all[k - 1]!.day, part: all[k - 1]!.part })
  })
  return copy
})

function expectSame(played: ReturnType<typeof plainLedger>, model: Model): void {
  const result = ledger(model)
  const size = Math.max(1, ...model.containers.map(({ capacity }) => capacity))
  expect(result.afterEach.map(({ part }) => part)).toEqual(played.after.map(({ part }) => part))
  result.afterEach.forEach(({ levels }, k) =>
    levels.forEach((level, c) =>
      expect(Math.abs(level - played.after[k]!.levels[c]!)).toBeLessThan(1e-9 * size),
    ),
  )
  const last = model.grid.count - 1
  model.containers.forEach((_, c) =>
    expect(Math.abs(result.levels[c * model.grid.count + last]! - played.levels[c]!)).toBeLessThan(
      1e-8 * size,
    ),
  )
}

it('the ledger is the plain one after every run, several in a part and residues among them', () => {
  let several = 0
  fc.assert(
    fc.property(plain, (document) => {
      const model = compile(caseOf(document, 'stay'))
      const played = plainLedger(
        document,
        model,
        model.containers.map(({ start }) => start),
      )
      expectSame(played, model)
      several += played.after.filter(({ part }, k, all) => all[k - 1]?.part === part).length
    }),
    RUNS,
  )
  expect(several).toBeGreaterThan(20)
})

it('and from now on, the runs of the part that has begun behind it', () => {
  fc.assert(
    fc.property(plain, fc.integer({ min: 1, max: 30 }), (document, share) => {
      const stayCase = caseOf(document, 'stay')
      const model = compile(stayCase)
      const part = Math.min(model.grid.count - 1, share)
      const at = atEdge(stayCase, model.grid.edges[part]!)
      const later: StayCase = { ...stayCase, now: stateAt(model, ledger(model), at) }
      const rest = compile(later)
      const without = structuredClone(document)
      // What is planned of the part that has begun has not been done, or is in the levels already.
      const isOf = (i: number) => ({ day: model.grid.day[i]!, part: model.grid.part[i]! })
      const now = isOf(part)
      without.stays[0]!.runs = without.stays[0]!.runs.filter(
        ({ day, part: own }) =>
          day !== now.day || ['morning', 'midday', 'evening', 'night'].indexOf(own) !== now.part,
      )
      const played = plainLedger(
        without,
        rest,
        rest.containers.map(({ start }) => start),
      )
      expectSame(played, rest)
    }),
    RUNS,
  )
})

it('and what a stay leaves, its runs played, is what the next begins with', () => {
  fc.assert(
    fc.property(plain, fc.integer({ min: 2, max: 8 }), (document, day) => {
      const [first] = document.stays
      // Left as a midday begins: a whole part of the plain ledger.
      first!.leaveAt = `${addWallDays(first!.start.slice(0, 10) + 'T00:00', day).slice(0, 10)}T11:00`
      const model = compile(caseOf(document, 'stay'))
      const parts = model.grid.edges.findIndex(
        (edge) => atEdge(caseOf(document, 'stay'), edge) >= first!.leaveAt,
      )
      // A run of the part in which it is left is still done before it.
      first!.runs = first!.runs.filter(
        ({ day: own, part }) => slotBegins(first!.start, { day: own, part }) < first!.leaveAt,
      )
      const again = compile(caseOf(document, 'stay'))
      const played = plainLedger(
        document,
        again,
        again.containers.map(({ start }) => start),
        parts,
      )
      const both = structuredClone(document)
      both.stays.push({
        ...structuredClone(first!),
        id: 'next',
        start: first!.leaveAt,
        leaveAt: addWallDays(first!.leaveAt, 5),
        follows: 'stay',
        runs: [],
        absences: [],
        guests: [],
        weather: { ...first!.weather, days: [] },
      })
      const next = compile(keptChain()(both, 'next'))
      const size = Math.max(1, ...next.containers.map(({ capacity }) => capacity))
      // Past dry it goes on past dry: what was not there is not there later.
      next.containers.forEach(({ start }, c) =>
        expect(Math.abs(start - played.levels[c]!)).toBeLessThan(1e-8 * size),
      )
    }),
    RUNS,
  )
})

function atEdge({ stay }: StayCase, edge: number): WallTime {
  return addWallDays(stay.start, edge)
}
