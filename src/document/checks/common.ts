import { show, type DocumentFault } from '../faults'

export type Path = (string | number)[]

/** Shares typed as decimals may miss 1 by rounding, no more. */
const SUM_TOLERANCE = 1e-9

export function sumsToOne(total: number): boolean {
  return Math.abs(total - 1) <= SUM_TOLERANCE
}

export function duplicateIds(list: readonly { id: string }[], path: Path): DocumentFault[] {
  const seen = new Set<string>()
  const faults: DocumentFault[] = []
  list.forEach(({ id }, i) => {
    if (seen.has(id))
      faults.push({ code: 'duplicate-id', path: [...path, i, 'id'], found: show(id), expected: '' })
    seen.add(id)
  })
  return faults
}
