/** Everything that can be wrong with a document. The texts give each code its words. */
export const FAULT_CODES = [
  // the file
  'too-large',
  'not-json',
  'cut-short',
  'foreign',
  'too-new',
  'unknown-version',
  // its shape
  'missing',
  'wrong-type',
  'unknown-field',
  'too-small',
  'too-big',
  'bad-choice',
  'too-long',
  'too-many',
  'too-few',
  'bad-text',
  'bad-time',
  'reserved-id',
  // its sense
  'duplicate-id',
  'dangling',
  'draws-from-waste',
  'drains-into-supply',
  'shares-not-one',
  'weights-not-one',
  'level-missing',
  'level-unknown',
  'reserve-over-capacity',
  'ends-before-start',
  'stretch-backwards',
  'beyond-horizon',
  'days-reversed',
  'rate-of-crew-activity',
  'rationed',
  'rivals-on',
  'listed-twice',
  'liquid-into-solids',
  'solids-astray',
  'two-outlets',
  'joined-alone',
  'joined-without-end-valve',
  'no-vessel',
  'gray-reuse',
  'reuse-loop',
  'gear-missing',
  'not-allowed',
  'night-before-day',
  'body-changed',
  'probes-fall',
  'step-astray',
  'follows-later',
] as const
export type FaultCode = (typeof FAULT_CODES)[number]

/** One fault: where in the document, what was found there and what was expected. Words are made at the edge. */
export interface DocumentFault {
  code: FaultCode
  /** Keys and indices from the root; empty: the document as a whole. */
  path: (string | number)[]
  found: string
  expected: string
}

/** `stays[0].levels[2].level.value`, or `document` for the root. */
export function pathText(path: readonly (string | number)[]): string {
  const text = path.map((key) => (typeof key === 'number' ? `[${key}]` : `.${key}`)).join('')
  return text === '' ? 'document' : text.replace(/^\./, '')
}

const SHOWN = 60

/** What stands there, short enough for one line. */
export function show(value: unknown): string {
  if (value === undefined) return 'nothing'
  if (Array.isArray(value)) return `a list of ${value.length}`
  if (typeof value === 'object' && value !== null) return 'an object'
  const text = typeof value === 'number' ? String(value) : (JSON.stringify(value) ?? typeof value)
  return text.length > SHOWN ? `${text.slice(0, SHOWN)}…` : text
}
