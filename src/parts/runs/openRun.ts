import { defineStore } from 'pinia'
import { ref } from 'vue'
import type { Id } from '@/core/domain'

/** The run that is open to be changed; null: none. */
export const useOpenRun = defineStore('open-run', () => {
  const id = ref<Id | null>(null)
  return { id, open: (run: Id) => void (id.value = run), close: () => void (id.value = null) }
})
