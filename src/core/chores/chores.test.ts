import { describe, expect, it } from 'vitest'
import type { LogEntry } from '../log'
import type { Chore, ChoreEvery, Rig, Stay } from '../domain'
import { owned } from '../quantities'
import { trailerDemo } from '../../../scripts/demo/trailer'
import { truckDemo } from '../../../scripts/demo/truck'
import { usualChores } from '../../document/starters'
import { choreStates, stocks } from './index'

const document = trailerDemo()
const [rig] = document.rigs as [Rig]
/** 11 to 23 September; and one in June. */
const [stay] = document.stays as [Stay]
const june: Stay = { ...stay, id: 'june', start: '2027-06-04T15:00', leaveAt: '2027-06-07T11:00' }

function chore(by: ChoreEvery, n: number, more: Partial<Chore> = {}): Chore {
  const rest = { id: 'chore', name: null, container: null, done: null, snoozed: null }
  return { ...rest, kind: 'own', every: [{ by, n: owned(n) }], ...more }
}
const head = { revision: 1, isRemoved: false, rig: 'trailer', stay: null, note: '' }
const done = (at: string): LogEntry => ({
  ...{ ...head, id: at, at, utc: `${at}:00.000Z`, kind: 'chore', container: null, chore: 'chore' },
})
const emptied = (at: string, container: string): LogEntry => ({
  ...{ ...head, id: `${at} ${container}`, at, utc: `${at}:00.000Z`, kind: 'run', place: null },
  did: [{ container, what: 'emptied', litres: null }],
})
const stateOf = (one: Chore, now: string, log: LogEntry[] = []) =>
  choreStates({ rig: { ...rig, chores: [one] }, stays: [stay, june], log, now })[0]!

describe('when a chore is due', () => {
  it('by date: counted from when it was done, by hand or in the log; not known, not due', () => {
    expect(stateOf(chore('days', 180), '2027-09-14T15:20')).toMatchObject({
      isDue: false,
      on: null,
      last: null,
    })
    const march = chore('days', 180, { done: '2027-03-12T10:00' })
    expect(stateOf(march, '2027-09-07T12:00')).toMatchObject({ isDue: false, on: '2027-09-08' })
    expect(stateOf(march, '2027-09-08T12:00')).toMatchObject({ isDue: true, on: '2027-09-08' })
    const again = stateOf(march, '2027-09-14T15:20', [done('2027-09-10T09:00')])
    expect(again).toMatchObject({ isDue: false, last: '2027-09-10T09:00', on: '2028-03-08' })
    // What is logged for later has not happened yet.
    expect(stateOf(march, '2027-09-08T12:00', [done('2027-09-10T09:00')]).isDue).toBe(true)
  })

  it('by days of use: days begun in stays of the rig, since it was done', () => {
    // June: 4 to 7, four days from five to five; September: 11, 12, 13, 14.
    expect(stateOf(chore('days-of-use', 9), '2027-09-14T15:20').turns[0]).toMatchObject({
      had: 8,
      on: '2027-09-15',
    })
    const since = chore('days-of-use', 3, { done: '2027-09-12T12:00' })
    expect(stateOf(since, '2027-09-14T15:20').turns[0]).toMatchObject({ had: 3 })
    expect(stateOf(since, '2027-09-13T15:20').isDue).toBe(false)
  })

  it('by trips that ended, and by emptyings of its own tank', () => {
    expect(stateOf(chore('trips', 2), '2027-09-14T15:20')).toMatchObject({ isDue: false })
    expect(stateOf(chore('trips', 2), '2027-09-23T12:00')).toMatchObject({ isDue: true })
    expect(stateOf(chore('trips', 1, { done: '2027-06-08T10:00' }), '2027-09-14T15:20').turns[0]!.had).toBe(0)
    const log = [emptied('2027-09-12T10:00', 'black'), emptied('2027-09-13T10:00', 'gray')]
    expect(stateOf(chore('emptyings', 2), '2027-09-14T15:20', log).isDue).toBe(true)
    const black = chore('emptyings', 2, { container: 'black' })
    expect(stateOf(black, '2027-09-14T15:20', log).turns[0]!.had).toBe(1)
  })

  it('after long disuse: days on end in which nobody lived in it', () => {
    const idle = chore('idle', 60)
    // June's stay ended on the 7th at eleven.
    expect(stateOf(idle, '2027-08-05T12:00')).toMatchObject({ isDue: false, on: '2027-08-06' })
    expect(stateOf(idle, '2027-08-06T12:00').isDue).toBe(true)
    expect(stateOf(idle, '2027-09-14T15:20')).toMatchObject({ isDue: false, on: null })
    expect(stateOf(idle, '2027-08-20T12:00', [done('2027-08-07T10:00')]).turns[0]!.had).toBe(13)
  })

  it('put off it is not heard of until then; what is about a tank that is gone is left out; due ones come first', () => {
    const off = chore('days', 10, { done: '2027-01-01T10:00', snoozed: '2027-09-20' })
    expect(stateOf(off, '2027-09-14T15:20')).toMatchObject({ isDue: true, snoozed: '2027-09-20' })
    expect(stateOf(off, '2027-09-20T08:00').snoozed).toBeNull()
    const chores = [
      chore('days', 900, { id: 'late', done: '2027-01-01T10:00' }),
      chore('days', 10, { id: 'gone', container: 'sea' }),
      chore('days', 10, { id: 'due', done: '2027-01-01T10:00' }),
    ]
    const states = choreStates({ rig: { ...rig, chores }, stays: [], log: [], now: '2027-09-14T15:20' })
    expect(states.map(({ chore: { id } }) => id)).toEqual(['due', 'late'])
  })
})

describe('the usual chores and stocks', () => {
  it('are what the rig has: no cassette, no washing of one; weekly treatment for who treats by the week', () => {
    const kinds = (of: Rig, rhythm: 'emptying' | 'weekly' = 'emptying') =>
      usualChores(of.containers, { 'treatment-rhythm': rhythm }).map(({ kind }) => kind)
    expect(kinds(rig)).toEqual(['sanitize', 'seals', 'probes', 'lay-up'])
    expect(kinds(rig, 'weekly')).toContain('treat')
    expect(kinds(truckDemo().rigs[0]!)).toContain('change-medium')
  })

  it('are what was bought less what the log says was used, in whole doses', () => {
    const [crew] = document.crews
    const dose: LogEntry = {
      ...{ ...head, id: 'dose', at: '2027-09-12T10:00', utc: '2027-09-12T10:00:00.000Z', kind: 'dose' },
      ...{ container: 'black', product: 'mire-ease', amount: 52 },
    }
    // 60 mL for 150 L are 52 mL for 130 L; of 500 mL eight doses are left after one.
    const [left] = stocks(rig, crew!, [dose])
    expect(left).toMatchObject({ left: 448, times: 8 })
    const truck = truckDemo()
    const [bin] = truck.rigs[0]!.containers.filter(({ kind }) => kind === 'solids')
    const stocked = { ...truck.crews[0]!, mediumStock: owned(3) }
    const found = stocks(truck.rigs[0]!, stocked, [emptied('2027-09-20T10:00', bin!.id)])
    expect(found.at(-1)).toEqual({ product: null, left: 2, times: 2 })
  })
})
