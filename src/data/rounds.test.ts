import { createPinia, setActivePinia } from 'pinia'
import fc from 'fast-check'
import { expect, it, vi } from 'vitest'
import type { LogEntry } from '@/core/log'
import { addFile, orphansOf, readDocument, writeDocument } from '@/document'
import { cardCase, cardOf, FIRST_ASKS, runFor, split, subjectsOf } from '@/core/cards'
import { compile } from '@/core/compile'
import { count } from '@/core/count'
import { caseOf } from '@/core/domain'
import { trailerDemo } from '../../scripts/demo/trailer'
import { trailerLog } from '../../scripts/demo/trailerLog'
import { vanDemo } from '../../scripts/demo/van'
import { vanLog } from '../../scripts/demo/vanLog'
import { often } from '../../tests/support/thorough'
import { useClockStore } from './clockStore'
import { useLogStore } from './logStore'
import type { DocumentStore } from './storage/documentStore'
import { StorageFault } from './storage/faults'
import { sharedMemory } from './storage/memoryStore'
import { useTimerStore } from './timerStore'
import { useWalkStore } from './walkStore'
import { useWorkspaceStore } from './workspaceStore'

/** What somebody does in one of two tabs, or what breaks. */
const DEEDS = [
  'log', 'log', 'walk', 'step', 'end-walk', 'end-walk', 'shower', 'end-shower', 'end-shower', 'import',
  'undo', 'redo', 'remove-stay', 'chore', 'odd', 'csv', 'fail', 'mend', 'reload', 'wait',
] as const // prettier-ignore
const deeds = fc.array(fc.record({ tab: fc.nat(1), deed: fc.constantFrom(...DEEDS) }), {
  minLength: 6,
  maxLength: 24,
})

/** A page: stores of its own on the memory that both share. */
async function openTab(memory: (by: string) => DocumentStore, by: string, faults: { fail: boolean }) {
  const pinia = createPinia()
  setActivePinia(pinia)
  const store = memory(by)
  const commit: DocumentStore['commit'] = (edits, at) =>
    faults.fail ? Promise.reject(new StorageFault('full')) : store.commit(edits, at)
  const keep: DocumentStore['begun']['keep'] = (row, isNew) =>
    faults.fail ? Promise.reject(new StorageFault('full')) : store.begun.keep(row, isNew)
  const workspace = useWorkspaceStore()
  const [log, walk, timer, clock] = [useLogStore(), useWalkStore(), useTimerStore(), useClockStore()]
  clock.follow('demo')
  await workspace.open(
    () => ({ ...store, commit, begun: { ...store.begun, keep } }),
    'kept',
    () => 1_000,
    by,
  )
  await workspace.verify()
  return { pinia, workspace, log, walk, timer, by }
}
type Tab = Awaited<ReturnType<typeof openTab>>

const AT = '2027-09-14T15:00'
const use = {
  kind: 'use',
  at: AT,
  activity: 'shower',
  n: 1,
  person: null,
  litres: null,
  minutes: null,
} as const
const parts = (() => {
  const stayCase = caseOf(trailerDemo(), 'harrow-ridge')
  const model = compile(stayCase)
  const [subject] = subjectsOf(stayCase, 'dump')
  const ground = { stayCase, model, counted: count(model), log: [] }
  return split(
    cardOf(cardCase(ground, runFor(stayCase, 'dump', subject!), FIRST_ASKS, null), 'dump', subject!),
  )
})()

