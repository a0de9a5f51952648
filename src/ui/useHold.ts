import { useEventListener, useRafFn } from '@vueuse/core'
import { computed, ref, watch, type Ref } from 'vue'

/** How long a thing that matters is held, ms. */
const HOLD_MS = 700
/** A finger that moves further scrolls, px. */
const MOVED_PX = 24

/**
 * A tap or a hold anywhere on a surface, by finger, mouse or key. Where something else on the surface is pressed (a button, a
 * field) it is left to that.
 * @param isHold whether it wants a hold, or a tap is enough
 */
export function useHold(surface: Ref<HTMLElement | null>, isHold: () => boolean, done: () => void) {
  const since = ref<number | null>(null)
  const from = ref({ x: 0, y: 0 })
  const now = ref(0)
  const { pause, resume } = useRafFn(() => void (now.value = Date.now()), { immediate: false })
  const share = computed(() => (since.value === null ? 0 : Math.min(1, (now.value - since.value) / HOLD_MS)))
  const isOther = (target: EventTarget | null) =>
    target instanceof Element && target.closest('button, a, input, select, label, [role=dialog]') !== null

  function begin(at: { x: number; y: number }): void {
    from.value = at
    since.value = Date.now()
    now.value = Date.now()
    resume()
  }
  function end(isDone: boolean): void {
    if (since.value === null) return
    since.value = null
    pause()
    if (isDone) done()
  }
  watch(share, (now) => {
    if (now >= 1 && isHold()) end(true)
  })
  useEventListener(surface, 'pointerdown', (event: PointerEvent) => {
    if (event.button === 0 && !isOther(event.target)) begin({ x: event.clientX, y: event.clientY })
  })
  useEventListener(surface, 'pointermove', ({ clientX, clientY }: PointerEvent) => {
    if (Math.hypot(clientX - from.value.x, clientY - from.value.y) > MOVED_PX) end(false)
  })
  useEventListener(surface, 'pointerup', () => {
    end(!isHold())
  })
  useEventListener(surface, ['pointercancel', 'pointerleave'], () => {
    end(false)
  })
  // By keyboard, on the button that says so.
  const onKeydown = (event: KeyboardEvent) => {
    if (event.key !== 'Enter' && event.key !== ' ') return
    event.preventDefault()
    if (!event.repeat && since.value === null) begin({ x: 0, y: 0 })
  }
  const onKeyup = (event: KeyboardEvent) => {
    if (event.key !== 'Enter' && event.key !== ' ') return
    event.preventDefault()
    end(!isHold())
  }
  const press = {
    onKeydown,
    onKeyup,
    onPointerdown: (event: PointerEvent) => {
      begin({ x: event.clientX, y: event.clientY })
    },
    onPointerup: () => {
      end(!isHold())
    },
    onBlur: () => {
      end(false)
    },
    /** A reader of the screen presses without a pointer or a key: it has said what it is about to press. */
    onClick: (event: MouseEvent) => {
      if (event.detail === 0) done()
    },
  }
  return { share, press }
}
