import { describe, expect, it } from 'vitest'
import { checked } from '@/document'
import { count } from './index'
import { explainCount, inputsOf } from '../explain'
import { daysBought } from '../habits'
import { compile } from '../compile'
import { caseOf, type Document, type Effect } from '../domain'
import { owned } from '../quantities'
import { example, habit as anyHabit, use } from '../../../tests/support/build'

const counted = (document: Document) => {
  expect(checked(document)).toMatchObject({ ok: true })
  return count(compile(caseOf(document, 'stay')))
}

const couple = example({
  fresh: [100, 10, 100],
  gray: [60, 0.9, 1],
  black: [40, 0.9, 0],
  persons: ['ann', 'bo'],
  uses: [
    use('shower', {
      kind: 'shower',
      role: 'shower',
      per: 'person',
      rate: 1,
      volume: 5,
      weights: [0, 0, 1, 0],
    }),
    use('dishes', { rate: 2, volume: 4, weights: [0, 0.5, 0.5, 0] }),
    use('liquid', { role: 'toilet', per: 'person', rate: 5, volume: 0.3, adds: [['body', 0.2]] }),
  ],
})

describe('docs/worked-examples.md', () => {
  it('1: a couple whose gray tank stops them in the evening', () => {
    const { days, stopper, at, containers } = counted(couple)
    expect(stopper).toBe('gray')
    expect(at).toBe('2027-05-05T22:34')
    expect(days).toBeCloseTo(2.732143, 6)
    expect(containers[0]).toBeCloseTo(4.508475, 6)
    expect(containers[2]).toBeCloseTo(7.2, 9)
  })

  it('1: explains the gray count: the terms fill the room exactly, and each names its inputs', () => {
    const model = compile(caseOf(couple, 'stay'))
    const sum = explainCount(model, count(model), 1)!
    expect(sum.start).toBe(1)
    expect(sum.level).toBeCloseTo(54, 9)
    expect(sum.terms.reduce((total, { amount }) => total + amount, sum.start)).toBeCloseTo(54, 9)
    const showers = sum.terms.find(({ activity }) => activity === 'shower')!
    expect(showers).toMatchObject({ from: 'fresh', to: 'gray', perUse: 5 })
    expect(showers.uses).toBeCloseTo(4 + 2 * (13 / 14), 9)
    expect(explainCount(model, count(model), 0)!.level).toBeCloseTo(10, 9)
    const inputs = inputsOf(caseOf(couple, 'stay'), 'shower')
    expect(inputs.map(({ kind, quantity }) => [kind, quantity.value])).toEqual([
      ['rate', 1],
      ['volume', 5],
      ['drain-share', 1],
    ])
  })

  it('2: arriving in the middle of a part, somebody away, a rate of their own', () => {
    const document = example({
      fresh: [60, 0, 60],
      gray: [20, 1, 0],
      black: [30, 1, 0],
      persons: ['ann', 'bo'],
      uses: [
        use('hands', { kind: 'hand-wash', role: 'basin', per: 'person', rate: 4, volume: 0.5 }),
        use('dishes', { rate: 1, volume: 4, weights: [0, 1, 0, 0] }),
      ],
      stay: {
        start: '2027-05-04T14:00',
        absences: [
          { person: 'bo', part: 'midday', days: [1, 1], weekdays: null },
          { person: 'bo', part: 'evening', days: [1, 1], weekdays: null },
          { person: 'bo', part: 'night', days: [1, 1], weekdays: null },
          { person: 'ann', part: 'midday', days: [1, 1], weekdays: null },
        ],
      },
    })
    document.crews[0]!.persons[1]!.rates.push({ activity: 'hands', rate: owned(8) })
    const { days, stopper, at, containers, ledger } = counted(document)
    const gray = [...ledger.levels.subarray(compile(caseOf(document, 'stay')).grid.count)].slice(0, 7)
    expect(gray).toEqual([2.75, 4.25, 5.75, 7.25, 7.25, 7.75, 8.25])
    expect(stopper).toBe('gray')
    expect(days).toBeCloseTo(2.875 + (0.25 / 5.5) * 0.25, 9)
    expect(at).toBe('2027-05-07T11:16')
    expect(containers[0]).toBeCloseTo(6.886364, 6)
    expect(containers[2]).toBeNull()
  })

  it('3: habits: a rate, one replacement, then multipliers', () => {
    const habit = (id: string, effect: Effect) => anyHabit(id, [effect])
    const habits = [
      habit('d-wipes', { kind: 'rate', activity: 'shower', factor: owned(0.5) }),
      habit('c-once', { kind: 'volume', activity: 'shower', factor: owned(0.8) }),
      habit('b-basin', { kind: 'replace', activity: 'shower', volume: owned(4), trickle: null }),
      habit('a-short', { kind: 'replace', activity: 'shower', volume: owned(10), trickle: null }),
    ]
    const on = (...ids: string[]): Document =>
      example({
        fresh: [1000, 0, 1000],
        gray: [100, 0.9, 0],
        black: [50, 0.9, 0],
        uses: [use('shower', { role: 'shower', per: 'person', rate: 2, volume: 15 })],
        habits,
        stay: {
          habits: ids.map((id) => ({ habit: id, days: id === 'd-wipes' ? [1, 2] : null, persons: null })),
        },
      })
    expect(counted(on()).days).toBeCloseTo(3, 9)
    expect(counted(on('c-once', 'b-basin', 'a-short')).days).toBeCloseTo(5.625, 9)
    const all = on('d-wipes', 'c-once', 'b-basin', 'a-short')
    expect(counted(all).days).toBeCloseTo(6.625, 9)
    const bought = new Map(daysBought(caseOf(all, 'stay')).map(({ habit: id, days }) => [id, days]))
    expect(bought.get('d-wipes')).toBeCloseTo(1, 9)
    expect(bought.get('c-once')).toBeCloseTo(1.125, 9)
    expect(bought.get('b-basin')).toBe(0)
  })
})

