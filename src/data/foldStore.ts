import { defineStore } from 'pinia'
import { isListOf, isText, keptRef } from './keptValue'

/** Which sections of the screens are open in this browser; closed until somebody opens them, but for what a wide screen shows. */
export const useFoldStore = defineStore('folds', () => {
  const open = keptRef<string[]>({
    ...{ key: 'dry-count:open', version: 1, first: [] },
    isWhole: isListOf(isText),
  })
  /** What was closed though it opens by itself is kept with a sign before it. */
  const closed = (id: string) => `-${id}`
  const isOpen = (id: string, isOpenAtFirst = false) =>
    open.value.includes(id) || (isOpenAtFirst && !open.value.includes(closed(id)))
  function set(id: string, isToBeOpen: boolean): void {
    const others = open.value.filter((one) => one !== id && one !== closed(id))
    open.value = [...others, isToBeOpen ? id : closed(id)]
  }
  return { isOpen, set }
})
