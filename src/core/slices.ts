/**
 * Long work in pieces: it stops after about `PIECE` small operations (a few milliseconds), so that the one who shows a screen
 * can show it in between, with the share that is done, 0 to 1. What most people's stays take is less than one piece.
 */
export type Steps<T> = Generator<number, T, undefined>

export const PIECE = 300_000

/** Work that is some of a larger work: its share runs from one share of that to another. */
export function* within<T>(steps: Steps<T>, from: number, to: number): Steps<T> {
  for (;;) {
    const step = steps.next()
    if (step.done) return step.value
    yield from + (to - from) * step.value
  }
}

/** All of it at once. */
export function whole<T>(steps: Steps<T>): T {
  for (;;) {
    const step = steps.next()
    if (step.done) return step.value
  }
}

/** The same work with nothing told on the way: breaths alone. */
export function* untold<T>(work: Generator<unknown, T, undefined>): Generator<undefined, T, undefined> {
  for (let step = work.next(); ; step = work.next()) {
    if (step.done) return step.value
    yield
  }
}
