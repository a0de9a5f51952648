import { defineStore } from 'pinia'
import { computed, ref, watch } from 'vue'
import { isNumber, keptRef } from './keptValue'
import { useWorkspaceStore } from './workspaceStore'

/** unknown: not asked yet, or this browser cannot be asked. */
export type Keeping = 'unknown' | 'promised' | 'refused'

/** So many changes without a copy on a file are worth a word; and again so many after the word was put away. */
export const CHANGES_UNTIL_REMINDER = 150

/** Whether the browser promises to keep the owner's data, and how much has changed since a copy was last made. */
export const useKeepingStore = defineStore('keeping', () => {
  const workspace = useWorkspaceStore()
  const keeping = ref<Keeping>('unknown')
  const changes = keptRef<number>({ key: 'dry-count:changes', version: 1, first: 0, isWhole: isNumber })
  const remindAt = keptRef<number>({
    ...{ key: 'dry-count:remind-at', version: 1, first: CHANGES_UNTIL_REMINDER },
    isWhole: isNumber,
  })
  const isMine = ref(false)
  const isReminderDue = computed(
    () => isMine.value && workspace.state === 'kept' && changes.value >= remindAt.value,
  )

  async function look(): Promise<void> {
    if (await navigator.storage?.persisted?.().catch(() => false)) keeping.value = 'promised'
  }

  /** The browser is asked once there is something to keep. */
  async function ask(): Promise<void> {
    if (keeping.value === 'promised' || !navigator.storage?.persist) return
    const isPromised = await navigator.storage.persist().catch(() => false)
    keeping.value = isPromised ? 'promised' : 'refused'
  }

  /** Counts changes of the owner's own data; the demo needs no copy. */
  function follow(mine: boolean): void {
    isMine.value = mine
    void look()
    if (!mine) return
    watch(
      () => workspace.document,
      () => {
        if (workspace.saveState === 'saved' || workspace.state === 'loading') return
        changes.value += 1
        if (keeping.value === 'unknown') void ask()
      },
    )
  }

  return {
    keeping,
    changes,
    isReminderDue,
    follow,
    ask,
    exported(): void {
      changes.value = 0
      remindAt.value = CHANGES_UNTIL_REMINDER
    },
    notNow(): void {
      remindAt.value = changes.value + CHANGES_UNTIL_REMINDER
    },
  }
})
