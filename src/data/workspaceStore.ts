import { emptyDocument } from '@/core/domain'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { freeze, produce } from 'immer'
import type { Document } from '@/core/domain'
import type { DocumentFault, GaveWay } from '@/document'
import type { Action } from './action'
import { loadChecks, type Checks } from './checks'
import { useNoticeStore } from './noticeStore'
import {
  type Committed,
  type DocumentStore,
  type Edit,
  type EditLabel,
  type Snapshot,
} from './storage/documentStore'
import type { LogEntry } from '@/core/log'
import { AlreadyEnded, type BegunStore, type Ends } from './storage/begun'
import type { LogChange } from './storage/changes'
import type { LogOperation, LogRange } from './storage/logStore'
import type { Space } from './storage/database'
import { looksWhole } from './storage/entryRows'
import { StorageFault, storageFault } from './storage/faults'
import { DoesNotFit, faultsOf, holdTo, newestStep, type Refuse, type Waiting } from './waitingEdits'

/**
 * loading: not read yet. kept: what is shown goes to the disk. volatile: this browser keeps nothing. fault: it could not
 * be read, see `trouble`. outdated: another tab has a newer application; this one must give way.
 */
export type WorkspaceState = 'loading' | 'kept' | 'volatile' | 'fault' | 'outdated'

/** What stands between the screen and the disk, and in doing what it was met. */
export interface Trouble {
  fault: StorageFault
  during: 'open' | 'read' | 'write'
}

/** saved: what is shown is on the disk. volatile: there is no disk. */
export type SaveState = 'saved' | 'saving' | 'unsaved' | 'volatile'

/** `onRefused`: the rules are still on their way, and what they say then is told to the one who asks. */
export type EditResult =
  | { ok: true; onRefused?: (refuse: Refuse) => void }
  | { ok: false; faults: readonly DocumentFault[] }

/** What became of the log on the disk; null: it has to be read again. */
export interface LogEvent {
  changes: readonly LogChange[] | null
}

/** How to open a store again, after it was closed or its database went. */
export type OpenStore = () => DocumentStore

/**
 * The document everybody sees: what is kept, with the edits that wait to be written made on top of it. One thing after the
 * other happens to the store; `saveState` says whether what is shown is on the disk, and undo works on what is shown.
 */
