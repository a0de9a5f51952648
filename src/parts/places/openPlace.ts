import { defineStore } from 'pinia'
import { ref } from 'vue'
import type { Id } from '@/core/domain'

/** The place that is open to be changed; null: none. */
export const useOpenPlace = defineStore('open-place', () => {
  const id = ref<Id | null>(null)
  return { id, open: (place: Id) => void (id.value = place), close: () => void (id.value = null) }
})
