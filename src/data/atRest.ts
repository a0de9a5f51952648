import { createSharedComposable, until, useDebounceFn, useMousePressed } from '@vueuse/core'
import { watch } from 'vue'

const useHeld = createSharedComposable(() => useMousePressed({ drag: false }))

/** Waits until no finger and no mouse holds anything; at once where none does. */
export function useLetGo(): () => Promise<unknown> {
  const { pressed } = useHeld()
  return () => until(pressed).toBe(false)
}

/**
 * What takes longer than a frame, after the last change, and not while a finger or a mouse holds something: what is dragged, its
 * count and its chances have the machine to themselves until it is let go.
 * @param quietMs how long nothing must be asked for first
 * @returns asks for it
 */
export function useAtRest(work: () => unknown, quietMs: number): () => void {
  const { pressed } = useHeld()
  let isDue = false
  const soon = useDebounceFn(() => {
    isDue = pressed.value
    if (!isDue) void work()
  }, quietMs)
  watch(pressed, (is) => {
    if (!is && isDue) void soon()
  })
  return () => void soon()
}
