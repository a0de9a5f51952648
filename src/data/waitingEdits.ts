import type { Document } from '@/core/domain'
import type { DocumentFault } from '@/document'
import type { Checks } from './checks'
import { COALESCE_MS, type Edit } from './storage/documentStore'
import type { LogOperation } from './storage/logStore'

/** An edit that is shown and not yet written, with what it was made on. */
export interface Waiting {
  edit: Edit
  at: number
  before: Document
  after: Document
  /** Made before the checks were there: held against them before it is written. */
  isUnchecked: boolean
  /** Told what breaks a rule, once the checks are there; without it a notice says so. */
  refuse?: Refuse
}

export type Refuse = (faults: readonly DocumentFault[]) => void

/** An edit's outcome breaks the rules between fields. */
export class DoesNotFit extends Error {
  constructor(readonly faults: readonly DocumentFault[]) {
    super('the edit does not fit the document')
  }
}

/** @throws DoesNotFit where the outcome of an edit, or an entry it logs, breaks a rule */
export function holdTo(checks: Checks, base: Document, next: Document, log?: readonly LogOperation[]): void {
  const faults = faultsOf(checks, base, next, log)
  if (faults.length > 0) throw new DoesNotFit(faults)
}

/** What is wrong with the outcome of an edit, and with the entries it logs. */
export function faultsOf(
  { checkedEdit, checkedEntry }: Checks,
  base: Document,
  next: Document,
  log: readonly LogOperation[] = [],
): DocumentFault[] {
  const results = [
    checkedEdit(base, next),
    ...log.flatMap((one) => (one.op === 'put' ? [checkedEntry(one.entry)] : [])),
  ]
  return results.flatMap((result) => (result.ok ? [] : result.faults))
}

/** The newest step of what waits, in its order, as long as a drag is one; and what waited before it. */
export function newestStep(waiting: readonly Waiting[]): { rest: Waiting[]; step: Waiting[] } {
  const rest = [...waiting]
  const step = [rest.pop()!]
  const isSameStep = ({ edit: { coalesce }, at }: Waiting) =>
    coalesce !== null && coalesce === step[0]!.edit.coalesce && step[0]!.at - at < COALESCE_MS
  while (rest.length > 0 && isSameStep(rest.at(-1)!)) step.unshift(rest.pop()!)
  return { rest, step }
}
