import { describe, expect, it } from 'vitest'
import { example, habit, use, type ExampleOptions } from '../../../tests/support/build'
import { trailerDemo } from '../../../scripts/demo/trailer'
import { truckDemo } from '../../../scripts/demo/truck'
import { count } from '../count'
import { areRivals, canApply } from '../habits'
import { owned } from '../quantities'
import { compile } from './compile'
import { caseOf, found, type Effect, type HabitOn } from '../domain'

/** Two people, one shower a day each of 12 L in the morning and two liquid uses of 1 L each at midday, by hand. */
const uses = [
  use('shower', {
    kind: 'shower',
    role: 'shower',
    per: 'person',
    rate: 1,
    volume: 12,
    weights: [1, 0, 0, 0],
  }),
  use('liquid', {
    kind: 'liquid-use',
    role: 'toilet',
    per: 'person',
    rate: 2,
    volume: 1,
    weights: [0, 1, 0, 0],
    adds: [
      ['body', 0.25],
      ['brought-in', 0.05],
    ],
  }),
]
const common: ExampleOptions = {
  fresh: [1000, 0, 1000],
  gray: [1000, 1, 0],
  black: [1000, 1, 0],
  persons: ['ann', 'bo'],
  uses,
}
const on = (id: string, persons: string[] | null = null): HabitOn => ({ habit: id, days: null, persons })

/** Levels at the end of the first day: what was drawn of fresh, what gray and black hold. */
function firstDay(effects: Effect[], persons: string[] | null = null, stay: ExampleOptions['stay'] = {}) {
  const habits = [habit('one', effects)]
  const document = example({ ...common, habits, stay: { habits: [on('one', persons)], ...stay } })
  const model = compile(caseOf(document, 'stay'))
  const { levels } = count(model).ledger
  const at = (container: number) => levels[container * model.grid.count + 3]!
  return { drawn: 1000 - at(0), gray: at(1), black: at(2) }
}
const replace: Effect = { kind: 'replace', activity: 'shower', volume: owned(6), trickle: owned(1.5) }
const shutOff: Effect = { kind: 'trickle', activity: 'shower', factor: owned(0) }

describe('effects by hand', () => {
  it('without any: 24 L of shower, 4 L of flush, 1 L of urine, 0.2 L of paper', () => {
    const { drawn, gray, black } = firstDay([])
    expect([drawn, gray]).toEqual([28, 24])
    expect(black).toBeCloseTo(4 + 1 + 0.2, 9)
  })

  it('a full shut-off ends the trickle of a paused shower, and saves nothing where nothing is paused', () => {
    expect(firstDay([replace]).gray).toBeCloseTo(12, 9)
    expect(firstDay([replace, shutOff]).gray).toBeCloseTo(2 * (6 - 1.5), 9)
    expect(firstDay([shutOff]).gray).toBe(24)
  })

  it('of one of two people it weighs by half of the uses', () => {
    expect(firstDay([replace], ['ann']).gray).toBeCloseTo(12 + 6, 9)
    expect(firstDay([{ kind: 'rate', activity: 'shower', factor: owned(0) }], ['bo']).gray).toBeCloseTo(12, 9)
    // Where the one who takes part is away in the morning nobody does.
    const away = {
      absences: [
        { person: 'ann', part: 'morning' as const, days: [0, 0] as [number, number], weekdays: null },
      ],
    }
    expect(firstDay([replace], ['ann'], away).gray).toBeCloseTo(12, 9)
  })

  it('paper into a bin leaves the tank; water by jug leaves fresh', () => {
    const bin: Effect = { kind: 'adds', activity: 'liquid', from: 'brought-in', factor: owned(0) }
    expect(firstDay([bin]).black).toBeCloseTo(5, 9)
    const jug: Effect = { kind: 'bring', activity: 'liquid', share: owned(0.75) }
    const { drawn, black } = firstDay([jug])
    expect(drawn).toBeCloseTo(24 + 1, 9)
    expect(black).toBeCloseTo(5.2, 9)
  })

  it('liquids into a jug take no flush along: with the flush at 0 only what the body gives moves', () => {
    const apart: Effect[] = [
      { kind: 'volume', activity: 'liquid', factor: owned(0) },
      { kind: 'redirect', activity: 'liquid', share: owned(1), to: 'carried-out' },
    ]
    const { drawn, black } = firstDay(apart)
    expect([drawn, black]).toEqual([24, 0])
  })

  it('a guest counts on their days only, and weekdays are those of the calendar', () => {
    const document = example({ ...common, stay: { guests: [{ person: 'bo', days: [1, 2] }] } })
    const { here, grid } = compile(caseOf(document, 'stay'))
    const bo = [...grid.day.keys()].map((i) => here.groups[here.group[i]!]![1])
    for (let i = 0; i < grid.count; i++) expect(bo[i]).toBe(grid.day[i]! >= 1 && grid.day[i]! <= 2)
    // 3 May 2027 is a Monday: midday away on weekdays only.
    const absences = [
      {
        person: 'ann',
        part: 'midday' as const,
        days: [0, 366] as [number, number],
        weekdays: [1, 2, 3, 4, 5],
      },
    ]
    const working = compile(caseOf(example({ ...common, stay: { absences } }), 'stay'))
    const away = [...Array(14).keys()].filter(
      (day) => !working.here.groups[working.here.group[day * 4 + 1]!]![0],
    )
    expect(away).toEqual([0, 1, 2, 3, 4, 7, 8, 9, 10, 11])
  })
})

describe('what is offered', () => {
  const demo = trailerDemo()
  const [rig, crew] = [demo.rigs[0]!, demo.crews[0]!]
  const applies = (id: string, document = demo) =>
    canApply(found(document.habits, id, 'habit'), document.rigs[0]!, document.crews[0]!)

  it('what can do nothing in a rig is not', () => {
    expect(applies('urine-apart')).toBe(false)
    expect(applies('night-cup')).toBe(true)
    expect(applies('dry-bowl')).toBe(false)
    const truck = truckDemo()
    // A dry toilet has no flush to spare, its paper goes into the bin, and its liquids are in the jug already.
    for (const id of ['spare-liquid-flush', 'no-liquid-flush', 'spray-bottle', 'urine-apart'])
      expect([id, applies(id, truck)]).toEqual([id, false])
    for (const id of ['toilets-away', 'wet-soap-rinse', 'damp-cloth'])
      expect([id, applies(id, truck)]).toEqual([id, true])
    expect(canApply({ effects: [] }, rig, crew)).toBe(true)
  })

  it('how and where are two choices', () => {
    const of = (id: string) => found(demo.habits, id, 'habit')
    expect(areRivals(of('wet-soap-rinse'), of('outdoor-shower'))).toBe(false)
    expect(areRivals(of('wet-soap-rinse'), of('shower-bag'))).toBe(true)
    expect(areRivals(of('outdoor-shower'), of('shower-basin'))).toBe(true)
    expect(areRivals(of('basin-dishes'), of('paper-plates'))).toBe(false)
    expect(areRivals(of('spray-bottle'), of('no-liquid-flush'))).toBe(false)
  })
})
