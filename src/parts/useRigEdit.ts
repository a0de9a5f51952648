import type { Document, Rig } from '@/core/model'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { rigOf } from '@/document/edits'

/** Edits of one rig, each with a key so that typing is one step of undo. */
export function useRigEdit(rig: () => Rig) {
  const workspace = useWorkspaceStore()
  /** A recipe on the rig itself. */
  const change = (key: string | null, recipe: (draft: Rig) => void) => {
    const { id } = rig()
    return workspace.edit('rig', (draft) => recipe(rigOf(draft, id)), key === null ? null : `${key} ${id}`)
  }
  /** A recipe on the document, given the rig's id. */
  const edit = (key: string | null, recipe: (draft: Document, rigId: string) => void) => {
    const { id } = rig()
    return workspace.edit('rig', (draft) => recipe(draft, id), key === null ? null : `${key} ${id}`)
  }
  return { change, edit }
}
