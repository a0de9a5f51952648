import { defineStore } from 'pinia'
import { ref } from 'vue'

/** What is open: the search for anything, or the list of keys of this screen. */
export const useSearchStore = defineStore('search', () => {
  const open = ref<'find' | 'keys' | null>(null)
  return { open }
})
