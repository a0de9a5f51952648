import type { DocumentFault } from '@/document'
import * as t from '@/texts/t'

/** Why an edit was refused: all that is wrong where the first fault is, each thing once. */
export function refusalWords(faults: readonly DocumentFault[]): string {
  const [first] = faults
  if (!first) return ''
  const here = faults.filter(({ path }) => path.join() === first.path.join())
  return [...new Set(here.map((fault) => t.faults[fault.code](fault)))].join(' ')
}
