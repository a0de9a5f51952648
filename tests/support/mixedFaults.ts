import Dexie from 'dexie'
import { createPinia, setActivePinia } from 'pinia'
import fc from 'fast-check'
import { expect } from 'vitest'
import type { Document } from '@/core/domain'
import { useNoticeStore } from '@/data/noticeStore'
import { DATABASE_NAMES } from '@/data/storage/database'
import { openDexieStore } from '@/data/storage/dexieStore'
import type { DocumentStore, StoreEvent } from '@/data/storage/documentStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { checked } from '@/document'
import { removeContainer, setHabit, setLevel } from '@/document/edits'
import { trailerDemo } from '../../scripts/demo/trailer'

type Tab = 0 | 1
/** What may happen: somebody does something in a tab, or something breaks, or it is mended. */
export type Happening =
  | { kind: 'level'; tab: Tab; litres: number }
  | { kind: 'rename'; tab: Tab; name: string }
  | { kind: 'add-tote' | 'remove-tote' | 'type-tote'; tab: Tab; name: string }
  | { kind: 'habit'; tab: Tab; habit: string; on: boolean }
  | { kind: 'import'; tab: Tab; copy: number }
  | { kind: 'undo' | 'redo' | 'retry'; tab: Tab }
  | { kind: 'writes' | 'reads'; fail: boolean }
  | { kind: 'wait' }

const tab = fc.constantFrom<Tab>(0, 1)
const RIVALS = ['basin-dishes', 'paper-plates']
export const happenings: fc.Arbitrary<Happening[]> = fc.array(
  fc.oneof(
    {
      weight: 5,
      arbitrary: fc.record({
        kind: fc.constant('level' as const),
        tab,
        litres: fc.integer({ min: 0, max: 200 }),
      }),
    },
    {
      weight: 2,
      arbitrary: fc.record({
        kind: fc.constant('rename' as const),
        tab,
        name: fc.constantFrom('A', 'B', 'C'),
      }),
    },
    {
      weight: 4,
      arbitrary: fc.record({
        kind: fc.constantFrom('add-tote' as const, 'remove-tote' as const, 'type-tote' as const),
        tab,
        name: fc.constantFrom('T', 'U'),
      }),
    },
    {
      weight: 3,
      arbitrary: fc.record({
        kind: fc.constant('habit' as const),
        tab,
        habit: fc.constantFrom(...RIVALS),
        on: fc.boolean(),
      }),
    },
    { weight: 1, arbitrary: fc.record({ kind: fc.constant('import' as const), tab, copy: fc.nat(3) }) },
    {
      weight: 4,
      arbitrary: fc.record({
        kind: fc.constantFrom('undo' as const, 'redo' as const, 'retry' as const),
        tab,
      }),
    },
    {
      weight: 3,
      arbitrary: fc.record({
        kind: fc.constantFrom('writes' as const, 'reads' as const),
        fail: fc.boolean(),
      }),
    },
    { weight: 4, arbitrary: fc.constant({ kind: 'wait' as const }) },
  ),
  { minLength: 5, maxLength: 40 },
)

/** Also of an edit's draft. */
const copied = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T
const STAY = 'harrow-ridge'
const tote = (draft: Document) => draft.rigs[0]!.containers.find(({ id }) => id === 'tote-x')

function recipeOf(happening: Happening): ((draft: Document) => void) | null {
  switch (happening.kind) {
    case 'level':
      return (draft) => setLevel(draft, STAY, 'gray', happening.litres)
    case 'rename':
      return (draft) => void (draft.rigs[0]!.name = happening.name)
    case 'add-tote':
      return (draft) => {
        if (tote(draft)) return
        const like = draft.rigs[0]!.containers.find(({ id }) => id === 'gray')!
        draft.rigs[0]!.containers.push({ ...copied(like), id: 'tote-x', name: happening.name })
        for (const stay of draft.stays) stay.levels.push({ ...copied(stay.levels[1]!), container: 'tote-x' })
      }
    case 'remove-tote':
      return (draft) => tote(draft) && removeContainer(draft, draft.rigs[0]!.id, 'tote-x')
    // Throws where the other tab has removed it.
    case 'type-tote':
      return (draft) => void (tote(draft)!.name = happening.name)
    case 'habit':
      return (draft) => setHabit(draft, STAY, happening.habit, happening.on)
    case 'import':
      return (draft) => void draft.rigs.push({ ...copied(draft.rigs[0]!), id: `copy-${happening.copy}` })
    default:
      return null
  }
}