export const useWorkspaceStore = defineStore('workspace', () => {
  const notices = useNoticeStore()
  const state = ref<WorkspaceState>('loading')
  /** Whose data it is. */
  const space = ref<Space>('mine')
  const document = shallowRef<Document>(emptyDocument())
  const kept = shallowRef<Snapshot>({
    document: document.value,
    revision: 0,
    logRevision: 0,
    undo: null,
    redo: null,
  })
  const waiting = shallowRef<Waiting[]>([])
  const logEvent = shallowRef<LogEvent>({ changes: null })
  /** What waiting edits do to the log: shown on top of what is kept. */
  const waitingLog = computed(() => waiting.value.flatMap(({ edit: { log } }) => log ?? []))
  /** What is shown of the log, to be kept again where the disk lost it. */
  let shownLog: () => readonly LogEntry[] = () => []
  /** Waiting edits that were taken back: redo makes them again. */
  const takenBack = shallowRef<Waiting[]>([])
  const writeFault = shallowRef<StorageFault | null>(null)
  /** What another tab wrote could not be read: until something is, this tab may be behind. */
  const readFault = shallowRef<StorageFault | null>(null)
  const openFault = shallowRef<StorageFault | null>(null)
  const trouble = computed((): Trouble | null => {
    if (openFault.value) return { fault: openFault.value, during: 'open' }
    if (writeFault.value) return { fault: writeFault.value, during: 'write' }
    return readFault.value && { fault: readFault.value, during: 'read' }
  })
  const underway = ref(0)
  /** Null until they are fetched: after what was read is shown, and before anything is written. */
  let checks: Checks | null = null
  /** Whether what is kept was held against them, as far as this tab knows. */
  let isVerified = false
  let store: DocumentStore | null = null
  let stopListening: () => void = () => undefined
  /** Rows of the log that are no entries: set aside, and saved as a file on request. */
  const damagedLog = shallowRef<readonly LogEntry[]>([])
  /** Read before the rules were there. */
  const unchecked: LogEntry[] = []
  /** Where what was begun is kept, as soon as something is open. */
  const begun = shallowRef<BegunStore | null>(null)
  let openAgain: OpenStore | null = null
  let tab = ''
  let chain = Promise.resolve()
  let isWriteQueued = false
  let now: () => number = () => 0

  const saveState = computed((): SaveState => {
    if (state.value === 'volatile') return 'volatile'
    if (trouble.value) return 'unsaved'
    return underway.value > 0 || waiting.value.length > 0 ? 'saving' : 'saved'
  })
  /** Of what is kept, as far as this tab knows. */
  const revision = computed(() => kept.value.revision)
  const logRevision = computed(() => kept.value.logRevision)
  /** Whether what is shown is, word for word, what the disk holds as far as this tab knows. */
  const isOnDisk = computed(() => waiting.value.length === 0 && document.value === kept.value.document)
  const undoLabel = computed(() => waiting.value.at(-1)?.edit.label ?? kept.value.undo)
  const redoLabel = computed(() => {
    const own = takenBack.value.at(-1)?.edit.label
    return own ?? (waiting.value.length > 0 ? null : kept.value.redo)
  })

  /** One thing after the other; what goes wrong is said, and what is shown stays so that nothing typed is lost. */
  function enqueue(during: Trouble['during'], work: (store: DocumentStore) => Promise<void>): Promise<void> {
    underway.value += 1
    chain = chain.then(async () => {
      try {
        if (store) await work(store)
      } catch (error) {
        const fault = storageFault(error)
        if (during === 'read') readFault.value = fault
        else writeFault.value = fault
      } finally {
        underway.value -= 1
      }
    })
    return chain
  }

  /**
   * The disk's newest state; edits that wait are made again on top of it. Where nobody else wrote this is the very object
   * that is shown already.
   * @param written edits it has by now: they no longer wait
   */
  function take(
    snapshot: Snapshot,
    logChanges: readonly LogChange[] = [],
    logBefore?: number,
    written: readonly Waiting[] = [],
  ): void {
    readFault.value = null
    const isKnown = (logBefore ?? snapshot.logRevision) === kept.value.logRevision
    if (!isKnown) logEvent.value = { changes: null }
    else if (logChanges.length > 0) logEvent.value = { changes: logChanges }
    // Only now: an entry that was written is never, not even for a moment, neither kept nor waiting.
    if (written.length > 0) waiting.value = waiting.value.filter((one) => !written.includes(one))
    kept.value = snapshot
    document.value = withWaiting(snapshot.document)
    nothingLeft()
  }

  /** What was logged of a stay that another tab has removed is kept: that is said, for nothing shows it. */
  function sayOrphans(changes: readonly LogChange[]): void {
    const stays = new Set(document.value.stays.map(({ id }) => id))
    const entries = changes.filter(
      ({ after }) => after && after.stay !== null && !stays.has(after.stay),
    ).length
    if (entries > 0) notices.say({ kind: 'orphans', entries })
  }

  /** Where nothing waits any more nothing is left unwritten. */
  function nothingLeft(): void {
    if (waiting.value.length === 0) writeFault.value = null
  }

  function withWaiting(base: Document): Document {
    const fitting: Waiting[] = []
    let shown = base
    for (const one of waiting.value) {
      try {
        const next = one.edit.make(shown)
        if (one.isUnchecked && checks) {
          holdTo(checks, shown, next, one.edit.log)
          one.isUnchecked = false
        }
        shown = next
        fitting.push(one)
      } catch (error) {
        sayDropped(one, error)
      }
    }
    if (fitting.length < waiting.value.length) waiting.value = fitting
    return shown
  }

  function sayDropped({ edit, before, after, refuse }: Waiting, error: unknown): void {
    if (refuse && error instanceof DoesNotFit) {
      refuse(error.faults)
      return
    }
    if (error instanceof AlreadyEnded) {
      notices.say({ kind: 'already-ended', name: edit.ends!.name })
      return
    }
    const fault = error instanceof DoesNotFit ? (error.faults[0] ?? null) : null
    notices.say({ kind: 'dropped', label: edit.label, what: checks?.whatChanged(before, after) ?? [], fault })
  }

  function write(): Promise<void> {
    if (isWriteQueued) return chain
    isWriteQueued = true
    return enqueue('write', async (target) => {
      isWriteQueued = false
      await writeWaiting(target)
    })
  }

  async function writeWaiting(target: DocumentStore): Promise<void> {
    if (waiting.value.length === 0) {
      nothingLeft()
      return
    }
    const isShipped = waiting.value.every(({ edit }) => edit.isShipped)
    if (!isShipped && !(await verified(target))) return
    if (waiting.value.some(({ isUnchecked }) => isUnchecked))
      document.value = withWaiting(kept.value.document)
    const batch = waiting.value
    if (batch.length === 0) {
      nothingLeft()
      return
    }
    const gave = new Map<string, GaveWay>()
    const edits = batch.map(({ edit, before }): Edit => ({
      ...edit,
      make: (base) => {
        const next = edit.make(base)
        // What was shipped gave way to nothing, and needs no rules.
        for (const one of checks?.gaveWay(before, base, next) ?? []) gave.set(one.off.id, one)
        return next
      },
    }))
    const { dropped, logChanges, logBefore, ...snapshot }: Committed = await target.commit(edits, now())
    for (const { on, off } of gave.values()) notices.say({ kind: 'gave-way', on: on.name, off: off.name })
    for (const { edit, error } of dropped) sayDropped(batch[edits.indexOf(edit)]!, error)
    writeFault.value = null
    isVerified ||= isShipped
    take(snapshot, logChanges, logBefore, batch)
    // Who brings a file reads it there.
    if (batch.every(({ edit }) => edit.label !== 'import')) sayOrphans(logChanges)
  }

  /** Another tab wrote, or may have; after what is under way here, so that none of it is taken for the other's. */
  const reload = () =>
    enqueue('read', async (target) => {
      const snapshot = await target.load()
      if (snapshot.revision === kept.value.revision) readFault.value = null
      else take(snapshot)
    })

  /** Undo takes back what is shown, whether or not it could be written: what waits goes first. */
  function replay(way: 'undo' | 'redo'): Promise<void> {
    return enqueue('write', async (target) => {
      if (way === 'redo' && takenBack.value.length > 0) return makeAgain(target)
      await writeWaiting(target).catch((error: unknown) => {
        writeFault.value = storageFault(error)
      })
      if (waiting.value.length > 0) {
        if (way === 'undo') takeBack()
        return
      }
      try {
        if (!(await verified(target))) return
        const { step, logChanges, logBefore, ...snapshot } = await target[way]()
        take(snapshot, logChanges, logBefore)
        if (step?.by !== undefined && step.by !== tab)
          notices.say({ kind: 'others-step', way, label: step.label })
      } catch (error) {
        // What is shown is still what is kept.
        if (storageFault(error).kind === 'deleted') throw error
        notices.say({ kind: 'not-replayed', way })
      }
    })
  }

  /** The newest step of what waits, as long as a drag is one. */
  function takeBack(): void {
    const { rest, step } = newestStep(waiting.value)
    waiting.value = rest
    takenBack.value = [...takenBack.value, ...step.reverse()]
    document.value = withWaiting(kept.value.document)
    nothingLeft()
  }

  async function makeAgain(target: DocumentStore): Promise<void> {
    const again = takenBack.value.at(-1)!
    takenBack.value = takenBack.value.slice(0, -1)
    waiting.value = [...waiting.value, again]
    document.value = withWaiting(kept.value.document)
    await writeWaiting(target)
  }

  /**
   * Reads what is kept. @param clock UTC milliseconds, for the history @param ownTab tells this tab's steps from others'
   * @param isVerifiedLater the caller calls `verify` itself, when there is time
   */
  async function open(
    opener: OpenStore,
    kind: 'kept' | 'volatile',
    clock: () => number,
    ownTab = '',
    isVerifiedLater = false,
  ): Promise<void> {
    now = clock
    tab = ownTab
    openAgain = opener
    stopListening()
    store?.close()
    store = null
    try {
      store = opener()
      isVerified = checks !== null
      const snapshot = await store.load(!isVerified)
      waiting.value = takenBack.value = []
      damagedLog.value = []
      openFault.value = writeFault.value = null
      logEvent.value = { changes: null }
      take(snapshot)
      state.value = kind
      // An edit freezes what it is given: all of it at once, before the first one, so that no finger waits for it.
      setTimeout(() => freeze(kept.value.document, true))
      begun.value = store.begun
      listen(store)
      if (!isVerifiedLater) void verify()
    } catch (error) {
      notShown(storageFault(error))
    }
  }

  /** What is shown was read unchecked, so that it is shown soon; then it is held against the rules, before any edit. */
  function verify(): Promise<void> {
    const opened = store
    if (checks && isVerified) return chain
    return enqueue('read', async (target) => {
      if (target === opened) await verified(target)
    })
  }

  /** Fetches the rules where that is still to be done, and holds what is kept against them. */
  async function verified(target: DocumentStore): Promise<boolean> {
    checks ??= await loadChecks()
    if (isVerified) return true
    try {
      take(await target.load())
      isVerified = true
      checkRows()
    } catch (error) {
      const fault = storageFault(error)
      if (fault.kind !== 'damaged') throw fault
      notShown(fault)
    }
    return isVerified
  }

  /** The count of what was read broke down: it is damaged, whatever the checks will say. */
  const isDamaged = () => notShown(new StorageFault('damaged'))

  /** Nothing of it is shown, so that nothing of it goes on. */
  function notShown(fault: StorageFault): void {
    openFault.value = fault
    state.value = 'fault'
    waiting.value = takenBack.value = []
    document.value = emptyDocument()
  }

  function listen(to: DocumentStore): void {
    stopListening = to.subscribe((event) => {
      if (event === 'outdated') state.value = 'outdated'
      else if (event === 'deleted') readFault.value = new StorageFault('deleted')
      else void reload()
    })
  }

  /**
   * Tries again what did not go: reading, writing. A database that was deleted is made again with what is shown.
   */
  async function retry(): Promise<void> {
    if (openFault.value) return open(openAgain!, 'kept', now, tab)
    if ([readFault.value, writeFault.value].some((fault) => fault?.kind === 'deleted')) return keepAgain()
    if (readFault.value) await reload()
    return write()
  }

  async function keepAgain(): Promise<void> {
    const shown = document.value
    const log = [...shownLog()]
    await open(openAgain!, 'kept', now, tab)
    if (state.value !== 'kept') {
      document.value = shown
      return
    }
    if (kept.value.revision === 0) replace('import', () => shown, null, [{ op: 'replace', entries: log }])
    await chain
  }

  /** Goes on with what is shown in memory alone, where the disk cannot be used. */
  async function goVolatile(
    openMemory: (document: Document, log: readonly LogEntry[]) => DocumentStore,
  ): Promise<void> {
    const shown = document.value
    const log = [...shownLog()]
    await open(() => openMemory(shown, log), 'volatile', now, tab)
  }

  /**
   * Changes the document. @param recipe changes the draft it is given
   * @param coalesce edits in quick succession with the same key are one step of undo
   */
  function edit(
    label: EditLabel,
    recipe: (draft: Document) => void,
    coalesce: string | null = null,
    log: readonly LogOperation[] = [],
    ends: Ends | null = null,
  ): EditResult {
    return replace(label, (current) => produce(current, recipe), coalesce, log, false, ends)
  }

  /** Does what the owner does. */
  const act = ({ label, next, key, log, ends }: Action): EditResult =>
    replace(label, next, key, log, false, ends)

  /** The same with a function from document to document. @param isShipped see Edit */
  function replace(
    label: EditLabel,
    make: (document: Document) => Document,
    coalesce: string | null = null,
    log: readonly LogOperation[] = [],
    isShipped = false,
    ends: Ends | null = null,
  ): EditResult {
    const before = document.value
    let after: Document
    try {
      after = make(before)
    } catch {
      // What it was to change went while it was being typed; said by the notice.
      notices.say({ kind: 'dropped', label, what: [], fault: null })
      return { ok: false, faults: [] }
    }
    const faults = checks && !isShipped ? faultsOf(checks, before, after, log) : []
    if (faults.length > 0) return { ok: false, faults }
    document.value = after
    takenBack.value = []
    const at = now()
    const edit: Edit = {
      label,
      coalesce,
      at,
      make: fitting(make, before, after),
      ...(log.length > 0 ? { log } : {}),
      ...(isShipped ? { isShipped } : {}),
      ...(ends ? { ends } : {}),
    }
    const one: Waiting = { edit, at, before, after, isUnchecked: !checks && !isShipped }
    waiting.value = [...waiting.value, one]
    void write()
    return one.isUnchecked ? { ok: true, onRefused: (refuse) => void (one.refuse = refuse) } : { ok: true }
  }

  /**
   * An edit that can be made on another document. On the one it was made on its result is kept; on any other it is made again.
   * @throws DoesNotFit where the outcome then breaks a rule
   */
  function fitting(make: Edit['make'], before: Document, after: Document): Edit['make'] {
    return (base) => {
      if (base === before) return after
      const next = make(base)
      if (checks) holdTo(checks, base, next)
      return next
    }
  }

  /** What is kept of the log by now; what waits here, and what is damaged, is not in it. @throws StorageFault */
  async function readLog(of?: LogRange): Promise<LogEntry[]> {
    const rows = (await store?.log.range(of)) ?? []
    const good = rows.filter(isGood)
    if (!checks) unchecked.push(...good)
    if (good.length < rows.length) {
      const known = new Set(good)
      const bad = new Map(
        [...damagedLog.value, ...rows.filter((row) => !known.has(row))].map((row) => [row.id, row]),
      )
      damagedLog.value = [...bad.values()]
    }
    return good
  }

  const isGood = (row: LogEntry) => (checks ? checks.checkedEntry(row).ok : looksWhole(row))
  /** Rows that were only looked at are held against the rules as soon as these are there, and read again where one fails. */
  function checkRows(): void {
    if (unchecked.splice(0).some((row) => !isGood(row))) logEvent.value = { changes: null }
  }

  return {
    state,
    space,
    document,
    logEvent,
    begun,
    damagedLog,
    waitingLog,
    readLog,
    /** Tells what is shown of the log. */
    showLog: (shown: () => readonly LogEntry[]) => void (shownLog = shown),
    revision,
    logRevision,
    saveState,
    isOnDisk,
    trouble,
    verify,
    isDamaged,
    undoLabel,
    redoLabel,
    open,
    act,
    edit,
    replace,
    retry,
    goVolatile,
    undo: () => replay('undo'),
    redo: () => replay('redo'),
    /** Resolves when everything that was under way has been tried. */
    settled: () => chain,
  }
})
