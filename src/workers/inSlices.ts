/** How long one slice of work may keep the screen waiting; a frame has 16 ms. */
export const SLICE_MS = 8

/** Work that stops for breath, with something to tell or not. */
type Work<Step, T> = Generator<Step, T, undefined>

/** Works until the time is up. @returns what came of it, or what it told last */
export function workFor<Step, T>(
  work: Work<Step, T>,
  ms: number,
  tell: (step: Step) => unknown = () => undefined,
): { value: T } | null {
  const until = performance.now() + ms
  for (;;) {
    const step = work.next()
    if (step.done) return { value: step.value }
    tell(step.value)
    if (performance.now() >= until) return null
  }
}

/**
 * Works to the end, a slice at a time, with the screen free in between.
 * @param goesOn asked before every slice @returns null where it was not to go on
 */
export async function inSlices<Step, T>(
  work: Work<Step, T>,
  goesOn: () => boolean,
  tell?: (step: Step) => unknown,
): Promise<{ value: T } | null> {
  while (goesOn()) {
    const done = workFor(work, SLICE_MS, tell)
    if (done) return done
    await free()
  }
  return null
}

/** Lets the screen have its turn; also in a tab that is not shown, where frames stand still. */
export function free(): Promise<void> {
  return new Promise((resolve) => setTimeout(resolve))
}
