import { useEventListener, useRafFn } from '@vueuse/core'
import { computed, ref, watch, type Ref } from 'vue'

/** How long a thing that matters is held, ms. */
const HOLD_MS = 700
/** A finger that moves further scrolls, px. */
const MOVED_PX = 24

/**
 * A tap or a hold anywhere on a surface, by finger, mouse or key. Where something else on the surface is pressed (a button, a
 * field) it is left to that. `press` belongs to the one button that says what the surface does.
 * @param isHold whether it wants a hold, or a tap is enough
 */
export function useHold(surface: Ref<HTMLElement | null>, isHold: () => boolean, done: () => void) {
  const since = ref<number | null>(null)
  const now = ref(0)
  let from = { x: 0, y: 0 }
  /** What was held through is let go of afterwards: that is no tap on what comes next. */
  let wasHeld = false
  const { pause, resume } = useRafFn(() => void (now.value = performance.now()), { immediate: false })
  const share = computed(() => (since.value === null ? 0 : Math.min(1, (now.value - since.value) / HOLD_MS)))
  const isOther = (target: EventTarget | null) =>
    target instanceof Element && target.closest('button, a, input, select, label, [role=dialog]') !== null

  function begin(at: { x: number; y: number }): void {
    from = at
    now.value = since.value = performance.now()
    resume()
  }
  function end(): void {
    since.value = null
    pause()
  }
  watch(share, (held) => {
    if (held < 1) return
    end()
    wasHeld = true
    done()
  })
  function down({ clientX, clientY, button }: PointerEvent): void {
    wasHeld = false
    if (button === 0 && isHold()) begin({ x: clientX, y: clientY })
  }
  function tapped(): void {
    if (!wasHeld && !isHold()) done()
    wasHeld = false
  }
  useEventListener(surface, 'pointerdown', (event: PointerEvent) => {
    if (!isOther(event.target)) down(event)
  })
  useEventListener(surface, 'pointermove', ({ clientX, clientY }: PointerEvent) => {
    if (Math.hypot(clientX - from.x, clientY - from.y) > MOVED_PX) end()
  })
  useEventListener(surface, ['pointerup', 'pointercancel', 'pointerleave'], end)
  useEventListener(surface, 'click', (event: MouseEvent) => {
    if (!isOther(event.target)) tapped()
  })

  const isKey = ({ key }: KeyboardEvent) => key === 'Enter' || key === ' '
  const press = {
    pointerdown: down,
    keydown(event: KeyboardEvent) {
      if (!isKey(event)) return
      // A key that is kept down goes on no further than one step.
      if (!event.repeat) wasHeld = false
      if (event.repeat || isHold()) event.preventDefault()
      if (!event.repeat && isHold() && since.value === null) begin(from)
    },
    keyup(event: KeyboardEvent) {
      if (isKey(event) && since.value !== null) event.preventDefault()
      if (isKey(event)) end()
    },
    blur: end,
    click({ detail }: MouseEvent) {
      // A reader of the screen presses without a pointer or a key: it has said what it is about to press.
      if (detail === 0 && isHold() && !wasHeld) done()
      else tapped()
    },
  }
  return { share, press }
}
