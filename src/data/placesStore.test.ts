// @vitest-environment happy-dom
import { beforeEach, expect, it } from 'vitest'
import { nextTick } from 'vue'
import { setNights } from '@/document/edits'
import { trailerDemo } from '../../scripts/demo/trailer'
import { useForecastStore } from './forecastStore'
import { useJobStore } from './jobStore'
import { usePlacesStore } from './placesStore'
import { useWorkspaceStore } from './workspaceStore'
import { doneHere } from '../../tests/support/heldClient'
import { patiently } from '../../tests/support/patiently'
import { freshStores } from '../../tests/support/freshStores'

const ID = 'harrow-ridge'
beforeEach(() => {
  localStorage.clear()
  freshStores()
})

function opened(document = trailerDemo()) {
  useWorkspaceStore().replace('run', () => document)
  useJobStore().run = doneHere
  const places = usePlacesStore()
  return { places, forecast: useForecastStore(), workspace: useWorkspaceStore() }
}

it('reads each text once, when somebody looks; the count is the same case before and after', async () => {
  const { places, forecast } = opened()
  await nextTick()
  expect(places.hours).toBeNull()
  const before = forecast.stayCase
  expect(places.stayCase).toBe(before)
  places.follow()
  await patiently(() => expect(places.hours).not.toBeNull())
  expect([...places.hours!.keys()].sort()).toEqual([
    'cold-spring',
    'fenmoor',
    'merrow-market',
    'pass-tap',
    'sallow-mill',
    'tern-hollow',
  ])
  expect(places.hours!.get('sallow-mill')!.spans[0]).toMatchObject({
    from: '2027-09-10T08:00',
    until: '2027-09-10T18:00',
  })
  // By the sun of the stay.
  expect(places.hours!.get('tern-hollow')!.spans[0]).toMatchObject({
    from: '2027-09-10T06:50',
    until: '2027-09-10T19:30',
  })
  // Nothing is counted again for it.
  expect(forecast.stayCase).toBe(before)
  expect(places.stayCase).toEqual({ ...before, hours: places.hours })
})

it('keeps what it read by the text: the next visit needs no library, a longer stay asks again', async () => {
  const first = opened()
  first.places.follow()
  await patiently(() => expect(first.places.hours).not.toBeNull())
  freshStores()
  const { places, workspace } = opened()
  // Nobody has looked, and it is there.
  expect(places.hours?.get('sallow-mill')).toEqual(first.places.hours!.get('sallow-mill'))
  workspace.edit('stay', (draft) => setNights(draft, ID, 20))
  expect(places.hours).toBeNull()
  places.follow()
  await patiently(() => expect(places.hours?.get('sallow-mill')!.until.slice(0, 10)).toBe('2027-10-10'))
})

it('a text that cannot be read is one place without hours, and says why', async () => {
  const document = trailerDemo()
  document.stays[0]!.places[0]!.opening = 'Mo-Fr 26:00-99:00'
  document.stays[0]!.places[1]!.opening = null
  const { places } = opened(document)
  places.follow()
  await patiently(() => expect(places.hours).not.toBeNull())
  const [mill, hollow] = document.stays[0]!.places
  expect(places.hours!.has(mill!.id)).toBe(false)
  expect(places.answerOf(mill!)).toMatchObject({ ok: false })
  expect(places.answerOf(hollow!)).toBeNull()
  expect(places.hours!.size).toBe(4)
  expect(await places.tryText('Sa 08:00-12:00')).toMatchObject({ ok: true })
  expect(await places.tryText('Sa 08:00-99:00')).toMatchObject({ ok: false })
  // What was kept by somebody else is no reason to fail.
  localStorage.setItem('dry-count:hours', '{"a":')
  freshStores()
  expect(opened().places.hours).toBeNull()
})
