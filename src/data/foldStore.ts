import { defineStore } from 'pinia'
import { isListOf, isText, keptRef } from './keptValue'

/** Which sections of the screens stand open in this browser; all of them are closed until somebody opens them. */
export const useFoldStore = defineStore('folds', () => {
  const open = keptRef<string[]>({
    ...{ key: 'dry-count:open', version: 1, first: [] },
    isWhole: isListOf(isText),
  })
  const isOpen = (id: string) => open.value.includes(id)
  function set(id: string, isToBeOpen: boolean): void {
    if (isOpen(id) !== isToBeOpen)
      open.value = isToBeOpen ? [...open.value, id] : open.value.filter((one) => one !== id)
  }
  return { isOpen, set }
})
