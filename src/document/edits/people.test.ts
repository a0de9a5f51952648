import { produce } from 'immer'
import { describe, expect, it } from 'vitest'
import { isAwayOn, type Document } from '@/core/domain'
import { checked } from '@/document'
import { demoInRoundNumbers, FLUSH } from '@/document/starters'
import { UNIT_SYSTEMS, fromSi } from '@/core/quantities'
import * as edits from './index'
import { trailerDemo } from '../../../scripts/demo/trailer'

const STAY = 'harrow-ridge'
function edited(recipe: (draft: Document) => void, base = trailerDemo()): Document {
  const next = produce(base, recipe)
  expect(checked(next)).toMatchObject({ ok: true })
  return next
}
const awayDays = ({ stays }: Document, person: string) =>
  [...Array(13).keys()].filter((day) =>
    stays[0]!.absences.some(
      (one) => one.person === person && one.part === 'evening' && isAwayOn(one, stays[0]!, day),
    ),
  )

describe('who is there', () => {
  it('an absence that repeats is parted around the day somebody is there after all', () => {
    // 11 September 2027 is a Saturday.
    const weekdays = edited((draft) => edits.addAbsences(draft, STAY, 'wren', ['evening'], [5, 1, 2, 3, 4]))
    expect(awayDays(weekdays, 'wren')).toEqual([2, 3, 4, 5, 6, 9, 10, 11, 12])
    const there = edited((draft) => edits.setAbsence(draft, STAY, 'wren', 4, 'evening', false), weekdays)
    expect(awayDays(there, 'wren')).toEqual([2, 3, 5, 6, 9, 10, 11, 12])
    const again = edited((draft) => edits.addAbsences(draft, STAY, 'wren', ['evening'], null), there)
    expect(awayDays(again, 'wren')).toEqual([...Array(13).keys()])
    const single = edited((draft) => edits.setAbsence(draft, STAY, 'maren', 7, 'evening', true))
    expect(awayDays(single, 'maren')).toEqual([7])
  })

  it('a guest who leaves the crew leaves no trace, and their habit is everyone’s', () => {
    const guest = edited((draft) => {
      edits.addPerson(draft, 'crew', 'ilse', 'Ilse')
      edits.setGuest(draft, STAY, 'ilse', [2, 4])
      edits.setHabitPersons(draft, STAY, 'tooth-cup', ['ilse'])
      edits.setAbsence(draft, STAY, 'ilse', 3, 'night', true)
    })
    expect(guest.stays[0]!.guests).toEqual([{ person: 'ilse', days: [2, 4] }])
    expect(guest.stays[0]!.habits[0]!.persons).toEqual(['ilse'])
    const gone = edited((draft) => edits.removePerson(draft, 'crew', 'ilse'), guest)
    expect(gone.stays[0]).toEqual(trailerDemo().stays[0])
    const all = edited((draft) => edits.setHabitPersons(draft, STAY, 'tooth-cup', ['maren', 'tobin', 'wren']))
    expect(all.stays[0]!.habits[0]!.persons).toBeNull()
  })
})

it('the school takes the litres along that nobody typed', () => {
  const assumed = edited((draft) => {
    for (const activity of draft.crews[0]!.activities)
      if (activity.kind === 'solid-use')
        activity.volume = { value: FLUSH.plenty.solid, by: 'default', source: 'gravity-flush' }
  })
  const little = edited((draft) => edits.setFlushAnswer(draft, 'crew', 'little'), assumed)
  const litres = (id: string) => little.crews[0]!.activities.find((one) => one.id === id)!.volume.value
  expect([litres('solid-use'), litres('liquid-use')]).toEqual([FLUSH.little.solid, 0.4])
  expect(little.crews[0]!.flush.school).toBe('little')
})

it('what is read of joined tanks is parted by size, and a panel’s step is each tank’s own', () => {
  const joined = edited((draft) => {
    draft.rigs[0]!.outlets[0]!.joined = ['gray', 'black']
    for (const id of ['gray', 'black'])
      edits.setPanel(draft, 'trailer', id, { probes: [0.5, 1], by: 'owner' })
  })
  const read = edited(
    (draft) => edits.setReading(draft, STAY, ['gray', 'black'], { method: 'about', level: 34, within: 3.4 }),
    joined,
  )
  const levels = (document: Document) =>
    ['gray', 'black'].map((id) => document.stays[0]!.levels.find(({ container }) => container === id)!)
  const [gray, black] = levels(read)
  expect([gray!.level.value, gray!.error.size.value]).toEqual([21, 4.2])
  expect(black!.level.value).toBeCloseTo(13, 9)
  expect(black!.error.size.value).toBeCloseTo(2.6, 9)
  const step = edited(
    (draft) => edits.setReading(draft, STAY, ['gray', 'black'], { method: 'panel', mark: 1 }),
    joined,
  )
  expect(levels(step).map(({ level }) => level.value)).toEqual([0.75 * 210, 0.75 * 130])
})

it('the demo is round in gallons for who reads gallons, and as shipped for who reads litres', () => {
  const us = demoInRoundNumbers(trailerDemo(), UNIT_SYSTEMS.us)
  expect(checked(us)).toMatchObject({ ok: true })
  for (const { capacity } of us.rigs[0]!.containers) {
    const gallons = fromSi(capacity.value, 'gal-us')
    expect(Math.abs(gallons - Math.round(gallons))).toBeLessThan(1e-9)
  }
  // No figure of its crew is what a litre, a kilogram or a kilometre comes to.
  const [crew] = us.crews
  const shown = [
    fromSi(crew!.liftLimit.value, 'lb'),
    fromSi(crew!.flushFloor.value, 'gal-us'),
    fromSi(crew!.flush.plenty.value, 'gal-us'),
    fromSi(crew!.road.speed.value, 'mi'),
    fromSi(us.rigs[0]!.size.height!.value, 'in'),
  ]
  for (const figure of shown) expect(figure / 0.05).toBeCloseTo(Math.round(figure / 0.05), 6)
  const fresh = us.stays[0]!.levels[0]!.level.value
  expect(fresh).toBe(us.rigs[0]!.containers[0]!.capacity.value)
  const metric = demoInRoundNumbers(trailerDemo(), UNIT_SYSTEMS.metric)
  expect(metric.rigs[0]!.containers).toEqual(trailerDemo().rigs[0]!.containers)
  expect(metric.stays).toEqual(trailerDemo().stays)
  expect(metric.crews).toEqual(trailerDemo().crews)
})

it('a tank measured again keeps the step its panel showed, a full tank stays full, a measured level stands', () => {
  const levelAfter = (read: Parameters<typeof edits.setReading>[3]) => {
    const document = edited((draft) => {
      edits.setPanel(draft, 'trailer', 'gray', { probes: [0.5, 1], by: 'owner' })
      edits.setReading(draft, STAY, ['gray'], read)
      // Typed digit by digit.
      for (const litres of [2, 24, 240]) edits.setCapacity(draft, 'trailer', 'gray', litres)
    })
    const { level, error } = document.stays[0]!.levels.find(({ container }) => container === 'gray')!
    return [level.value, error.size.value]
  }
  expect(levelAfter({ method: 'panel', mark: 0 })).toEqual([60, 120])
  expect(levelAfter({ method: 'known', level: 210 })).toEqual([240, 0])
  expect(levelAfter({ method: 'about', level: 40, within: 5 })).toEqual([40, 10])
})
