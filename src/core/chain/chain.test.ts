import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { documentArb, reuseArb } from '../../../tests/support/generate'
import { example, use } from '../../../tests/support/build'
import { trailerDemo } from '../../../scripts/demo/trailer'
import { addWallDays, wallDaysBetween, type WallTime } from '../calendar'
import { count, dryCount } from '../count'
import { compile, compileChances } from '../compile'
import { caseOf, type Document, type Stay } from '../domain'
import { owned } from '../quantities'
import { chainSeed, ownCounts, passedTrips, playTrips, quantileSorted, riskTables, samplerOf } from '../risk'
import { usualRuns } from '../errands'
import { whole } from '../slices'
import { chainOf, chainTo, following, keptChain, leftOver, seasonOf } from './index'

/** The document with its stay cut in two at 11:00 of a day: the second follows the first with nothing between. */
function cutInTwo(document: Document, day: number): Document {
  const whole = { ...document.stays[0]!, absences: [], guests: [] }
  const { start } = whole
  const cut = addWallDays(`${start.slice(0, 10)}T11:00`, day)
  const shift = wallDaysBetween(`${dayOf(start)}T05:00`, `${cut.slice(0, 10)}T05:00`)
  const days = whole.weather.days.map((one) => ({ ...one, day: one.day - shift }))
  const first: Stay = { ...whole, id: 'first', leaveAt: cut }
  const second: Stay = {
    ...whole,
    id: 'second',
    start: cut,
    follows: 'first',
    weather: { ...whole.weather, days: days.filter((one) => one.day >= 0) },
    habits: whole.habits.map((on) => ({
      ...on,
      days: on.days && [Math.max(0, on.days[0] - shift), Math.max(0, on.days[1] - shift)],
    })),
  }
  return { ...document, stays: [whole, first, second] }
}
/** The date of the 05-to-05 day a time belongs to. */
const dayOf = (time: WallTime) => addWallDays(time, -5 / 24).slice(0, 10)

const everyDay = (document: Document): Document => ({
  ...document,
  stays: document.stays.map((stay) => ({
    ...stay,
    habits: stay.habits.map((on) => ({ ...on, days: null })),
  })),
})

