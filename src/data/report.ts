import { shallowRef } from 'vue'

/** A fault that the application met and went on from. */
export interface Report {
  /** ISO 8601 in UTC. */
  at: string
  /** What it was doing. */
  where: string
  /** What the error says, with the place in the code it came from. */
  what: string
  /** How often in a row. */
  times: number
}

const MOST = 20
/** The last twenty since the page was opened, the newest first; Settings shows them. */
export const reports = shallowRef<readonly Report[]>([])

/** Every error that is caught and not thrown on goes through here, or its silence is argued where it is caught. */
export function report(where: string, error: unknown): void {
  const what = wordsOf(error)
  const [last, ...before] = reports.value
  const at = new Date().toISOString()
  if (last?.where === where && last.what === what)
    reports.value = [{ ...last, at, times: last.times + 1 }, ...before]
  else reports.value = [{ at, where, what, times: 1 }, ...reports.value].slice(0, MOST)
}

/** Its message and the first lines of its trace, without the address of the page. */
function wordsOf(error: unknown): string {
  if (!(error instanceof Error)) return String(error)
  const trace = (error.stack ?? '').split('\n').slice(1, 4)
  const lines = [`${error.name}: ${error.message}`, ...trace.map((line) => line.trim())]
  return lines.join('\n').replaceAll(/\bhttps?:\/\/[^/\s]+\//g, '')
}
