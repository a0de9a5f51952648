import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it } from 'vitest'
import { setLevel } from '@/document/edits'
import { openMemoryStore } from './storage/memoryStore'
import type { DocumentStore, StoreEvent } from './storage/documentStore'
import { useWorkspaceStore } from './workspaceStore'
import { trailerDemo } from '../../scripts/demo/trailer'

type Workspace = ReturnType<typeof useWorkspaceStore>
const levelOf = ({ document }: Workspace) => document.stays[0]!.levels[1]!.level.value
const drag = (workspace: Workspace, litres: number) =>
  workspace.edit('level', (draft) => setLevel(draft, 'harrow-ridge', 'gray', litres), 'level gray')

/** A memory store that can be told to fail, to wait, and to have been edited by another tab. */
function testStore() {
  const inner = openMemoryStore()
  let listener: (event: StoreEvent) => void = () => undefined
  const state = { failing: false, gate: Promise.resolve(), commits: 0 }
  const store: DocumentStore = {
    ...inner,
    commit: async (edits, at) => {
      await state.gate
      if (state.failing) throw new Error('disk full')
      state.commits += 1
      return inner.commit(edits, at)
    },
    subscribe: (heard) => {
      listener = heard
      return () => undefined
    },
  }
  return { store, inner, state, tell: (event: StoreEvent) => listener(event) }
}

describe('the workspace', () => {
  let workspace: Workspace
  let test: ReturnType<typeof testStore>
  beforeEach(async () => {
    setActivePinia(createPinia())
    workspace = useWorkspaceStore()
    test = testStore()
    let now = 0
    await workspace.open(test.store, 'kept', () => (now += 10_000))
    workspace.replace('import', () => trailerDemo())
    await workspace.settled()
  })

  it('shows an edit at once, and says saved only when it is written', async () => {
    let open: () => void = () => undefined
    test.state.gate = new Promise((resolve) => (open = resolve))
    expect(drag(workspace, 50)).toEqual({ ok: true })
    expect([levelOf(workspace), workspace.saved]).toEqual([50, false])
    for (let litres = 51; litres <= 80; litres++) drag(workspace, litres)
    open()
    await workspace.settled()
    expect([levelOf(workspace), workspace.saved, test.state.commits]).toEqual([80, true, 2])
    expect((await test.inner.load()).document).toEqual(workspace.document)
  })

  it('refuses an edit that would make the document wrong, whole, with its faults', () => {
    const before = workspace.document
    const refused = workspace.edit('stay', (draft) => {
      draft.stays[0]!.name = 'half done'
      draft.stays[0]!.leaveAt = '2020-01-01T11:00'
    })
    expect(refused).toMatchObject({ ok: false, faults: [{ code: 'ends-before-start' }] })
    expect(workspace.edit('level', (draft) => setLevel(draft, 'harrow-ridge', 'gray', -1))).toMatchObject({ ok: false, faults: [{ code: 'too-small', path: ['stays', 0, 'levels', 1, 'level', 'value'] }] }) // prettier-ignore
    expect(workspace.document).toBe(before)
  })

  it('keeps what is shown when writing fails, says so, and recovers', async () => {
    test.state.failing = true
    drag(workspace, 60)
    await workspace.settled()
    expect([levelOf(workspace), workspace.saved, workspace.writeFailed]).toEqual([60, false, true])
    workspace.edit('level', (draft) => setLevel(draft, 'harrow-ridge', 'black', 33))
    await workspace.settled()
    expect((await test.inner.load()).document).toEqual(trailerDemo())
    test.state.failing = false
    await workspace.retry()
    expect([levelOf(workspace), workspace.saved, workspace.writeFailed]).toEqual([60, true, false])
    expect((await test.inner.load()).document).toEqual(workspace.document)
  })

  it('takes in another tab’s edit, also one that came between', async () => {
    const rename = (name: string) => ({ label: 'rig' as const, coalesce: null, make: (document: Workspace['document']) => ({ ...document, rigs: [{ ...document.rigs[0]!, name }] }) }) // prettier-ignore
    await test.inner.commit([rename('Theirs')], 1)
    drag(workspace, 70)
    test.tell('edited')
    await workspace.settled()
    expect([workspace.document.rigs[0]!.name, levelOf(workspace)]).toEqual(['Theirs', 70])
    test.tell('outdated')
    expect(workspace.state).toBe('outdated')
  })

  it('does not write what no longer fits on top of another tab’s edit', async () => {
    const emptied = { label: 'clear' as const, coalesce: null, make: (document: Workspace['document']) => ({ ...document, habits: [], stays: document.stays.map((stay) => ({ ...stay, habits: [] })) }) } // prettier-ignore
    await test.inner.commit([emptied], 1)
    workspace.edit(
      'habit',
      (draft) => void draft.stays[0]!.habits.push({ habit: 'basin-dishes', days: null }),
    )
    await workspace.settled()
    expect(workspace.document.stays[0]!.habits).toEqual([])
  })

  it('says when reading fails', async () => {
    const broken: DocumentStore = { ...openMemoryStore(), load: () => Promise.reject(new Error('no')) }
    await workspace.open(broken, 'kept', () => 0)
    expect(workspace.state).toBe('failed')
  })
})
