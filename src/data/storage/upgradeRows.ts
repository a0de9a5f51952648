import type { Transaction } from 'dexie'
import { entityFromVersion1 } from '@/document'
import { LISTS, type Change, type Row } from './changes'

/**
 * Brings every kept row, and every row in the history, from document version 1 to 2, in the one transaction of the
 * database's upgrade: it happens whole or not at all, and undo reaches back across it.
 */
export async function upgradeRows(transaction: Transaction): Promise<void> {
  for (const list of LISTS)
    await transaction
      .table<Row>(list)
      .toCollection()
      .modify((row) => void (row.entity = upgraded(list, row.entity)))
  await transaction
    .table<{ changes: Change[] }>('history')
    .toCollection()
    .modify((step) => {
      for (const change of step.changes) {
        if (change.list === 'currentStay') continue
        if (change.before) change.before.entity = upgraded(change.list, change.before.entity)
        if (change.after) change.after.entity = upgraded(change.list, change.after.entity)
      }
    })
}

/** The old row was checked when it was written. */
function upgraded(list: (typeof LISTS)[number], entity: unknown): Row['entity'] {
  const upgrade = entityFromVersion1[list] as (old: unknown) => unknown
  return upgrade(entity) as Row['entity']
}
