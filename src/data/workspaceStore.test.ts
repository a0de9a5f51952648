import { beforeEach, describe, expect, it } from 'vitest'
import { setLevel } from '@/document/edits'
import { found } from '@/core/domain'
import { useNoticeStore } from './noticeStore'
import { StorageFault } from './storage/faults'
import { openMemoryStore, sharedMemory } from './storage/memoryStore'
import type { DocumentStore, Edit, StoreEvent } from './storage/documentStore'
import { useWorkspaceStore } from './workspaceStore'
import { trailerDemo } from '../../scripts/demo/trailer'
import { switchHabitIn } from '../../tests/support/inDocument'
import { freshStores } from '../../tests/support/freshStores'

const renamed: Edit = {
  label: 'rig',
  coalesce: null,
  make: (d) => ({ ...d, rigs: [{ ...d.rigs[0]!, name: 'Theirs' }] }),
}
type Workspace = ReturnType<typeof useWorkspaceStore>
const levelOf = ({ document }: Workspace) => document.stays[0]!.levels[1]!.level.value
const drag = (workspace: Workspace, litres: number) =>
  workspace.edit('level', (draft) => setLevel(draft, 'harrow-ridge', 'gray', litres), 'level gray')

/** A memory that another tab has open too, and that can be told to fail and to wait. */
function testStore() {
  const memory = sharedMemory()
  const [inner, theirs] = [memory('here'), memory('there')]
  let listener: (event: StoreEvent) => void = () => undefined
  const state = { failing: false, reading: true, gate: Promise.resolve(), commits: 0 }
  const store: DocumentStore = {
    ...inner,
    load: async () => {
      if (!state.reading) throw new Error('cannot be read')
      return inner.load()
    },
    commit: async (edits, at) => {
      await state.gate
      if (state.failing) throw new DOMException('disk full', 'QuotaExceededError')
      state.commits += 1
      return inner.commit(edits, at)
    },
    subscribe: (heard) => {
      listener = heard
      return () => undefined
    },
  }
  return { store, inner, theirs, state, tell: (event: StoreEvent) => listener(event) }
}

