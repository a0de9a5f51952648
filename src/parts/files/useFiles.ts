import { ref, shallowRef } from 'vue'
import { addFromFile, replaceAll } from '@/actions/whole'
import type { LogEntry } from '@/core/log'
import type { Document } from '@/core/domain'
import {
  addFile,
  fileName,
  LIMITS,
  orphansOf,
  pathText,
  writeDocument,
  type DocumentFault,
  type Opened,
} from '@/document'
import { loadChecks } from '@/data/checks'
import { useKeepingStore } from '@/data/keepingStore'
import { useLogStore } from '@/data/logStore'
import { newId } from '@/data/newId'
import { useWorkspaceStore } from '@/data/workspaceStore'
import * as t from '@/texts/t'
import { saveFile } from './saveFile'

/** What happened to a file, in words; `faults` only where it was refused. */
export interface FileMessage {
  text: string
  faults: string[]
}

/** A file that was read and is good, before the owner has said what to do with it. */
export interface PendingImport {
  name: string
  document: Document
  log: LogEntry[]
  /** What is wrong with entries that are left out. */
  leftOut: readonly DocumentFault[]
}

const FAULTS_SHOWN = 5

/** Documents to and from files. A refused file changes nothing. */
export function useFiles() {
  const workspace = useWorkspaceStore()
  const keeping = useKeepingStore()
  const logs = useLogStore()
  const message = ref<FileMessage | null>(null)
  const pending = shallowRef<PendingImport | null>(null)

  /** The document with all of its log; where that cannot be read, with what is shown of it, and that is said. */
  async function exportFile() {
    await workspace.settled()
    const { document } = workspace
    const whole = await logs.whole().catch(() => null)
    if (whole === null) message.value = { text: t.settings.logUnread, faults: [] }
    const stay = document.stays.find(({ id }) => id === document.currentStay)
    saveFile(writeDocument(document, whole ?? logs.all()), fileName(stay?.name ?? ''))
    keeping.exported()
  }

  async function importFile(file: File) {
    const result = await readFile(file).catch(() => null)
    if (result === null) {
      message.value = { text: t.settings.unreadable(file.name), faults: [] }
      return
    }
    if (!result.ok) {
      message.value = refusal(file.name, result.faults)
      return
    }
    const { value: document, log, leftOut = [] } = result
    const read = { name: file.name, document, log, leftOut }
    if (workspace.document.stays.length === 0) await take(read, 'replace')
    else pending.value = read
  }

  /** What to do with the file that waits. */
  function chooseImport(how: 'replace' | 'add' | 'cancel') {
    if (pending.value && how !== 'cancel') void take(pending.value, how)
    pending.value = null
  }

  /** Said to be opened once it is kept; where it could not be, that is said. */
  async function take({ name, document: opened, log, leftOut }: PendingImport, how: 'replace' | 'add') {
    // Made again on top of another tab's edit, ids stay those that the log was given.
    const given = new Map<string, string>()
    const added = (current: Document) => {
      let n = 0
      return addFile(current, opened, log, (kind) => {
        const key = `${kind} ${(n += 1)}`
        const id = given.get(key) ?? newId(kind)
        given.set(key, id)
        return id
      })
    }
    const result =
      how === 'replace'
        ? workspace.act(replaceAll('import', opened, log))
        : workspace.act(addFromFile(added, workspace.document))
    if (!result.ok) {
      message.value = refusal(name, result.faults)
      return
    }
    message.value = { text: t.imports.keeping(name), faults: [] }
    await workspace.settled()
    const isKept = workspace.saveState !== 'unsaved'
    const text = how === 'replace' ? t.settings.imported(name) : t.imports.added(name)
    message.value = {
      text: isKept ? text : t.imports.notKept(name),
      faults: leftOutWords(opened, log, leftOut),
    }
  }

  return { message, pending, exportFile, importFile, chooseImport }
}

async function readFile(file: File): Promise<Opened> {
  if (file.size > LIMITS.fileBytes)
    return {
      ok: false,
      faults: [
        { code: 'too-large', path: [], found: `${Math.ceil(file.size / 1024 / 1024)} MB`, expected: '50 MB' },
      ],
    }
  const { readDocument } = await loadChecks()
  return readDocument(await file.text())
}

function refusal(name: string, faults: readonly DocumentFault[]): FileMessage {
  return { text: t.settings.refused(name), faults: lines(faults) }
}

function lines(faults: readonly DocumentFault[]): string[] {
  const shown = faults
    .slice(0, FAULTS_SHOWN)
    .map((fault) => `${pathText(fault.path)}: ${t.faults[fault.code](fault)}`)
  return faults.length > FAULTS_SHOWN ? [...shown, t.settings.more(faults.length - FAULTS_SHOWN)] : shown
}

/** Entries that were left out, each with why, and those of what is no longer there. */
function leftOutWords(
  document: Document,
  log: readonly LogEntry[],
  leftOut: readonly DocumentFault[],
): string[] {
  const entries = new Set(leftOut.map(({ path }) => path[1])).size
  const orphans = orphansOf(document, log).length
  return [
    ...(entries > 0 ? [t.imports.leftOut(entries), ...lines(leftOut)] : []),
    ...(orphans > 0 ? [t.imports.orphans(orphans)] : []),
  ]
}
