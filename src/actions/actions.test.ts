import { expect, it } from 'vitest'
import type { Chore, Document, OwnCard, Place, Product, Run } from '@/core/domain'
import { owned } from '@/core/quantities'
import type { Action } from '@/data/action'
import { checkedEdit } from '@/document'
import { newPlace } from '@/document/starters'
import { trailerDemo } from '../../scripts/demo/trailer'
import { vanDemo } from '../../scripts/demo/van'
import * as budget from './budget'
import * as cards from './cards'
import * as chores from './chores'
import * as habits from './habits'
import * as levels from './levels'
import * as people from './people'
import * as rig from './rig'
import * as runs from './runs'
import * as stay from './stay'
import * as whole from './whole'

const AREAS = { budget, cards, chores, habits, levels, people, rig, runs, stay, whole }
const S = 'harrow-ridge'
const R = 'trailer'
const C = 'crew'
let n = 0
const newId = (kind: string) => `${kind}-new-${(n += 1)}`
const nameOf = (persons: number) => `crew of ${persons}`
const run: Run = {
  ...{ id: 'own-run', name: 'Water run', kind: 'errand', day: 3, part: 'midday', place: null, steps: [] },
  ...{ minutes: owned(30), kilometres: owned(4), bother: owned(2), fee: owned(0) },
} as unknown as Run
const place: Place = newPlace('spring', 'Spring')
const chore: Chore = {
  id: 'seal',
  kind: 'own',
  name: 'Seal',
  container: null,
  every: [],
  done: null,
  snoozed: null,
}
const card: OwnCard = {
  id: 'mine',
  kind: 'dump',
  name: 'Mine',
  from: 'own',
  steps: [{ words: 'Gloves on.' }],
}
const product: Product = trailerDemo().crews[0]!.products[0]!
const second = vanDemo().rigs[0]!

