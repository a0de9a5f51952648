import { expect, it } from 'vitest'
import { owned } from '@/core/quantities'
import { trailerDemo } from '../../../scripts/demo/trailer'
import { runOf, runStep } from '../../../tests/support/generateRuns'
import { checked } from '../index'
import { newPlace } from '../starters'
import {
  copyStay,
  followStay,
  hookupBetween,
  putPlace,
  removePlace,
  removeStay,
  setEndsAt,
  setFollows,
  setWay,
  startNow,
} from './index'

const ID = 'harrow-ridge'
const NEXT = { id: 'next', name: 'Next', start: '2027-09-24T15:00', nights: 3 }
const sound = (document: ReturnType<typeof trailerDemo>) =>
  expect(checked(document)).toMatchObject({ ok: true })

it('a place is one and the same in every stay that knows it; what goes takes its road and its runs’ aim along', () => {
  const document = trailerDemo()
  copyStay(document, ID, 'copy', 'Copy')
  const place = { ...document.stays[0]!.places[0]!, fee: owned(12) }
  putPlace(document, ID, place)
  expect(document.stays.map(({ places }) => places[0]!.fee!.value)).toEqual([12, 12])
  putPlace(document, 'copy', newPlace('own', 'Only here'))
  expect(document.stays.map(({ places }) => places.length)).toEqual([6, 7])
  setWay(document, ID, { place: place.id, kilometres: owned(21), minutes: null })
  setWay(document, ID, { place: place.id, kilometres: owned(22), minutes: null })
  expect(document.stays[0]!.ways).toEqual([{ place: place.id, kilometres: owned(22), minutes: null }])
  setWay(document, ID, { place: place.id, kilometres: null, minutes: null })
  expect(document.stays[0]!.ways).toEqual([])
  setWay(document, ID, { place: place.id, kilometres: null, minutes: owned(30) })
  document.stays[0]!.runs.push({
    ...runOf('r', 2, 'midday', [runStep('empty', 'gray', null)]),
    place: place.id,
  })
  sound(document)
  removePlace(document, ID, place.id)
  expect(document.stays[0]!.runs[0]!.place).toBeNull()
  expect(document.stays[0]!.ways).toEqual([])
  expect(document.stays[1]!.places.some(({ id }) => id === place.id)).toBe(true)
  sound(document)
})

it('a stay after another has its rig, crew, habits and places, and none of its days; removed, the chain closes', () => {
  const document = trailerDemo()
  document.stays[0]!.runs.push(runOf('r', 2, 'midday', [runStep('empty', 'gray', null)]))
  followStay(document, ID, NEXT)
  const [, next] = document.stays
  expect(document.currentStay).toBe('next')
  expect(next).toMatchObject({
    follows: ID,
    start: NEXT.start,
    leaveAt: '2027-09-27T11:00',
    runs: [],
    absences: [],
    rules: [],
    counted: [],
  })
  expect(next!.habits).toEqual(document.stays[0]!.habits)
  expect(next!.places).toEqual(document.stays[0]!.places)
  expect(next!.site.position).toBeNull()
  sound(document)
  followStay(document, 'next', { ...NEXT, id: 'third', start: '2027-09-28T15:00' })
  setEndsAt(document, 'third', owned(0))
  removeStay(document, 'next')
  expect(document.stays.map(({ id, follows }) => [id, follows])).toEqual([
    [ID, null],
    ['third', ID],
  ])
  sound(document)
  setFollows(document, 'third', null)
  sound(document)
})

it('a hookup night comes between; a stay that would begin too soon begins a day later and keeps its nights', () => {
  const restock = {
    ...runOf('restock', 0, 'morning', [runStep('empty', 'gray', null)]),
    kind: 'restock' as const,
  }
  for (const [start, begins] of [
    ['2027-09-23T15:00', '2027-09-24T15:00'],
    ['2027-09-25T15:00', '2027-09-25T15:00'],
  ] as const) {
    const document = trailerDemo()
    followStay(document, ID, { ...NEXT, start })
    hookupBetween(document, 'next', { id: 'hookup', name: 'Hookup', fee: 30, run: restock })
    const [night, next] = ['hookup', 'next'].map((id) => document.stays.find((stay) => stay.id === id)!)
    expect(night).toMatchObject({
      follows: ID,
      start: '2027-09-23T15:00',
      leaveAt: '2027-09-24T11:00',
      site: { water: 'tap', sewer: 'all', hookupNights: 1 },
    })
    expect(night!.runs).toMatchObject([{ day: 1, part: 'morning', fee: { value: 30 } }])
    expect(next).toMatchObject({ follows: 'hookup', start: begins })
    expect(document.currentStay).toBe('next')
    sound(document)
  }
})

it('a stay that starts takes what was passed on to it as levels of its own', () => {
  const document = trailerDemo()
  followStay(document, ID, NEXT)
  const passed = [
    { members: ['fresh'], start: 120.5 },
    { members: ['gray'], start: -3 },
  ]
  startNow(document, 'next', '2027-09-24T16:10', passed)
  const next = document.stays.find(({ id }) => id === 'next')!
  expect(next.start).toBe('2027-09-24T16:10')
  expect(next.levels.map(({ container, level }) => [container, level.value])).toEqual([
    ['fresh', 120.5],
    ['gray', 0],
    ['black', 8],
    ['tote', 0],
  ])
  sound(document)
})