/** Done as the screens do it. */
function act(
  { pinia, workspace, log, walk, timer }: Tab,
  deed: (typeof DEEDS)[number],
  serial: number,
): void {
  setActivePinia(pinia)
  const { stays, currentStay } = workspace.document
  const hasStay = stays.some(({ id }) => id === currentStay)
  switch (deed) {
    case 'log':
      if (hasStay) log.add([use])
      break
    case 'walk':
      if (hasStay && !walk.current) walk.begin(parts, currentStay!, null, null, serial)
      break
    case 'step':
      walk.act({ do: 'next', at: serial })
      break
    case 'end-walk': {
      const ends = walk.ending()
      if (!ends || !hasStay) break
      const entry = log.entryOf({ kind: 'note', at: AT, container: null }, `${ends.id}-1`)
      const result = workspace.edit('log', () => undefined, null, [{ op: 'put', entry }], ends)
      if (result.ok) walk.ended()
      break
    }
    case 'shower':
      if (!timer.current) timer.begin('shower', null, { flow: 6, trickle: 0, runUp: 0 }, serial)
      break
    case 'end-shower': {
      const ends = timer.ending()
      if (ends && hasStay && log.add([use], 'log', ends).result.ok) timer.ended()
      break
    }
    case 'import': {
      let n = 0
      const added = addFile(
        workspace.document,
        vanDemo(),
        vanLog(),
        (kind) => `${kind}-${serial}-${(n += 1)}`,
      )
      workspace.replace('import', () => ({ ...added.document, currentStay }), null, [
        { op: 'merge', entries: added.log },
      ])
      break
    }
    case 'remove-stay': {
      const id = stays.at(-1)?.id
      const op = id === undefined ? [] : [{ op: 'drop-stay' as const, stay: id }]
      if (id !== undefined)
        workspace.edit(
          'remove',
          (draft) => {
            draft.stays = draft.stays.filter((one) => one.id !== id)
            if (draft.currentStay === id) draft.currentStay = draft.stays[0]?.id ?? null
          },
          null,
          op,
        )
      break
    }
    case 'chore': {
      // Done while nothing is under way: of a rig alone, which may go.
      const entry = { ...trailerLog()[0]!, id: `chore-${serial}`, stay: null, kind: 'chore', container: null }
      workspace.replace('log', (document) => document, null, [
        { op: 'put', entry: entry as unknown as LogEntry },
      ])
      break
    }
    case 'odd':
      if (hasStay) {
        // The beginning moved past the end: refused, and nothing is kept of it.
        const told = { kind: 'odd', at: AT, from: '2027-09-20T10:00', container: null, why: 'leak' } as const
        expect(log.add([told]).result.ok).toBe(false)
      }
      break
    case 'csv':
      workspace.replace('import', (document) => document, null, [
        { op: 'merge', entries: trailerLog().slice(0, 3) },
      ])
      break
    case 'undo':
    case 'redo':
      void workspace[deed]()
      break
    default:
  }
}

it('two tabs, whatever is done in them and whatever breaks: what is written is read again, and nothing is logged twice', async () => {
  vi.spyOn(console, 'warn').mockImplementation(() => undefined)
  const tally = { ended: 0, orphans: 0 }
  await fc.assert(
    fc.asyncProperty(deeds, async (done) => {
      const memory = sharedMemory(trailerDemo(), trailerLog())
      const faults = { fail: false }
      const tabs = [await openTab(memory, 'one', faults), await openTab(memory, 'two', faults)]
      const rest = async () => {
        for (let k = 0; k < 4; k++) {
          for (const { workspace } of tabs) await workspace.settled()
          await new Promise((resolve) => setTimeout(resolve))
        }
      }
      for (const [serial, { tab, deed }] of done.entries()) {
        if (deed === 'wait') await rest()
        else if (deed === 'fail' || deed === 'mend') faults.fail = deed === 'fail'
        // Killed and opened again: what was not on the disk is gone, nothing else.
        else if (deed === 'reload') tabs[tab] = await openTab(memory, `again-${serial}`, faults)
        else act(tabs[tab]!, deed, serial)
        await Promise.resolve()
      }
      faults.fail = false
      for (const { workspace } of tabs) await workspace.retry()
      await rest()
      const disk = memory('looking on')
      const [{ document }, log] = [await disk.load(), await disk.log.range()]
      const read = await readDocument(writeDocument(document, log))
      expect(read).toEqual({ ok: true, value: document, log })
      // A walk, or a shower, is in the log once: its entry carries its id.
      const ended = log.filter(({ id }) => /^entry-.*-1$/.test(id))
      expect(new Set(ended.map(({ id }) => id)).size).toBe(ended.length)
      const begun = await Promise.all((['walk', 'shower'] as const).map((name) => disk.begun.read(name)))
      for (const row of begun) if (row) expect(log.some(({ id }) => id === `${row.id}-1`)).toBe(false)
      tally.ended += ended.length
      tally.orphans += orphansOf(document, log).length
      // What is of nothing counts for nothing.
      expect(
        orphansOf(document, log).every(({ stay }) => !document.stays.some(({ id }) => id === stay)),
      ).toBe(true)
      for (const { workspace } of tabs) expect(workspace.document).toEqual(document)
    }),
    { numRuns: often(60, 300) },
  )
  // The rounds did what they are for.
  expect(tally.ended).toBeGreaterThan(often(3, 20))
  expect(tally.orphans).toBeGreaterThan(0)
}, 600_000)
