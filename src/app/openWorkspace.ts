import { newId } from '@/data/newId'
import type { Space } from '@/data/storage/database'
import { openDexieStore } from '@/data/storage/dexieStore'
import { openMemoryStore } from '@/data/storage/memoryStore'
import { useSettingsStore } from '@/data/settingsStore'
import { useWorkspaceStore } from '@/data/workspaceStore'

const clock = () => Date.now()

/** Opens what this browser keeps; where it keeps nothing, works in memory and says so. The demo starts filled. */
export async function openWorkspace(space: Space): Promise<void> {
  const workspace = useWorkspaceStore()
  const tab = newId('tab')
  await workspace.open(() => openDexieStore(space, tab), 'kept', clock, tab, true)
  if (workspace.trouble?.fault.kind === 'blocked') await goOnInMemory()
  const isFilled = workspace.document.stays.length > 0 || workspace.undoLabel !== null
  if (space === 'demo' && !isFilled && workspace.state !== 'fault') {
    const { demoDocument } = await import('@/data/demo')
    const demo = await demoDocument(useSettingsStore().units)
    workspace.replace('start', () => demo)
  }
  void workspace.verify()
}

/** What is shown goes on in memory alone, and is gone with the page. */
export function goOnInMemory(): Promise<void> {
  return useWorkspaceStore().goVolatile((document) => openMemoryStore('', document))
}