describe('a chain of stays (model.md section 1)', () => {
  it('law: the count of two stays with nothing between equals that of one long stay', () => {
    fc.assert(
      fc.property(fc.oneof(documentArb, reuseArb), fc.integer({ min: 1, max: 6 }), (made, day) => {
        const document = cutInTwo(everyDay(made), day)
        const [whole, , second] = document.stays
        const long = count(compile(caseOf(document, whole!.id)))
        const chained = count(compile(keptChain()(document, 'second')))
        const before = wallDaysBetween(whole!.start, second!.start)
        if (long.days === null || long.days <= before) {
          if (long.days !== null) expect(chained.days).toBe(0)
          return
        }
        if (long.days > 40) return
        expect(chained.days! + before).toBeCloseTo(long.days, 6)
        expect(chained.stopper).toBe(long.stopper)
      }),
      { numRuns: 200 },
    )
  })

  it('law: where only own factors, capacities and the start differ, trip i goes on as trip i of the long stay', () => {
    const document = cutInTwo(trailerDemo(), 3)
    for (const crew of document.crews)
      for (const activity of crew.activities) Object.assign(activity, { spread: owned(0), dispersion: 0 })
    for (const stay of document.stays) stay.weather.spread = owned(0)
    const tables = riskTables()
    const options = { seed: 5, trials: 600, tables }
    const trips = (id: string) => {
      const plain = keptChain()(document, id)
      const stayCase = passedTrips(plain, options)
      const model = compile(stayCase)
      const sampler = samplerOf(model, compileChances(stayCase, model), { tables })
      return playTrips(sampler, sampler.luck(chainSeed(stayCase, 5), 0, 600))
    }
    const [long, chained] = [trips('harrow-ridge'), trips('second')]
    const before = wallDaysBetween(document.stays[0]!.start, document.stays[2]!.start)
    let compared = 0
    long.days.forEach((days, i) => {
      if (days <= before || days > 30) return
      compared += 1
      expect(chained.days[i]! + before).toBeCloseTo(days, 6)
      expect(chained.stopper[i]).toBe(long.stopper[i])
    })
    expect(compared).toBeGreaterThan(300)
    // The luck of the days is not that of the stay before.
    const stayCase = keptChain()(document, 'second')
    expect(chainSeed(stayCase, 5)).toBe(6)
  })

  it('keeps what it knows: an edit of the last stay counts none before it again, one of the first all after it', () => {
    const document = cutInTwo(trailerDemo(), 3)
    const cases = keptChain()
    const [first, second] = [cases(document, 'first'), cases(document, 'second')]
    const renamed = {
      ...document,
      stays: document.stays.map((stay) => (stay.id === 'second' ? { ...stay, name: 'Other' } : stay)),
    }
    const again = cases(renamed, 'second')
    expect(again).not.toBe(second)
    expect(again.passed!.from.before).toBe(first)
    expect(cases(document, 'first')).toBe(first)
    const fuller = {
      ...document,
      stays: document.stays.map((stay) =>
        stay.id === 'first'
          ? {
              ...stay,
              levels: stay.levels.map((one) =>
                one.container === 'gray' ? { ...one, level: owned(40) } : one,
              ),
            }
          : stay,
      ),
    }
    const gray = (id: string, of: Document) =>
      compile(cases(of, id)).containers.find((one) => one.id === 'gray')!.start
    const was = gray('second', document)
    expect(gray('second', fuller) - was).toBeCloseTo(37, 9)
  })

  it('by hand, over a road day (worked example 30)', () => {
    // 24 L a day from 100 L of fresh, all of it to gray of 60 L with 54 of them safe: left on day 2 at 11:00 after 1.75 days.
    const document = example({
      fresh: [100, 0, 100],
      gray: [60, 0.9, 0],
      black: [60, 0.9, 0],
      uses: [use('dishes', { rate: 4, volume: 6 })],
      stay: { start: '2027-05-01T17:00', leaveAt: '2027-05-03T11:00' },
    })
    const first = document.stays[0]!
    const step = { do: 'empty' as const, from: 'gray', to: null, amount: { as: 'all' as const }, loads: 1 }
    const free = { minutes: owned(30), kilometres: owned(0), fee: owned(0), bother: owned(0) }
    first.runs = [
      {
        id: 'road',
        name: 'Last dump',
        kind: 'on-the-road',
        day: 2,
        part: 'midday',
        place: null,
        steps: [step],
        ...free,
      },
    ]
    const second: Stay = {
      ...first,
      id: 'next',
      name: 'Next',
      start: '2027-05-04T17:00',
      leaveAt: '2027-05-08T11:00',
      follows: first.id,
      runs: [],
      endsAt: owned(0),
    }
    document.stays.push(second)
    const cases = keptChain()
    const stayCase = cases(document, 'next')
    const model = compile(stayCase)
    const at = (id: string) => model.containers.find((one) => one.id === id)!.start
    // 7 parts of 6 L: 42 L are gone from fresh; gray was let go on the road.
    expect(at('fresh')).toBeCloseTo(58, 9)
    expect(at('gray')).toBeCloseTo(0, 9)
    const result = count(model)
    // Gray's 54 L last 9 parts of 6 h: 2.25 days; fresh would last 58 ÷ 24.
    expect(result).toMatchObject({ stopper: 'gray', at: '2027-05-06T23:00' })
    expect(result.days).toBeCloseTo(2.25, 9)
    // At 11:00 of 8 May, after 3.75 days, 90 L stand in gray, and nothing was to be left.
    const left = leftOver(stayCase, model, result.ledger).find(({ container }) => container === 'gray')!
    expect(left).toMatchObject({ isTooMuch: true })
    expect(left.level).toBeCloseTo(90, 9)
    const chain = chainOf(document.stays, 'next').map(({ id }) => id)
    expect(chain).toEqual([first.id, 'next'])
    expect(chainTo(document.stays, first.id).map(({ id }) => id)).toEqual([first.id])
    const walk = seasonOf(chain.map((id) => cases(document, id)))
    let season = walk.next()
    while (!season.done) season = walk.next()
    expect(season.value.map(({ nights, lasts, dumps, gap }) => [nights, lasts, dumps.length, gap])).toEqual([
      [2, true, 1, 1.25],
      [4, false, 0, null],
    ])
    // Nothing between: what follows at once takes over the evening.
    expect(
      following(caseOf(document, 'next'), cases(document, first.id), '2027-05-02T17:00').passed!.levels[0]!
        .level,
    ).toBeCloseTo(76, 9)
  })

  it('what is done on the road to it is a part of how it starts, in the count, its dry count and its trips', () => {
    // Left with nothing in fresh, and gray past its limit; on the way fresh is filled and gray let go.
    const document = cutInTwo(trailerDemo(), 11)
    const second = document.stays[2]!
    const fill = { do: 'fill' as const, from: null, to: 'fresh', amount: { as: 'all' as const }, loads: 1 }
    const empty = (from: string) => ({
      do: 'empty' as const,
      from,
      to: null,
      amount: { as: 'all' as const },
      loads: 1,
    })
    const free = { minutes: owned(30), kilometres: owned(0), fee: owned(0), bother: owned(0), place: null }
    const run = {
      id: 'road',
      name: 'Arrive',
      kind: 'on-the-road' as const,
      day: 0,
      part: 'midday' as const,
      ...free,
    }
    const cases = keptChain()
    const bare = cases(document, 'second')
    expect(count(compile(bare)).days).toBe(0)
    second.runs = [{ ...run, steps: [empty('gray'), empty('black'), fill] }]
    const stayCase = cases(
      { ...document, stays: [document.stays[0]!, document.stays[1]!, { ...second }] },
      'second',
    )
    const model = compile(stayCase)
    const [held, dry] = [count(model), dryCount(model)]
    expect(held.days).toBeGreaterThan(3)
    expect(dry.days).toBe(held.days)
    const options = { seed: 5, trials: 400, tables: riskTables() }
    const known = passedTrips(stayCase, options)
    const sampler = samplerOf(model, compileChances(known, model), { tables: options.tables })
    const trips = playTrips(sampler, sampler.luck(6, 0, 400))
    expect([...trips.days].filter((days) => days === 0)).toEqual([])
    const own = whole(ownCounts(known, { ...options, seed: 6, q: 0.1, horizonDays: 20, withRuns: false }))
    for (const { days } of own.containers) expect(days).toBeGreaterThan(2)
    // Any other run of that part changes nothing of a start that is past its limit.
    const later = {
      ...second,
      runs: [{ ...run, kind: 'move' as const, part: 'evening' as const, steps: [empty('gray'), fill] }],
    }
    expect(
      count(compile(cases({ ...document, stays: [document.stays[0]!, document.stays[1]!, later] }, 'second')))
        .days,
    ).toBe(0)
  })

  it('a weekender’s month is four short stays with home between: each starts empty and full, and as sure as the first', () => {
    const document = trailerDemo()
    const first = document.stays[0]!
    Object.assign(first, { start: '2027-10-01T17:00', leaveAt: '2027-10-03T11:00', absences: [], runs: [] })
    first.weather.days = []
    const home = usualRuns(caseOf(document, first.id)).find(({ usual }) => usual === 'go-home')!
    const { kind, steps, minutes, kilometres, fee, bother } = home
    const ids = ['a', 'b', 'c', 'd']
    document.stays = ids.map((id, i) => ({
      ...first,
      id,
      start: addWallDays(first.start, 7 * i),
      leaveAt: addWallDays(first.leaveAt, 7 * i),
      follows: ids[i - 1] ?? null,
      endsAt: owned(0),
      runs: [
        {
          id: `home-${id}`,
          name: 'Home',
          kind,
          steps,
          minutes,
          kilometres,
          fee,
          bother,
          day: 2,
          part: 'midday' as const,
          place: 'fenmoor',
        },
      ],
    }))
    const cases = keptChain()
    const walk = seasonOf(chainOf(document.stays, 'b').map(({ id }) => cases(document, id)))
    let step = walk.next()
    while (!step.done) step = walk.next()
    const season = step.value
    expect(season.map(({ stay, nights, lasts, gap }) => [stay.id, nights, lasts, gap])).toEqual([
      ['a', 2, true, 5.25],
      ['b', 2, true, 5.25],
      ['c', 2, true, 5.25],
      ['d', 2, true, null],
    ])
    // What the crew charges black with after a dump is left; nothing else.
    for (const { left, dumps } of season) {
      expect(dumps).toHaveLength(1)
      expect(left.map(({ container, level }) => [container, Math.round(level)])).toEqual([
        ['gray', 0],
        ['black', 6],
      ])
    }
    const starts = ['b', 'c', 'd'].map((id) =>
      compile(cases(document, id)).containers.map(({ start }) => start),
    )
    // 325 kg of water and waste are what the rig may carry, and black was charged with 6 L.
    expect(starts[0]![0]).toBeCloseTo(325 / 0.998 - 6, 6)
    for (const levels of starts) levels.forEach((level, c) => expect(level).toBeCloseTo(starts[0]![c]!, 6))
    const options = { seed: 5, trials: 300, tables: riskTables() }
    const planOn = (id: string) => {
      const stayCase = passedTrips(cases(document, id), options)
      const model = compile(stayCase)
      const sampler = samplerOf(model, compileChances(stayCase, model), { tables: options.tables })
      return quantileSorted(playTrips(sampler, sampler.luck(chainSeed(stayCase, 5), 0, 300)).days.sort(), 0.1)
    }
    expect(Math.abs(planOn('d') - planOn('b'))).toBeLessThan(0.5)
  })
})
