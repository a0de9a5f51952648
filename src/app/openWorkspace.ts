import { useClockStore } from '@/data/clockStore'
import { newId } from '@/data/newId'
import type { Space } from '@/data/storage/database'
import { openDexieStore } from '@/data/storage/dexieStore'
import { useJobStore } from '@/data/jobStore'
import { useSettingsStore } from '@/data/settingsStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { whenCalm, whenTouched } from '@/ui/whenCalm'

const clock = () => Date.now()

/**
 * Opens what this browser keeps; where it keeps nothing, works in memory and says so. The demo starts filled.
 * @param isNew nothing will be kept yet: the demo is fetched while its database is made
 */
export async function openWorkspace(space: Space, isNew: boolean): Promise<void> {
  const workspace = useWorkspaceStore()
  const jobs = useJobStore()
  const tab = newId('tab')
  workspace.space = space
  useClockStore().follow(space)
  const early = space === 'demo' && isNew ? demo() : null
  early?.catch(() => undefined)
  await workspace.open(() => openDexieStore(space, tab), 'kept', clock, tab, true)
  if (workspace.trouble?.fault.kind === 'blocked') await goOnInMemory()
  if (space === 'demo' && workspace.state !== 'fault' && isToBeFilled()) {
    const { document, log } = await (early ?? demo())
    workspace.replace('start', () => document, null, [{ op: 'replace', entries: log }], true)
  }
  // Large, and wanted with the first edit: when somebody sets about one, or when there is time.
  void Promise.race([whenTouched(), whenCalm(() => jobs.isBusy)]).then(workspace.verify)
}

async function demo() {
  const { demoFile } = await import('@/data/demo')
  return demoFile(useSettingsStore().units)
}

/** The demo is empty, or it is one of before there was a log that nobody has touched. */
function isToBeFilled(): boolean {
  const { document, undoLabel, redoLabel, logRevision } = useWorkspaceStore()
  if (undoLabel === null) return document.stays.length === 0
  return undoLabel === 'start' && redoLabel === null && logRevision === 0
}

/** What is shown goes on in memory alone, and is gone with the page. */
export async function goOnInMemory(): Promise<void> {
  const { openMemoryStore } = await import('@/data/storage/memoryStore')
  return useWorkspaceStore().goVolatile((document, log) => openMemoryStore('', document, log))
}
