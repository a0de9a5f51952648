import { produce } from 'immer'
import type { Document } from '@/core/domain'
import type { Action } from '@/data/action'
import type { EditLabel } from '@/data/storage/documentStore'
import type { LogOperation } from '@/data/storage/logStore'

type Key<A extends unknown[]> = (...args: A) => string | null

/**
 * An action of a change of a draft: `setGoal(stay, night)` of `setGoal(draft, stay, night)`.
 * @param change changes the draft it is given; it may be called again, on another draft
 * @param key what makes quick ones after another one step of undo; left out: each is its own
 */
/* #__NO_SIDE_EFFECTS__ */
export function action<A extends unknown[]>(
  label: EditLabel,
  change: (draft: Document, ...args: A) => void,
  key: Key<A> = () => null,
): (...args: A) => Action {
  return (...args) => ({
    label,
    next: (document) => produce(document, (draft: Document) => change(draft, ...args)),
    key: key(...args),
    log: [],
    ends: null,
  })
}

/** The same action, which also writes to the log. */
export function logging(one: Action, log: readonly LogOperation[], ends: Action['ends'] = null): Action {
  return { ...one, log, ends }
}
