import { beforeEach, describe, expect, it } from 'vitest'
import { watch } from 'vue'
import type { LogEntry } from '@/core/log'
import { trailerDemo } from '../../scripts/demo/trailer'
import { trailerLog } from '../../scripts/demo/trailerLog'
import { vanDemo } from '../../scripts/demo/van'
import { vanLog } from '../../scripts/demo/vanLog'
import { addFile } from '@/document'
import { removeStay } from '@/document/edits'
import { entry } from '../../tests/support/entries'
import { useClockStore } from './clockStore'
import { useLogStore } from './logStore'
import { useNoticeStore } from './noticeStore'
import { sharedMemory } from './storage/memoryStore'
import type { DocumentStore } from './storage/documentStore'
import { useWorkspaceStore } from './workspaceStore'
import { patiently } from '../../tests/support/patiently'
import { freshStores } from '../../tests/support/freshStores'

const both = addFile(trailerDemo(), vanDemo(), vanLog(), (kind) => `${kind}-new`)
const world = { ...both.document, currentStay: 'harrow-ridge' }

/** Two tabs on one memory; this one's reads of the log can be held back. */
async function open(log: LogEntry[] = [...trailerLog(), ...both.log]) {
  freshStores()
  const memory = sharedMemory(world, log)
  const [here, there] = [memory('here'), memory('there')]
  const gate = { open: Promise.resolve() }
  const range: DocumentStore['log']['range'] = async (of) => {
    const found = await here.log.range(of)
    await gate.open
    return found
  }
  const workspace = useWorkspaceStore()
  const clock = useClockStore()
  clock.follow('demo')
  clock.backToStart()
  const logs = useLogStore()
  await workspace.open(
    () => ({ ...here, log: { ...here.log, range } }),
    'kept',
    () => 0,
    'here',
  )
  await workspace.verify()
  await patiently(() => expect(logs.isLoaded).toBe(true))
  return { workspace, clock, logs, there, gate }
}
const shower = (at: string, n = 1) =>
  ({ kind: 'use', at, activity: 'shower', n, person: null, litres: null, minutes: null }) as const