/** Days in which everything is done once that an owner can do, in an order in which it can be. */
const DONE: [string, Action][] = [
  ['setGoal', budget.setGoal(S, 5)],
  ['setBudgetConfidence', budget.setBudgetConfidence(S, 0.8)],
  ['setApart', budget.setApart(S, 'wren', 'shower', 0.5)],
  ['addActivity', people.addActivity(C, 'paint', 'Paint brushes')],
  ['setSaves', budget.setSaves(C, 'paint', true)],
  ['addSwap', budget.addSwap(S, { day: 2, less: 'shower', by: 1, more: 'dishes', plus: 2 })],
  ['dropSwaps', budget.dropSwaps(S, 2)],
  ['declineAdvice', budget.declineAdvice(S, 'habit-pail')],
  ['hearAllAdvice', budget.hearAllAdvice(S)],
  ['putProduct', cards.putProduct(C, { ...product, id: 'other', name: 'Other' })],
  ['typeProduct', cards.typeProduct(C, { ...product, id: 'other', name: 'Another' }, 'name')],
  ['removeProduct', cards.removeProduct(C, 'other')],
  ['putCard', cards.putCard(R, card)],
  ['renameCard', cards.renameCard(R, { ...card, name: 'Ours' })],
  ['removeCard', cards.removeCard(R, 'mine')],
  ['setFlow', cards.setFlow(S, null, 11)],
  ['setMetered', cards.setMetered(R, 'gray', 205)],
  ['putChore', chores.putChore(R, chore)],
  ['removeChore', chores.removeChore(R, 'seal')],
  ['removeChore', chores.removeChore(R, trailerDemo().rigs[0]!.chores[0]?.id ?? '')],
  ['addUsualChores', chores.addUsualChores(R, C)],
  ['setMediumStock', chores.setMediumStock(C, 3)],
  ['addHabit', habits.addHabit('own-habit', 'Rinse at the creek')],
  ['addEffect', habits.addEffect('own-habit', 'shower')],
  ['putEffect', habits.putEffect('own-habit', 0, 'volume', 'dishes', 0.4)],
  ['changeHabit', habits.changeHabit('own-habit', { note: 'Mind the fish', bother: owned(2) })],
  ['setHabit', habits.setHabit(S, 'own-habit', true)],
  ['typeHabitDays', habits.typeHabitDays(S, 'own-habit', [1, 4])],
  ['paintHabit', habits.paintHabit(S, 'own-habit', true, [2, 4], 0, 'painted')],
  ['setHabitPersons', habits.setHabitPersons(S, 'own-habit', ['wren'])],
  ['setHabitSet', habits.setHabitSet(S, ['own-habit'], [], 0)],
  ['removeEffect', habits.removeEffect('own-habit', 0)],
  ['removeHabit', habits.removeHabit('own-habit')],
  ['addMissingHabits', habits.addMissingHabits([{ ...trailerDemo().habits[0]!, id: 'came-later' }])],
  ['setModelLevel', levels.setModelLevel(S, { id: 'gray', members: ['gray'] }, 40)],
  ['setReading', levels.setReading(S, ['black'], { method: 'known', level: 20 })],
  ['setPanel', levels.setPanel(R, ['gray'], { probes: [0.25, 0.5, 0.75], by: 'owner' })],
  ['renameCrew', people.renameCrew(C, 'crew of 3')],
  ['addPerson', people.addPerson(C, { id: 'ada', name: 'Ada' }, { stay: S, days: [1, 2] }, nameOf)],
  ['renamePerson', people.renamePerson(C, 'ada', 'Adah')],
  ['setGuest', people.setGuest(S, 'ada', [2, 3])],
  ['setAbsence', people.setAbsence(S, 'tobin', 2, 'midday', true)],
  ['addAbsences', people.addAbsences(S, 'wren', ['morning'], [1, 3])],
  ['removeAbsence', people.removeAbsence(S, 0)],
  ['setOwnRate', people.setOwnRate(C, 'ada', 'shower', 0.9)],
  ['removePerson', people.removePerson(C, 'ada', nameOf)],
  ['changeActivity', people.changeActivity(C, 'paint', { name: 'Brushes', rate: owned(2) })],
  ['setUseVolume', people.setUseVolume(C, 'paint', 3)],
  ['setPartShare', people.setPartShare(C, 'paint', 1, 0.7)],
  ['setTimed', people.setTimed(C, 'shower', true)],
  ['setTimedPart', people.setTimedPart(C, 'shower', 'on', 3)],
  ['removeActivity', people.removeActivity(C, 'paint')],
  ['setRoad', people.setRoad(C, 'speed', 40)],
  ['setHeat', people.setHeat(C, 'above', 26)],
  ['setCost', people.setCost(C, 'minute', 0.2)],
  ['setLiftLimit', people.setLiftLimit(C, 18)],
  ['setAnswer', people.setAnswer(C, 'seals', 'olive-oil')],
  ['setFlushAnswer', people.setFlushAnswer(C, 'little')],
  ['takeFlushAnswer', people.takeFlushAnswer(C, 'plenty')],
  ['setAnswerNumber', people.setAnswerNumber(C, 'hoseFlow', 9)],
  ['setFlushFloor', people.setFlushFloor(C, 0.5)],
  ['setFlushHabit', people.setFlushHabit(C, 'plenty', 2.5)],
  ['copyCrew', people.copyCrew(S, 'crew-2', 'The others')],
  ['takeCrew', people.takeCrew(S, C)],
  ['swapCrew', people.swapCrew(S, C, 'crew-2')],
  ['renameRig', rig.renameRig(R, 'The long one')],
  ['setRigSize', rig.setRigSize(R, 'height', owned(3.1))],
  ['recordPayload', rig.recordPayload(R)],
  ['setPayload', rig.setPayload(R, 'limit', 650)],
  ['setGear', rig.setGear(R, 'flow-meter', true)],
  ['addGear', rig.addGear(R, ['rinse-wand'])],
  ['setHeater', rig.setHeater(R, null)],
  ['setHeater', rig.setHeater(R, 'fresh')],
  ['changeHeater', rig.changeHeater(R, { counted: true })],
  ['addContainer', rig.addContainer(R, 'cassette', 'cassette', 'Cassette')],
  ['renameContainer', rig.renameContainer(R, 'cassette', 'The box')],
  ['setCapacity', rig.setCapacity(R, 'cassette', 21)],
  ['setSafeFill', rig.setSafeFill(R, 'cassette', 0.9)],
  ['setReserve', rig.setReserve(R, 'fresh', 10)],
  [
    'setTankNumber',
    rig.setTankNumber(R, 'gray', 'residue', (of) => ('residue' in of ? of.residue : null), 4),
  ],
  ['setSpares', rig.setSpares(R, 'cassette', 2)],
  ['toggleRides', rig.toggleRides(R, 'tote')],
  ['toggleLight', rig.toggleLight(R, 'cassette')],
  ['addContainer', rig.addContainer(R, 'gray', 'gray-2', 'Second gray')],
  ['measureTank', rig.measureTank(R, 'gray-2')],
  ['removeContainer', rig.removeContainer(R, 'cassette')],
  ['addContainer', rig.addContainer(R, 'solids', 'bin', 'Bin')],
  ['changeMedium', rig.changeMedium(R, 'bin')],
  ['addFixture', rig.addFixture(R, 'hatch', 'Outside shower', 'shower')],
  ['changeFixture', rig.changeFixture(R, 'hatch', { name: 'Hatch' })],
  ['setRole', rig.setRole(R, 'hatch', 'kitchen', true)],
  ['reroute', rig.reroute(R, 'hatch', 'draws', null)],
  ['removeFixture', rig.removeFixture(R, 'hatch')],
  ['addOutlet', rig.addOutlet(R, 'left', 'Left')],
  ['changeOutlet', rig.changeOutlet(R, 'left', { side: 'right' })],
  ['setOutlet', rig.setOutlet(R, 'gray', 'left')],
  ['setEndValve', rig.setEndValve(R, 'left', true)],
  ['setOutlet', rig.setOutlet(R, 'black', 'left')],
  ['setJoined', rig.setJoined(R, 'left', true)],
  ['removeOutlet', rig.removeOutlet(R, 'left')],
  ['putPlace', runs.putPlace(S, place, null)],
  ['putPlaces', runs.putPlaces(S, [{ ...place, id: 'farm', name: 'Farm' }])],
  ['setWay', runs.setWay(S, { place: 'spring', kilometres: owned(7), minutes: null })],
  ['addRuns', runs.addRuns(S, [run])],
  ['moveRun', runs.moveRun(S, 'own-run', 4, 'morning')],
  ['dragRun', runs.dragRun(S, 'own-run', 5, 'morning')],
  ['replaceRun', runs.replaceRun(S, { ...run, day: 2 })],
  ['typeRun', runs.typeRun(S, { ...run, name: 'Run' }, 'name')],
  ['removeRun', runs.removeRun(S, 'own-run')],
  ['addRunAndHabits', runs.addRunAndHabits(S, { ...run, id: 'second-run' }, ['came-later'], 0)],
  ['doneRun', runs.doneRun(S, 'second-run')],
  ['removePlace', runs.removePlace(S, 'spring')],
  ['renameStay', stay.renameStay(S, 'The ridge')],
  ['setStart', stay.setStart(S, '2027-09-10T12:00')],
  ['setLeave', stay.setLeave(S, '2027-09-20T11:00')],
  ['setNights', stay.setNights(S, 8)],
  ['setConfidence', stay.setConfidence(S, 0.95)],
  ['setRule', stay.setRule(S, 'washing-water', true, '', '2027-09-01')],
  ['setRuleSource', stay.setRuleSource(S, 'washing-water', true, 'The sign', '2027-09-01')],
  ['setRuleLitres', stay.setRuleLitres(S, 'washing-water', 10)],
  ['setSite', stay.setSite(S, { stayLimit: 12 })],
  ['typeSite', stay.typeSite(S, { stayLimit: 13 })],
  ['changeWeather', stay.changeWeather(S, { sunrise: '06:30' })],
  ['setWarmest', stay.setWarmest(S, 2, 31)],
  ['setCounted', stay.setCounted(S, 'cooking', true, '2027-09-11T08:00')],
  ['countAll', stay.countAll(S, ['dishes', 'teeth'], true, '2027-09-11T08:00')],
  [
    'takeOver',
    stay.takeOver(
      'crew-2',
      new Map([['shower', { factor: 0.8, spread: 0.1, entries: 9, upTo: '2027-09-12T08:00:00.000Z' }]]),
    ),
  ],
  ['startNow', stay.startNow(S, '2027-09-10T13:00')],
  ['followStay', stay.followStay(S, { id: 'next', name: 'Next', start: '2027-09-24T12:00', nights: 3 })],
  ['setFollows', stay.setFollows('next', null)],
  ['setFollows', stay.setFollows('next', S)],
  ['setEndsAt', stay.setEndsAt('next', owned(0))],
  [
    'hookupBetween',
    stay.hookupBetween('next', { id: 'hookup', name: 'Hookup', fee: 30, run: { ...run, id: 'third-run' } }),
  ],
  ['showStay', stay.showStay(S)],
  ['copyStay', stay.copyStay('next', 'next-2', 'Next again')],
  ['removeStay', stay.removeStay('next-2')],
  ['copyRig', rig.copyRig(S, 'rig-2', 'Copy')],
  ['takeRig', rig.takeRig(S, R)],
  ['addRig', rig.addRig(S, second)],
  ['swapRig', rig.swapRig(S, 'rig-2', R)],
  ['addStart', whole.addStart(vanDemo(), newId)],
  [
    'addFromFile',
    whole.addFromFile((document) => ({ document: { ...document, currentStay: S }, log: [] }), trailerDemo()),
  ],
  ['replaceAll', whole.replaceAll('import', trailerDemo(), [])],
  ['clearAll', whole.clearAll()],
]

