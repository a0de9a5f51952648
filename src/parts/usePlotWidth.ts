import { useMediaQuery } from '@vueuse/core'
import { computed } from 'vue'

/** Width of a drawing in its own units: a phone gets a narrower one, so that its words stay as large as on a laptop. */
export function usePlotWidth(wide: number, narrow = 330) {
  const isWide = useMediaQuery('(min-width: 40rem)')
  return computed(() => (isWide.value ? wide : narrow))
}