describe('the log of the stay that is shown', () => {
  let it2: Awaited<ReturnType<typeof open>>
  beforeEach(async () => {
    it2 = await open()
  })

  it('is read with the stay, and read again with another one', async () => {
    const { workspace, logs } = it2
    expect(logs.entries).toHaveLength(trailerLog().length)
    workspace.edit('switch-stay', (draft) => void (draft.currentStay = 'low-meadow'))
    await patiently(() => expect(logs.entries).toHaveLength(vanLog().length))
    expect(logs.entries.every(({ stay }) => stay === 'low-meadow')).toBe(true)
  })

  it('shows an entry before it is written, keeps it, takes it back and brings it again, with its order', async () => {
    const { workspace, logs, clock } = it2
    const before = logs.entries
    logs.add([shower(clock.now), shower(clock.now), shower('2027-09-12T07:00')])
    expect(logs.entries).toHaveLength(before.length + 3)
    await workspace.settled()
    const after = logs.entries
    expect(after.map(({ utc }) => utc)).toEqual([...after.map(({ utc }) => utc)].sort())
    // Two of one minute are parted by their milliseconds.
    expect(new Set(after.map(({ utc }) => utc)).size).toBeGreaterThanOrEqual(after.length - 6)
    await workspace.undo()
    expect(logs.entries).toEqual(before)
    await workspace.redo()
    expect(logs.entries).toEqual(after)
  })

  it('is the very same list while what waited is being written: nobody who looks sees it come twice', async () => {
    const { workspace, logs, clock } = it2
    const seen: LogEntry[][] = []
    watch(
      () => logs.entries,
      (now) => seen.push(now),
      { flush: 'sync' },
    )
    logs.add([shower(clock.now)])
    expect(workspace.saveState).toBe('saving')
    await workspace.settled()
    expect(workspace.saveState).toBe('saved')
    expect(seen).toHaveLength(1)
    expect(logs.entries).toBe(seen[0])
  })

  it('amends in the order of the new time, removes, and says of what is kept that it was removed', async () => {
    const { workspace, logs } = it2
    const last = logs.entries.at(-1)!
    logs.amend({ ...last, at: '2027-09-11T17:00' })
    await workspace.settled()
    const at = logs.entries.findIndex(({ id }) => id === last.id)
    expect(logs.entries[at]).toMatchObject({ revision: 2, at: '2027-09-11T17:00' })
    expect(at).toBe(1)
    logs.remove([last.id])
    await workspace.settled()
    expect(logs.entries.some(({ id }) => id === last.id)).toBe(false)
    expect(logs.find(last.id)).toMatchObject({ isRemoved: true, revision: 3 })
    await workspace.undo()
    await workspace.undo()
    expect(logs.entries.at(-1)).toEqual(last)
  })

  it('loses nothing that was written while it was being read', async () => {
    const { workspace, logs, gate, there } = it2
    let letGo = () => {}
    gate.open = new Promise((resolve) => (letGo = () => resolve()))
    // Another tab wrote: everything is read again, and meanwhile something is logged here.
    await there.log.append([entry({ kind: 'note', at: '2027-09-14T12:00', id: 'theirs' })], 1)
    await new Promise((resolve) => setTimeout(resolve, 5))
    const { made } = logs.add([shower('2027-09-14T14:00')])
    await workspace.settled()
    letGo()
    await patiently(() => expect(logs.entries.some(({ id }) => id === 'theirs')).toBe(true))
    expect(logs.entries.some(({ id }) => id === made[0]!.id)).toBe(true)
  })

  it('an entry of a stay that another tab has removed is left out, alone, and that is said', async () => {
    const { workspace, logs, there } = it2
    await there.commit(
      [
        {
          label: 'remove',
          coalesce: null,
          make: (document) => {
            const draft = structuredClone(document)
            removeStay(draft, 'harrow-ridge')
            return draft
          },
          log: [{ op: 'drop-stay', stay: 'harrow-ridge' }],
        },
      ],
      1,
    )
    logs.add([shower('2027-09-14T14:00')])
    await workspace.settled()
    expect(useNoticeStore().shown.map(({ notice }) => notice.kind)).toContain('dropped')
    expect((await there.log.range()).every(({ stay }) => stay === 'low-meadow')).toBe(true)
  })

  it('refuses what is no entry, before it is shown', () => {
    const { logs, workspace } = it2
    const { result } = logs.add([
      { kind: 'note', at: '2027-09-14T14:00', container: null, note: '<b>wind</b>' },
    ])
    expect(result).toMatchObject({ ok: false, faults: [{ code: 'bad-text' }] })
    expect(logs.entries).toHaveLength(trailerLog().length)
    // Nor beside an edit that is sound.
    const odd = { ...logs.entryOf({ kind: 'end', at: '2027-09-14T14:00' }), note: 'x'.repeat(500) }
    const beside = workspace.edit('stay', (draft) => void (draft.stays[0]!.name = 'Ridge'), null, [
      { op: 'put', entry: odd },
    ])
    expect(beside.ok).toBe(false)
    expect(workspace.document.stays[0]!.name).not.toBe('Ridge')
  })

  it('takes in what is new of a file, and hands out every stay’s', async () => {
    const { workspace, logs } = it2
    logs.merge([...trailerLog().slice(0, 3), entry({ kind: 'note', at: '2027-09-13T09:00', id: 'brought' })])
    await workspace.settled()
    expect(logs.entries).toHaveLength(trailerLog().length + 1)
    const whole = await logs.whole()
    expect(whole).toHaveLength(trailerLog().length + 1 + vanLog().length)
    expect(whole.map(({ utc }) => utc)).toEqual(whole.map(({ utc }) => utc).sort())
  })

  it('logs now, but never before the stay nor after its end', () => {
    const { clock, logs } = it2
    expect(logs.at).toBe(clock.now)
    clock.move(-30)
    expect(logs.at).toBe('2027-09-11T16:00')
    clock.move(60)
    expect(logs.at).toBe('2027-09-23T11:00')
  })
})

it('checks what was logged before the rules had come, and leaves it out then', async () => {
  freshStores()
  const memory = sharedMemory(world)
  const workspace = useWorkspaceStore()
  const logs = useLogStore()
  await workspace.open(
    () => memory('here'),
    'kept',
    () => 0,
    'here',
    true,
  )
  const bad = logs.add([{ kind: 'note', at: '2027-09-14T14:00', container: null, note: '<b>wind</b>' }])
  const good = logs.add([{ kind: 'note', at: '2027-09-14T14:01', container: null, note: 'wind' }])
  expect([bad.result.ok, good.result.ok]).toEqual([true, true])
  await workspace.settled()
  expect((await memory('there').log.range()).map(({ note }) => note)).toEqual(['wind'])
  expect(useNoticeStore().shown.map(({ notice }) => notice.kind)).toEqual(['dropped'])
})
