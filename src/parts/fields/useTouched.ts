import { ref, watch, type WatchSource } from 'vue'

/** Controls that change something when they are pressed; typing is heard as input. */
const CHANGES = '[aria-pressed], [role=radio], [role=switch], [role=option], [data-stepper] button'

/** Whether something was typed or tapped since `of` changed: `v-on="heard"` on what holds the form. */
export function useTouched(of: WatchSource) {
  const isTouched = ref(false)
  const touch = () => void (isTouched.value = true)
  watch(of, () => void (isTouched.value = false), { flush: 'sync' })
  const heard = {
    input: touch,
    change: touch,
    click: ({ target }: MouseEvent) => {
      if (target instanceof Element && target.closest(CHANGES)) touch()
    },
  }
  return { isTouched, heard }
}
