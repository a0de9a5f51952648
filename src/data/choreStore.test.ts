import { beforeEach, expect, it, vi } from 'vitest'
import { trailerDemo } from '../../scripts/demo/trailer'
import { trailerLog } from '../../scripts/demo/trailerLog'
import { entry } from '../../tests/support/entries'
import { freshStores } from '../../tests/support/freshStores'
import { heldClient } from '../../tests/support/heldClient'
import { openedDemo } from '../../tests/support/openedDemo'
import { patiently } from '../../tests/support/patiently'
import { choreStates, stocks } from '@/core/chores'
import { useChoreStore, SNOOZE_DAYS } from './choreStore'

let held = heldClient()
vi.mock('@/workers', async (original) => ({
  ...(await original<typeof import('@/workers')>()),
  jobClient: () => held.client,
}))
beforeEach(() => {
  held = heldClient()
  freshStores()
})

const NOW = '2027-09-14T15:20'

async function open(
  change: (document: ReturnType<typeof trailerDemo>) => void = () => {},
  log = trailerLog(),
) {
  const document = trailerDemo()
  change(document)
  const opened = await openedDemo(held, NOW, { document, log })
  const chores = useChoreStore()
  const ids = () => chores.due.map(({ chore }) => chore.id)
  return { ...opened, chores, ids }
}

it('says nothing before somebody looks, then what the core says of the rig’s whole log', async () => {
  const { chores, workspace, forecast } = await open()
  expect([chores.isRead, chores.states, chores.stock]).toEqual([false, [], []])
  chores.follow()
  expect(chores.isRead).toBe(true)
  const { rigs, stays } = workspace.document
  const log = trailerLog()
  expect(chores.states).toEqual(choreStates({ rig: rigs[0]!, stays, log, now: NOW }))
  expect(chores.stock).toEqual(stocks(rigs[0]!, forecast.crew!, log))
  expect(chores.due.every(({ isDue }) => isDue)).toBe(true)
})

it('done: off the list and in the log, of this stay while it is under way; one undo takes both back', async () => {
  const { chores, ids, workspace, logs } = await open((document) => {
    for (const chore of document.rigs[0]!.chores) chore.done = '2020-01-01T12:00'
  })
  chores.follow()
  const [first] = chores.due
  const before = ids()
  expect(before).toContain(first!.chore.id)
  expect(chores.done(first!.chore, 'with a soft brush')).toMatchObject({ ok: true })
  await workspace.settled()
  expect(ids()).not.toContain(first!.chore.id)
  expect(logs.entries.at(-1)).toMatchObject({
    kind: 'chore',
    chore: first!.chore.id,
    container: first!.chore.container,
    note: 'with a soft brush',
    rig: 'trailer',
    stay: 'harrow-ridge',
    at: NOW,
  })
  await workspace.undo()
  expect(ids()).toEqual(before)
  expect(logs.entries.some(({ kind }) => kind === 'chore')).toBe(false)
})

it('put off: not due for a week, and then again', async () => {
  const { chores, ids, clock } = await open((document) => {
    for (const chore of document.rigs[0]!.chores) chore.done = '2020-01-01T12:00'
  })
  chores.follow()
  const { chore } = chores.due[0]!
  chores.snooze(chore)
  expect(ids()).not.toContain(chore.id)
  expect(chores.states.find((one) => one.chore.id === chore.id)).toMatchObject({
    isDue: true,
    snoozed: '2027-09-21',
  })
  clock.move(SNOOZE_DAYS - 1)
  expect(ids()).not.toContain(chore.id)
  clock.move(1)
  expect(ids()).toContain(chore.id)
})

it('what was done in a stay of another crew, or at home, counts for the rig', async () => {
  const done = (chore: string, stay: string | null, at: string) =>
    ({ ...entry({ kind: 'chore', at }), chore, rig: 'trailer', stay }) as ReturnType<typeof entry>
  const [one, two] = trailerDemo().rigs[0]!.chores
  const log = [
    ...trailerLog(),
    done(one!.id, 'before', '2027-08-30T12:00'),
    done(two!.id, null, '2027-09-01T12:00'),
  ]
  const { chores } = await open((document) => {
    for (const chore of document.rigs[0]!.chores) chore.done = '2020-01-01T12:00'
    const other = structuredClone(document.crews[0]!)
    document.crews.push({ ...other, id: 'others', name: 'The others' })
    document.stays.push({
      ...structuredClone(document.stays[0]!),
      id: 'before',
      crew: 'others',
      start: '2027-08-28T12:00',
      leaveAt: '2027-09-02T11:00',
    })
  }, log)
  chores.follow()
  const last = (id: string) => chores.states.find(({ chore }) => chore.id === id)!.last
  await patiently(() => expect(last(one!.id)).toBe('2027-08-30T12:00'))
  expect(last(two!.id)).toBe('2027-09-01T12:00')
})
