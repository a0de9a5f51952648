import { defineStore } from 'pinia'
import { ref } from 'vue'

/** Which of the ways in is open: the search for anything, or the keys of the screen. */
export const useWaysStore = defineStore('ways', () => {
  const open = ref<'find' | 'keys' | null>(null)
  return { open }
})
