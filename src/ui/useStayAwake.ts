import { useDocumentVisibility, useWakeLock } from '@vueuse/core'
import { onBeforeUnmount, watch } from 'vue'

/** Keeps the screen on while something runs, where the device lets it; a page that comes back asks for it again. */
export function useStayAwake(isNeeded: () => boolean) {
  const lock = useWakeLock()
  const visibility = useDocumentVisibility()
  watch(
    [isNeeded, visibility],
    ([needed, seen]) => {
      if (needed && seen === 'visible') void lock.request('screen').catch(() => undefined)
      else void lock.release().catch(() => undefined)
    },
    { immediate: true },
  )
  onBeforeUnmount(() => void lock.release().catch(() => undefined))
  return { isHeld: lock.isActive }
}