it('does all an owner can do, one action after the other: each is sound, changes something, and nothing it was given', () => {
  let document: Document = trailerDemo()
  const odd: string[] = []
  for (const [name, action] of DONE) {
    const before = JSON.stringify(document)
    let next = document
    try {
      next = action.next(document)
    } catch (error) {
      odd.push(`${name}: ${String(error)}`)
    }
    const checked = checkedEdit(document, next)
    if (!checked.ok) odd.push(`${name}: ${JSON.stringify(checked.faults[0])}`)
    else if (JSON.stringify(next) === before) odd.push(`${name}: nothing changed`)
    expect(JSON.stringify(document)).toBe(before)
    if (checked.ok) document = next
  }
  expect(odd).toEqual([])
})

it('has a row here for every action there is', () => {
  const all = Object.values(AREAS).flatMap((area) =>
    Object.entries(area).flatMap(([name, one]) => (typeof one === 'function' ? [name] : [])),
  )
  const done = new Set(DONE.map(([name]) => name))
  expect(all.filter((name) => !done.has(name))).toEqual([])
  expect(all.length).toBeGreaterThan(100)
})

it('on what is gone by then throws, so that it is left out alone; what was done with a run that is gone stays done', () => {
  const empty = whole.clearAll().next(trailerDemo())
  for (const one of [
    stay.setNights(S, 3),
    rig.renameRig(R, 'x'),
    people.setLiftLimit(C, 9),
    runs.removeRun(S, 'a'),
  ])
    expect(() => one.next(empty)).toThrow(RangeError)
  expect(runs.doneRun(S, 'own-run').next(empty)).toBe(empty)
})

it('quick typing of one thing has one key, another thing another, and a choice none', () => {
  expect(stay.setNights(S, 3).key).toBe(stay.setNights(S, 4).key)
  expect(stay.setNights(S, 3).key).not.toBe(stay.setNights('next', 3).key)
  expect(rig.setCapacity(R, 'gray', 1).key).not.toBe(rig.setReserve(R, 'gray', 1).key)
  expect(people.changeActivity(C, 'shower', { rate: owned(1) }).key).not.toBe(
    people.changeActivity(C, 'shower', { spread: owned(1) }).key,
  )
  expect([budget.setGoal(S, 3).key, rig.setGear(R, 'flow-meter', true).key]).toEqual([null, null])
})
