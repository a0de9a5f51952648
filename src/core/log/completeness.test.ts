import fc from 'fast-check'
import { expect, it } from 'vitest'
import { trailerDemo } from '../../../scripts/demo/trailer'
import { entry } from '../../../tests/support/entries'
import { addWallDays } from '../calendar'
import { compile, type Model } from '../compile'
import { caseOf } from '../domain'
import { completenessOf, EACH_AT_FIRST } from './index'

const trailer = caseOf(trailerDemo(), 'harrow-ridge')
const model = compile(trailer)
/** What several do several times a day: having done it says nothing of the rest of the day. */
const ACTIVITY = 'hand-wash'
const a = trailer.crew.activities.findIndex(({ id }) => id === ACTIVITY)
const log = (times: readonly number[]) =>
  times.map((time) => entry({ kind: 'use', activity: ACTIVITY, at: addWallDays(model.start, time), n: 1 }))

/** As assumed there, written a second time. */
const [STOPS, RESUMES, LEAST] = [0.1, 0.3, 0.05]

/**
 * The same by a plain filter over very short steps, forwards and backwards: on or off, an entry at each event; and the share of
 * uses that is logged, one by one.
 */
function byShortSteps({ grid, uses }: Model, events: readonly number[], until: number) {
  const inPart = (i: number) => Math.min(until, grid.edges[i + 1]!) - grid.edges[i]!
  const parts = Array.from({ length: grid.count }, (_, i) => i).filter((i) => grid.edges[i]! < until)
  const rates = parts.map((i) => uses[a * grid.count + i]! / (grid.edges[i + 1]! - grid.edges[i]!))
  const mean = parts.reduce((sum, i) => sum + rates[i]! * inPart(i), 0) / until
  const begins = events[0]!
  // Steps that end at each event and at each edge of a part.
  const marks = [...new Set([begins, ...events, ...parts.map((i) => grid.edges[i]!), until])]
    .filter((time) => time >= begins && time <= until)
    .sort((x, y) => x - y)
  const steps = marks.slice(1).flatMap((to, k) => {
    const n = Math.ceil((to - marks[k]!) / 0.002)
    const size = (to - marks[k]!) / n
    return Array.from({ length: n }, (_, j) => {
      const part = parts.findLast((i) => grid.edges[i]! <= marks[k]! + (j + 0.5) * size)!
      const isEvent = j === n - 1 && events.some((time) => Math.abs(time - to) < 1e-9)
      return { size, part, seen: Math.max(rates[part]!, LEAST * mean), isEvent }
    })
  })
  // Each chance with its common factor taken out, so that nothing vanishes.
  let [on, off, logZ] = [
    1,
    0,
    Math.log(Math.max(rates[parts.findLast((i) => grid.edges[i]! < begins)!]!, LEAST * mean)),
  ]
  const forwards = steps.map(({ size, seen, isEvent }) => {
    const stopping = on * (1 - Math.exp(-STOPS * size))
    const held = [
      on * Math.exp(-(seen + STOPS) * size),
      off * Math.exp(-RESUMES * size) + stopping * Math.exp((-seen * size) / 2),
    ]
    ;[on, off] = isEvent ? [held[0]! * seen + held[1]! * RESUMES, 0] : [held[0]!, held[1]!]
    const sum = on + off
    logZ += Math.log(sum)
    ;[on, off] = [on / sum, off / sum]
    return held[1]! / (held[0]! + held[1]!)
  })
  const isOff = off
  let [onwards, offwards] = [1, 1]
  const each = new Float64Array(grid.count)
  for (let k = steps.length - 1; k >= 0; k--) {
    const { size, seen, isEvent, part } = steps[k]!
    if (isEvent) [onwards, offwards] = [onwards * seen, onwards * RESUMES]
    const there = forwards[k]!
    const chance = (there * offwards) / (there * offwards + (1 - there) * onwards)
    each[part]! += chance * rates[part]! * size
    const before =
      onwards * Math.exp(-(seen + STOPS) * size) +
      offwards * (1 - Math.exp(-STOPS * size)) * Math.exp((-seen * size) / 2)
    ;[onwards, offwards] = [before, offwards * Math.exp(-RESUMES * size)]
    const sum = onwards + offwards
    ;[onwards, offwards] = [onwards / sum, offwards / sum]
  }
  const expected = steps.reduce((sum, { seen, size }) => sum + seen * size, 0)
  const later = steps.filter(({ isEvent }) => isEvent)
  const shares = Array.from({ length: 5_000 }, (_, j) => (j + 0.5) / 5_000)
  const weights = shares.map((p) => Math.exp(later.length * Math.log(p) - expected * p))
  const weight = weights.reduce((sum, one) => sum + one, 0)
  const share = shares.reduce((sum, p, j) => sum + p * weights[j]!, 0) / weight
  const first = Math.max(rates[parts.findLast((i) => grid.edges[i]! < begins)!]!, LEAST * mean)
  const logSome = later.reduce((sum, { seen }) => sum + Math.log(seen), 0) + Math.log(weight / shares.length)
  const odds = (EACH_AT_FIRST / (1 - EACH_AT_FIRST)) * Math.exp(logZ - Math.log(first) - logSome)
  const isEach = odds / (1 + odds)
  const unlogged = new Float64Array(grid.count)
  for (const i of parts) {
    const known = Math.max(0, Math.min(until, grid.edges[i + 1]!) - Math.max(begins, grid.edges[i]!))
    unlogged[i] =
      isEach * each[i]! + (1 - isEach) * (1 - share) * rates[i]! * known + rates[i]! * (inPart(i) - known)
  }
  return { unlogged, stopped: isEach * isOff, some: 1 - isEach }
}

it('is what a plain filter over very short steps finds, part by part', () => {
  fc.assert(
    fc.property(
      fc.uniqueArray(fc.integer({ min: 30, max: 3 * 1440 }), { minLength: 1, maxLength: 12 }),
      fc.integer({ min: 3 * 1440 + 30, max: 6 * 1440 }),
      (minutes, until) => {
        const times = minutes.sort((x, y) => x - y).map((minute) => minute / 1440)
        const [found] = [completenessOf(trailer, model, log(times), { until: until / 1440 })[a]!]
        const plain = byShortSteps(model, times, until / 1440)
        expect(found.some).toBeCloseTo(plain.some, 2)
        expect(found.stopped).toBeCloseTo(plain.stopped, 2)
        found.unlogged.forEach((mean, i) => expect(Math.abs(mean - plain.unlogged[i]!)).toBeLessThan(0.02))
      },
    ),
    { numRuns: 60 },
  )
})

it('says nothing of what was never logged, and adds nothing to a log without a gap', () => {
  expect(completenessOf(trailer, model, [], { until: 2 })[a]).toBeNull()
  // As often as is expected of them, spread over the hours it is expected at, up to now.
  const { grid, uses } = model
  const times = Array.from({ length: grid.count }, (_, i) => i)
    .filter((i) => grid.edges[i + 1]! <= 3)
    .flatMap((i) => {
      const n = Math.round(uses[a * grid.count + i]!)
      const [from, to] = [grid.edges[i]!, grid.edges[i + 1]!]
      return Array.from(
        { length: n },
        (_, k) => Math.round((from + ((k + 1) * (to - from)) / n) * 1440) / 1440,
      )
    })
  const whole = completenessOf(trailer, model, log(times), { until: times.at(-1)! })[a]!
  expect(whole.each).toBeGreaterThan(0.9)
  expect(whole.unlogged.reduce((sum, one) => sum + one, 0)).toBeLessThan(1.5)
})
