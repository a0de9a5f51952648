import { vi } from 'vitest'

/** Waits until a check holds: long enough for a machine that is busy with something else, and no longer than it takes. */
export const patiently = <T>(check: () => T | Promise<T>) =>
  vi.waitFor(check, { timeout: 60_000, interval: 20 })
