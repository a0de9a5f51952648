import { report } from './report'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import type { WallTime } from '@/core/calendar'
import { chainTo } from '@/core/chain'
import { type LogEntry, type Told, byTime } from '@/core/log'
import { found, type Document, type Id, type Stay } from '@/core/domain'
import { endOf } from '@/core/underway'
import { useClockStore } from './clockStore'
import { newId } from './newId'
import type { EditLabel } from './storage/documentStore'
import { keptLog, withChanges, type KeptLog } from './keptLog'
import type { Ends } from './storage/begun'
import type { LogChange } from './storage/changes'
import { logChangesOf, withLogChanges, type LogOperation } from './storage/logStore'
import { useWorkspaceStore } from './workspaceStore'

const MINUTE_MS = 60_000

/** The log of the stay that is shown and of those before it that teach something of it, as it stands and as it is kept. */
export const useLogStore = defineStore('log', () => {
  const workspace = useWorkspaceStore()
  const clock = useClockStore()
  const kept = shallowRef<KeptLog>(keptLog([]))
  /** Stays whose entries were read. */
  const loaded = ref<Id[]>([])
  const hasFailed = ref(false)
  let asked = 0
  /** What was written while entries were being read: what is read may not have it yet. */
  let meanwhile: LogChange[] = []

  const stay = computed(() => currentStay(workspace.document))
  /** This stay and those of the same rig and crew that began before it, newest first. */
  const wanted = computed(() => (stay.value ? withEarlier(workspace.document, stay.value) : []))
  /** With what waits to be written on top. */
  const shown = computed(() => {
    const operations = workspace.waitingLog
    return operations.length === 0
      ? kept.value
      : withChanges(kept.value, logChangesOf(operations, kept.value.rows))
  })
  const NONE: LogEntry[] = []
  const ofStay = (id: Id | undefined) => (id === undefined ? NONE : (shown.value.byStay.get(id) ?? NONE))
  /** The same list until something of it changes: that what waited has been written changes nothing. */
  const entries = computed((before: LogEntry[] = NONE): LogEntry[] => {
    const now = ofStay(stay.value?.id)
    return isSame(before, now) ? before : now
  })
  // The clocks of the stay are those it was logged by, wherever the device has come to.
  watch(entries, (now) => clock.keepTo(now), { immediate: true })
  const isLoaded = computed(() => stay.value === null || loaded.value.includes(stay.value.id))

  async function read(ids: readonly Id[]): Promise<void> {
    const own = (asked += 1)
    meanwhile = []
    try {
      const lists = await Promise.all(ids.map((id) => workspace.readLog({ stay: id })))
      if (own !== asked) return
      kept.value = withChanges(keptLog(lists.flat()), meanwhile)
      loaded.value = [...ids]
      hasFailed.value = false
    } catch (error) {
      if (own === asked) hasFailed.value = true
      report('reading the log', error)
    }
  }

  watch(
    () => workspace.logEvent,
    ({ changes }) => {
      if (changes === null) {
        if (workspace.state !== 'loading') void read(wanted.value)
        return
      }
      meanwhile.push(...changes)
      kept.value = withChanges(kept.value, changes)
    },
    { flush: 'sync' },
  )
  watch([() => wanted.value.join(), () => workspace.state], () => {
    const isNew = wanted.value.some((id) => !loaded.value.includes(id))
    if (isNew && workspace.state !== 'loading') void read(wanted.value)
  })
  const all = () => [...shown.value.rows.values()]
  workspace.showLog(all)

  /** The log of every stay, with what waits to be written. @throws StorageFault */
  async function whole(): Promise<LogEntry[]> {
    const rows = new Map((await workspace.readLog()).map((entry) => [entry.id, entry]))
    return [...withLogChanges(rows, logChangesOf(workspace.waitingLog, rows)).values()].sort(byTime)
  }

  /** Writes, as a step like any other; left out alone where the stay has gone by then. */
  function write(
    label: EditLabel,
    operations: readonly LogOperation[],
    coalesce: string | null = null,
    ends: Ends | null = null,
  ) {
    const stays = new Set(operations.flatMap((one) => (one.op === 'put' ? [one.entry.stay] : [])))
    const keeps = (document: Document) => {
      for (const id of stays) if (id !== null) found(document.stays, id, 'stay')
      return document
    }
    return workspace.replace(label, keeps, coalesce, operations, false, ends)
  }

  /** What is logged in the same minute keeps its order: seconds are the device's, and no two entries share a millisecond. */
  let latest = 0
  function utcOf(at: WallTime): string {
    const minute = Date.parse(clock.utcOf(at))
    // What another tab, or the page before this one, has logged comes before it too.
    const newest = Date.parse(entries.value.at(-1)?.utc ?? '')
    if (newest >= minute && newest < minute + MINUTE_MS) latest = Math.max(latest, newest)
    const moment = minute + (Date.now() % MINUTE_MS)
    const isSameMinute = latest >= minute && latest < minute + MINUTE_MS
    latest = isSameMinute && moment <= latest ? latest + 1 : moment
    return new Date(latest).toISOString()
  }

  /** @param own its id, where it has one already @throws where there is no stay: a broken contract */
  function entryOf(told: Told, own = newId('entry')): LogEntry {
    const { id, rig } = stay.value!
    const head = { id: own, revision: 1, isRemoved: false, rig, stay: id, note: '' }
    return plain({ ...head, ...told, utc: utcOf(told.at) })
  }

  /** Logs what happened; one step of undo, however many entries. */
  function add(told: readonly Told[], label: EditLabel = 'log', ends: Ends | null = null) {
    const made = told.map((one, k) => (ends ? entryOf(one, `${ends.id}-${k + 1}`) : entryOf(one)))
    const result = write(
      label,
      made.map((entry) => ({ op: 'put', entry })),
      null,
      ends,
    )
    return { result, made }
  }

  /** Another revision of an entry; where its time moved, in UTC too. */
  function amend(entry: LogEntry, coalesce: string | null = null) {
    const known = shown.value.rows.get(entry.id)
    const utc = known?.at === entry.at ? entry.utc : utcOf(entry.at)
    return write(
      'log',
      [{ op: 'put', entry: plain({ ...entry, utc, revision: entry.revision + 1 }) }],
      coalesce,
    )
  }

  /** Takes in entries of a file: what is not known yet, or is newer. */
  const merge = (taken: readonly LogEntry[]) => write('import', [{ op: 'merge', entries: taken }])

  function remove(ids: readonly Id[]) {
    return write(
      'log',
      ids.map((id): LogOperation => ({ op: 'remove', id })),
    )
  }

  /** The time to log at: now, and never before the stay or after its end. */
  const at = computed((): WallTime => {
    if (!stay.value) return clock.now
    const end = endOf(stay.value, entries.value)
    const latest = clock.now < end ? clock.now : end
    return latest < stay.value.start ? stay.value.start : latest
  })

  /** As it is kept, removed ones too. */
  const find = (id: Id) => shown.value.rows.get(id)

  return {
    entries,
    ofStay,
    find,
    all,
    whole,
    wanted,
    isLoaded,
    hasFailed,
    at,
    add,
    amend,
    merge,
    remove,
    entryOf,
  }
})

/** Forms hold their values in proxies, which neither a database nor a worker can take. */
function plain(entry: LogEntry): LogEntry {
  return JSON.parse(JSON.stringify(entry)) as LogEntry
}

/** Whether two lists say the same, word for word; entries that nobody touched are the same objects. */
function isSame(one: readonly LogEntry[], other: readonly LogEntry[]): boolean {
  const isAlike = (a: LogEntry, b: LogEntry) =>
    a === b || (a.id === b.id && a.revision === b.revision && JSON.stringify(a) === JSON.stringify(b))
  return one.length === other.length && one.every((entry, k) => isAlike(entry, other[k]!))
}

function currentStay({ stays, currentStay: id }: Document): Stay | null {
  return stays.find((stay) => stay.id === id) ?? null
}

function withEarlier({ stays }: Document, { id, rig, crew, start }: Stay): Id[] {
  const earlier = stays.filter(
    (other) => other.id !== id && other.rig === rig && other.crew === crew && other.start < start,
  )
  // What it follows says by its log what it leaves, with any crew.
  const before = chainTo(stays, id).slice(0, -1)
  const others = [...new Set([...earlier, ...before])]
  return [id, ...others.sort((a, b) => (a.start < b.start ? 1 : -1)).map((other) => other.id)]
}
