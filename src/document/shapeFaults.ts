import type { z } from './schema/zod'
import { show, type DocumentFault, type FaultCode } from './faults'

type Issue = z.core.$ZodIssue

/** Zod's issues as faults of our own: code and data, no words of the library. */
export function shapeFaults(issues: readonly Issue[], input: unknown): DocumentFault[] {
  return issues.flatMap((issue) => {
    const path = issue.path.map((key) => (typeof key === 'symbol' ? String(key) : key))
    const value = valueAt(input, path)
    return toFaults(issue, path, value)
  })
}

function toFaults(issue: Issue, path: (string | number)[], value: unknown): DocumentFault[] {
  const fault = (code: FaultCode, expected: string): DocumentFault[] => [
    { code, path, found: show(value), expected },
  ]
  if (value === undefined && issue.code !== 'unrecognized_keys') return fault('missing', 'a value')
  switch (issue.code) {
    case 'unrecognized_keys':
      return issue.keys.map((key) => ({
        code: 'unknown-field',
        path: [...path, key],
        found: show(key),
        expected: '',
      }))
    case 'invalid_type':
      return fault('wrong-type', issue.expected)
    case 'invalid_value':
      return fault('bad-choice', issue.values.map(show).join(', '))
    case 'invalid_union':
      return closestBranch(issue, path, value) ?? fault('bad-choice', expectedOfUnion(issue))
    case 'too_small':
      return fault(issue.origin === 'array' ? 'too-few' : 'too-small', String(issue.minimum))
    case 'too_big':
      return fault(tooBig(issue.origin), String(issue.maximum))
    case 'custom':
      return fault((issue.params?.code as FaultCode | undefined) ?? 'bad-text', '')
    default:
      return fault('bad-text', '')
  }
}

/**
 * Of a union without a discriminator, the faults of the branch that was meant: the one whose fixed words all fit. Null: none
 * is.
 */
function closestBranch(
  { errors }: Extract<Issue, { code: 'invalid_union' }>,
  path: (string | number)[],
  value: unknown,
): DocumentFault[] | null {
  const isMeant = (branch: readonly Issue[]) =>
    !branch.some(({ code, path: at }) => (code === 'invalid_value' && at.length === 1) || at.length === 0)
  const meant = errors.find((branch) => branch.length > 0 && isMeant(branch))
  if (!meant) return null
  return shapeFaults(meant, value).map((fault) => ({ ...fault, path: [...path, ...fault.path] }))
}

function tooBig(origin: string): FaultCode {
  return origin === 'array' ? 'too-many' : origin === 'string' ? 'too-long' : 'too-big'
}

function expectedOfUnion(issue: Extract<Issue, { code: 'invalid_union' }>): string {
  return issue.discriminator === undefined ? '' : `a known ${issue.discriminator}`
}

function valueAt(input: unknown, path: readonly (string | number)[]): unknown {
  return path.reduce<unknown>(
    (value, key) =>
      typeof value === 'object' && value !== null && Object.hasOwn(value, key)
        ? (value as Record<string | number, unknown>)[key]
        : undefined,
    input,
  )
}
