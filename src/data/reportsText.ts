import type { Report } from './report'

/** What went wrong, as it is copied for somebody who helps. */
export function reportsText(all: readonly Report[]): string {
  return all.map(({ at, where, what, times }) => `${at} ${where} (${times} ×)\n${what}`).join('\n\n')
}
