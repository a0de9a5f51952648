import { useStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { safeStorage } from './safeStorage'

/** Which sections of the screens stand open in this browser; all of them are closed until somebody opens them. */
export const useFoldStore = defineStore('folds', () => {
  const open = useStorage<string[]>('dry-count:open', [], safeStorage())
  const isOpen = (id: string) => open.value.includes(id)
  function set(id: string, isToBeOpen: boolean): void {
    if (isOpen(id) !== isToBeOpen)
      open.value = isToBeOpen ? [...open.value, id] : open.value.filter((one) => one !== id)
  }
  return { isOpen, set }
})