describe('the workspace', () => {
  let workspace: Workspace
  let test: ReturnType<typeof testStore>
  let opened: DocumentStore
  beforeEach(async () => {
    freshStores()
    workspace = useWorkspaceStore()
    test = testStore()
    opened = test.store
    let now = 0
    await workspace.open(
      () => opened,
      'kept',
      () => (now += 10_000),
      'here',
    )
    workspace.replace('import', () => trailerDemo())
    await workspace.settled()
  })

  it('shows an edit at once, and says saved only when it is written', async () => {
    let open: () => void = () => undefined
    test.state.gate = new Promise((resolve) => (open = resolve))
    expect(drag(workspace, 50)).toEqual({ ok: true })
    expect([levelOf(workspace), workspace.saveState]).toEqual([50, 'saving'])
    for (let litres = 51; litres <= 80; litres++) drag(workspace, litres)
    open()
    await workspace.settled()
    expect([levelOf(workspace), workspace.saveState, test.state.commits]).toEqual([80, 'saved', 2])
    expect((await test.inner.load()).document).toEqual(workspace.document)
  })

  it('refuses an edit that would make the document wrong, whole, with its faults', () => {
    const before = workspace.document
    const refused = workspace.edit('stay', (draft) => {
      draft.stays[0]!.name = 'half done'
      draft.stays[0]!.leaveAt = '2020-01-01T11:00'
    })
    expect(refused).toMatchObject({ ok: false, faults: [{ code: 'ends-before-start' }] })
    expect(workspace.edit('level', (draft) => setLevel(draft, 'harrow-ridge', 'gray', -1))).toMatchObject({
      ok: false,
      faults: [{ code: 'too-small', path: ['stays', 0, 'levels', 1, 'level', 'value'] }],
    })
    expect(workspace.document).toBe(before)
  })

  it('keeps what is shown when writing fails, says so, and recovers', async () => {
    test.state.failing = true
    drag(workspace, 60)
    await workspace.settled()
    expect([levelOf(workspace), workspace.saveState, workspace.trouble?.fault.kind]).toEqual([
      60,
      'unsaved',
      'full',
    ])
    workspace.edit('level', (draft) => setLevel(draft, 'harrow-ridge', 'black', 33))
    await workspace.settled()
    expect((await test.inner.load()).document).toEqual(trailerDemo())
    test.state.failing = false
    await workspace.retry()
    expect([levelOf(workspace), workspace.saveState, workspace.trouble]).toEqual([60, 'saved', null])
    expect((await test.inner.load()).document).toEqual(workspace.document)
  })

  it('takes in another tab’s edit, also one that came between', async () => {
    await test.theirs.commit([renamed], 1)
    drag(workspace, 70)
    test.tell('edited')
    await workspace.settled()
    expect([workspace.document.rigs[0]!.name, levelOf(workspace)]).toEqual(['Theirs', 70])
    test.tell('outdated')
    expect(workspace.state).toBe('outdated')
  })

  it('an edit that no longer fits, or throws, is left out alone and said; what was made with it is kept', async () => {
    const notices = useNoticeStore()
    const clear = (d: Workspace['document']) => ({
      ...d,
      habits: [],
      stays: d.stays.map((stay) => ({ ...stay, habits: [] })),
    })
    await test.theirs.commit([{ label: 'clear', coalesce: null, make: clear }], 1)
    workspace.edit(
      'habit',
      (draft) => void draft.stays[0]!.habits.push({ habit: 'basin-dishes', days: null, persons: null }),
    )
    drag(workspace, 44)
    workspace.edit('habit', (draft) => void (found(draft.habits, 'tooth-cup', 'habit').bother.value = 3))
    await workspace.settled()
    expect([workspace.document.habits, levelOf(workspace), workspace.saveState]).toEqual([[], 44, 'saved'])
    expect(workspace.document).toEqual((await test.inner.load()).document)
    expect(notices.shown.map(({ notice }) => notice)).toEqual([
      {
        kind: 'dropped',
        label: 'habit',
        what: ['Harrow Ridge raptor count'],
        fault: expect.objectContaining({ code: 'dangling' }) as never,
      },
      { kind: 'dropped', label: 'habit', what: ['A cup for teeth'], fault: null },
    ])
  })

  it('says which habit of another tab gave way to one switched on here', async () => {
    const on = (id: string) => (d: Workspace['document']) => switchHabitIn(d, 'harrow-ridge', id, true)
    await test.theirs.commit([{ label: 'habit', coalesce: null, make: on('spare-liquid-flush') }], 1)
    workspace.replace('habit', on('no-liquid-flush'))
    await workspace.settled()
    expect(workspace.document.stays[0]!.habits.map(({ habit }) => habit)).toContain('no-liquid-flush')
    expect(useNoticeStore().shown.map(({ notice }) => notice)).toEqual([
      { kind: 'gave-way', on: 'No flush for liquids', off: 'Small flush for liquids' },
    ])
  })

  it('undo takes back what is shown: of edits that could not be written the last one, then what is kept', async () => {
    drag(workspace, 50)
    await workspace.settled()
    test.state.failing = true
    workspace.replace('import', (d) => ({
      ...d,
      rigs: [...d.rigs, { ...d.rigs[0]!, id: 'other', name: 'Other' }],
    }))
    await workspace.settled()
    expect([workspace.document.rigs.length, workspace.saveState, workspace.undoLabel]).toEqual([
      2,
      'unsaved',
      'import',
    ])
    await workspace.undo()
    expect([workspace.document.rigs.length, workspace.saveState, workspace.undoLabel]).toEqual([
      1,
      'saved',
      'level',
    ])
    expect((await test.inner.load()).document).toBe(workspace.document)
    await workspace.redo()
    expect([workspace.document.rigs.length, workspace.saveState]).toEqual([2, 'unsaved'])
    await workspace.undo()
    test.state.failing = false
    await workspace.undo()
    expect([levelOf(workspace), workspace.saveState, workspace.redoLabel]).toEqual([3, 'saved', 'import'])
    expect((await test.inner.load()).document).toBe(workspace.document)
  })

  it('says in passing that it took back another tab’s step, and only then', async () => {
    const notices = useNoticeStore()
    await test.theirs.commit([renamed], 1)
    test.tell('edited')
    await workspace.settled()
    await workspace.undo()
    expect(notices.shown.map(({ notice }) => notice)).toEqual([
      { kind: 'others-step', way: 'undo', label: 'rig' },
    ])
    await workspace.undo()
    expect([notices.shown.length, workspace.document.rigs]).toEqual([1, []])
  })

  it('what makes other ids each time it is made is shown as it is kept', async () => {
    let id = 0
    await test.theirs.commit([renamed], 1)
    workspace.replace('import', (d) => ({
      ...d,
      rigs: [...d.rigs, { ...d.rigs[0]!, id: `copy-${(id += 1)}` }],
    }))
    await workspace.settled()
    expect(workspace.document).toBe((await test.inner.load()).document)
    expect(workspace.document.rigs.map(({ id }) => id)).toEqual(['trailer', 'copy-2'])
  })

  it('a read that fails is said, stops nothing, and is tried again', async () => {
    test.state.reading = false
    test.tell('edited')
    await workspace.settled()
    expect([workspace.saveState, workspace.trouble?.during]).toEqual(['unsaved', 'read'])
    await workspace.retry()
    expect(workspace.saveState).toBe('unsaved')
    test.state.reading = true
    drag(workspace, 71)
    await workspace.settled()
    expect([levelOf(workspace), workspace.saveState]).toEqual([71, 'saved'])
    expect((await test.inner.load()).document).toBe(workspace.document)
  })

  it('a database deleted while it was open is said, and made again with what is shown', async () => {
    drag(workspace, 62)
    await workspace.settled()
    test.tell('deleted')
    expect([workspace.saveState, workspace.trouble?.fault.kind]).toEqual(['unsaved', 'deleted'])
    const shown = workspace.document
    const fresh = openMemoryStore()
    opened = fresh
    await workspace.retry()
    expect([workspace.document, workspace.saveState]).toEqual([shown, 'saved'])
    expect((await fresh.load()).document).toEqual(shown)
  })

  it('writes what ships without the rules; the first edit after it fetches them, and holds what is kept to them too', async () => {
    freshStores()
    const loads: (boolean | undefined)[] = []
    const openOn = async (store: DocumentStore) => {
      const load = async (unchecked?: boolean) => {
        loads.push(unchecked)
        const snapshot = await store.load()
        if (!unchecked && snapshot.document.rigs[0]?.name === '') throw new StorageFault('damaged')
        return snapshot
      }
      workspace = useWorkspaceStore()
      await workspace.open(
        () => ({ ...store, load }),
        'kept',
        () => 0,
        '',
        true,
      )
    }
    const memory = openMemoryStore()
    await openOn(memory)
    workspace.replace('start', () => trailerDemo(), null, [], true)
    await workspace.settled()
    expect([workspace.saveState, loads]).toEqual(['saved', [true]])
    expect((await memory.load()).document).toEqual(trailerDemo())
    // Made before the rules are there, it is held to them before it is written.
    expect(drag(workspace, -1)).toMatchObject({ ok: true })
    // One that somebody asks about is refused to them; the others in a notice.
    const refused = drag(workspace, -2)
    const told: string[] = []
    if (refused.ok) refused.onRefused?.((faults) => void told.push(...faults.map(({ code }) => code)))
    await workspace.settled()
    expect(levelOf(workspace)).toBe(trailerDemo().stays[0]!.levels[1]!.level.value)
    expect(useNoticeStore().shown.map(({ notice }) => notice.kind)).toEqual(['dropped'])
    expect(told).toEqual(['too-small'])
    // What another time kept is read before anything is written: what is damaged is not written over.
    freshStores()
    const damaged = trailerDemo()
    damaged.rigs[0]!.name = ''
    const theirs = openMemoryStore('', damaged)
    await openOn(theirs)
    drag(workspace, 60)
    await workspace.settled()
    expect([workspace.state, workspace.trouble?.fault.kind]).toEqual(['fault', 'damaged'])
    expect((await theirs.load()).document).toBe(damaged)
  })

  it('says when reading fails at the start, tries again, and goes on in memory where asked to', async () => {
    const broken: DocumentStore = {
      ...openMemoryStore(),
      load: () => Promise.reject(new StorageFault('newer')),
    }
    let next = broken
    await workspace.open(
      () => next,
      'kept',
      () => 0,
    )
    expect([workspace.state, workspace.trouble?.fault.kind]).toEqual(['fault', 'newer'])
    await workspace.goVolatile((document) => openMemoryStore('', document))
    expect([workspace.state, workspace.saveState, workspace.trouble]).toEqual(['volatile', 'volatile', null])
    await workspace.open(
      () => next,
      'kept',
      () => 0,
    )
    next = openMemoryStore()
    await workspace.retry()
    expect([workspace.state, workspace.saveState]).toEqual(['kept', 'saved'])
  })
})
