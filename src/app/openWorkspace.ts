import { openDexieStore } from '@/data/storage/dexieStore'
import type { Space } from '@/data/storage/database'
import { openMemoryStore } from '@/data/storage/memoryStore'
import { useWorkspaceStore } from '@/data/workspaceStore'

const clock = () => Date.now()

/** Opens what this browser keeps; where it keeps nothing, works in memory and says so. The demo starts filled. */
export async function openWorkspace(space: Space): Promise<void> {
  const workspace = useWorkspaceStore()
  const canKeep = typeof indexedDB !== 'undefined'
  await workspace.open(
    canKeep ? openDexieStore(space) : openMemoryStore(),
    canKeep ? 'kept' : 'volatile',
    clock,
  )
  if (space === 'mine' || workspace.document.stays.length > 0 || workspace.undoLabel !== null) return
  const { demoDocument } = await import('@/data/demo')
  workspace.replace('start', () => demoDocument())
}
