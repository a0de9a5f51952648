/** How long nothing may have been going on. */
const CALM_MS = 2000
const LOOK_MS = 500

/**
 * Once nothing has been going on for a while: for what is large and not needed before somebody acts, and then asked for by
 * itself. @param isBusy whether something is going on
 */
export async function whenCalm(isBusy: () => boolean): Promise<void> {
  for (let calm = 0; calm < CALM_MS; calm = isBusy() ? 0 : calm + LOOK_MS)
    await new Promise((resolve) => setTimeout(resolve, LOOK_MS))
}

const TOUCHES = ['pointerdown', 'keydown', 'focusin'] as const

/** Once somebody sets about something. */
export function whenTouched(): Promise<void> {
  return new Promise((resolve) => {
    const touched = () => {
      for (const kind of TOUCHES) window.removeEventListener(kind, touched, true)
      resolve()
    }
    for (const kind of TOUCHES) window.addEventListener(kind, touched, { capture: true, passive: true })
  })
}
