// @vitest-environment happy-dom
import { beforeEach, expect, it, vi } from 'vitest'
import type { DecideBy, DecideOffer } from '@/core/advice'
import { UNIT_SYSTEMS } from '@/core/quantities'
import { useDecideStore } from '@/data/decideStore'
import { useJobStore } from '@/data/jobStore'
import { usePlacesStore } from '@/data/placesStore'
import { useSettingsStore } from '@/data/settingsStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { ridgePlaces } from '../../../scripts/demo/ridge'
import { trailerDemo } from '../../../scripts/demo/trailer'
import { runOf, runStep } from '../../../tests/support/generateRuns'
import { useDecideWords } from './useDecideWords'
import { doneHere } from '../../../tests/support/heldClient'
import { patiently } from '../../../tests/support/patiently'
import { freshStores } from '../../../tests/support/freshStores'

beforeEach(() => {
  localStorage.clear()
  freshStores()
})

const [mill, , spring] = ridgePlaces()
const way = (leaveBy: string, over: Partial<DecideOffer> = {}): DecideOffer => ({
  usual: 'tote-loads',
  run: runOf('w', 0, 'midday', []),
  perhaps: null,
  place: mill!,
  leaveBy,
  at: leaveBy,
  span: null,
  isSure: true,
  kilometres: 18,
  cost: 10,
  ...over,
})
const gray = (offers: DecideOffer[], state: DecideBy['state'] = 'wait'): DecideBy => ({
  container: 'gray',
  by: '2027-09-16T06:24',
  state,
  offers,
  perhaps: [],
})

/** What is said of an answer, with runs that are set. */
async function said(answer: DecideBy, runs: ReturnType<typeof runOf>[] = []) {
  const document = trailerDemo()
  document.stays[0]!.runs = runs
  useWorkspaceStore().replace('run', () => document)
  useSettingsStore().units = { ...UNIT_SYSTEMS.metric }
  useJobStore().run = doneHere
  const places = usePlacesStore()
  places.follow()
  await patiently(() => expect(places.hours).not.toBeNull())
  vi.spyOn(useDecideStore(), 'pressing', 'get').mockReturnValue([answer])
  return useDecideWords().pressing.value[0]!
}

it('says until when, where to, and the one place that is left after that', async () => {
  const words = await said(
    gray([way('2027-09-15T17:00'), way('2027-09-15T23:10', { place: spring!, kilometres: 60.5 })]),
  )
  expect(words).toMatchObject({
    name: 'Gray',
    until: 'Wed 15 Sept 17:00',
    short: 'Gray can wait until Wed 15 Sept 17:00.',
    preferred: 'By then: tote behind the tow vehicle, to Sallow Mill station, 18\u00a0km away.',
    after: 'After that only Cold Spring, free station is left, 61\u00a0km away, until Wed 15 Sept 23:00.',
    planned: null,
  })
})

it('of several that are left the next one, of none the limit, and of what is too late nothing else', async () => {
  const three = await said(
    gray(['2027-09-15T17:00', '2027-09-15T18:00', '2027-09-15T19:00'].map((at) => way(at))),
  )
  expect(three.after).toBe(
    'After that what remains is Sallow Mill station, 18\u00a0km away, until Wed 15 Sept 18:00.',
  )
  const alone = await said(
    gray([way('2027-09-15T17:00', { place: null, usual: 'restock', kilometres: null })]),
  )
  expect(alone.preferred).toBe('By then: restock at the site.')
  expect(alone.after).toBe('After that nothing is left; Gray reaches its limit on Thu 16 Sept 06:24.')
  const late = await said(gray([], 'too-late'))
  expect(late).toMatchObject({
    until: null,
    preferred: null,
    after: null,
    short: 'Too late for Gray: nothing can be reached in time.',
  })
})

it('names the run that sees to it, in time or not; one that cannot be done does not count', async () => {
  const empties = (day: number, part: 'morning' | 'midday' | 'evening', place: string | null = null) => ({
    ...runOf(`r${day}`, day, part, [runStep('empty', 'gray', null)]),
    name: 'Dump',
    place,
  })
  const answer = gray([way('2027-09-15T17:00')])
  expect((await said(answer, [empties(3, 'midday')])).planned).toBe('Counted on: dump, Tue 14, midday.')
  expect((await said(answer, [empties(5, 'midday')])).planned).toBe(
    'Planned: dump, Thu 16, midday. In more than one trip of ten that is too late.',
  )
  // On the Sunday the station is shut.
  expect((await said(answer, [empties(1, 'midday', 'sallow-mill')])).planned).toBeNull()
  expect((await said(answer, [runOf('x', 2, 'midday', [runStep('fill', null, 'fresh')])])).planned).toBeNull()
})