describe('the edges of a breach (model.md section 3)', () => {
  const even = (rate: number, volume: number) => [use('tap', { rate, volume })]
  const tanks = { fresh: [1000, 0, 1000], gray: [50, 1, 0], black: [50, 1, 0] } as const

  it('exactly at the limit is no breach, and a crossing after the horizon does not count', () => {
    const ten = (horizon: number, level = 0) =>
      counted(
        example({
          fresh: [...tanks.fresh],
          gray: [50, 1, level],
          black: [...tanks.black],
          uses: even(2, 5),
          stay: { horizonDays: owned(horizon), leaveAt: '2027-05-04T11:00' },
        }),
      )
    expect(ten(60).days).toBeCloseTo(5, 9)
    expect(ten(5).days).toBeNull()
    expect(ten(5.1).days).toBeCloseTo(5, 9)
    expect(ten(60, 50).days).toBe(0)
    expect(ten(60, 50).stopper).toBe('gray')
  })

  it('ties go to the larger rate over capacity, then to the id; past at the start, to the larger excess', () => {
    const document = example({ fresh: [100, 0, 100], gray: [100, 1, 0], black: [50, 1, 0], uses: even(2, 5) })
    expect(counted(document)).toMatchObject({ stopper: 'fresh', days: 10 })
    document.rigs[0]!.containers[1]!.capacity = owned(200)
    document.stays[0]!.levels[1]!.level = owned(100)
    expect(counted(document)).toMatchObject({ stopper: 'fresh', days: 10 })
    document.stays[0]!.levels[1]!.level = owned(210)
    document.stays[0]!.levels[2]!.level = owned(55)
    expect(counted(document)).toMatchObject({ stopper: 'black', days: 0, at: '2027-05-03T05:00' })
  })
})