function useTab(store: DocumentStore, by: string, faults: { writes: boolean; reads: boolean }) {
  const pinia = createPinia()
  const inTab = <T>(work: () => T): T => {
    setActivePinia(pinia)
    return work()
  }
  const heard: ((event: StoreEvent) => void)[] = []
  const failing: DocumentStore = {
    ...store,
    load: () => (faults.reads ? Promise.reject(new Error('cannot be read')) : store.load()),
    commit: (...given) =>
      faults.writes ? Promise.reject(new DOMException('full', 'QuotaExceededError')) : store.commit(...given),
    undo: () => (faults.writes ? Promise.reject(new Error('cannot be written')) : store.undo()),
    redo: () => (faults.writes ? Promise.reject(new Error('cannot be written')) : store.redo()),
    subscribe: (listener) => {
      heard.push(listener)
      return store.subscribe(listener)
    },
  }
  const workspace = inTab(() => useWorkspaceStore())
  const notices = inTab(() => useNoticeStore())
  return { workspace, notices, inTab, failing, by }
}

/**
 * Two tabs and one disk, with everything that may go wrong. At every rest: what a tab calls saved is on the disk, word for
 * word; what it shows is a valid document, on top of which every edit that is not said to be dropped stands; nothing blocks
 * for ever. And once all is mended both tabs show what is on the disk.
 */
export async function expectNothingLost(
  open: (by: string) => DocumentStore,
  happened: readonly Happening[],
): Promise<void> {
  const faults = { writes: false, reads: false }
  const disk = open('looking on')
  const tabs = ['one', 'two'].map((by) => useTab(open(by), by, faults))
  let now = 0
  for (const { workspace, failing, by } of tabs)
    await workspace.open(
      () => failing,
      'kept',
      () => (now += 2000),
      by,
    )
  tabs[0]!.workspace.replace('import', () => trailerDemo())
  const rest = async () => {
    for (let k = 0; k < 3; k++) {
      for (const { workspace } of tabs) await workspace.settled()
      await new Promise((resolve) => setTimeout(resolve, 0))
    }
  }
  await rest()
  for (const happening of happened) {
    if (happening.kind === 'wait') await rest()
    else if ('fail' in happening) faults[happening.kind] = happening.fail
    else {
      const { workspace, inTab } = tabs[happening.tab]!
      const recipe = recipeOf(happening)
      if (happening.kind === 'undo' || happening.kind === 'redo' || happening.kind === 'retry')
        void workspace[happening.kind]()
      else if (recipe) inTab(() => edited(workspace, recipe))
    }
    await Promise.resolve()
    await expectTruth()
  }
  faults.writes = faults.reads = false
  for (let k = 0; k < 3; k++) {
    for (const { workspace } of tabs) await workspace.retry()
    await rest()
  }
  const { document } = await disk.load()
  for (const { workspace } of tabs) {
    expect(workspace.saveState).toBe('saved')
    expect(workspace.document).toEqual(document)
  }
  disk.close()

  /** A recipe that throws at once is a fault of the test's own hand: the tab showed no such tank. */
  function edited(workspace: (typeof tabs)[number]['workspace'], recipe: (draft: Document) => void) {
    // Everything was undone: there is nothing to act on.
    if (workspace.document.rigs.length === 0) return
    try {
      workspace.edit('rig', recipe)
    } catch (error) {
      expect(error).toBeInstanceOf(TypeError)
    }
  }

  async function expectTruth() {
    for (const { workspace } of tabs) {
      expect(checked(workspace.document).ok).toBe(true)
      if (workspace.saveState !== 'saved') continue
      const shown = workspace.document
      const kept = await disk.load()
      // Between the two another tab may have written: then this one is told in a moment.
      if (workspace.saveState === 'saved' && workspace.document === shown && isNewest(kept.revision))
        expect(shown).toEqual(kept.document)
    }
  }
  function isNewest(revision: number) {
    return tabs.every(({ workspace }) => workspace.revision === revision)
  }
}

/** The same with a browser's database, which is gone afterwards. */
export async function expectNothingLostInDatabase(happened: readonly Happening[]): Promise<void> {
  const opened: DocumentStore[] = []
  await expectNothingLost((by) => {
    const store = openDexieStore('mine', by)
    opened.push(store)
    return store
  }, happened)
  opened.forEach((store) => store.close())
  await Dexie.delete(DATABASE_NAMES.mine)
}
