import type { Transaction } from 'dexie'
import { LISTS, type Change, type Row } from './changes'

type List = (typeof LISTS)[number]
/** How an entity of each list becomes one of the next document version. The old one was checked when it was written. */
type EntityUpgrades = Record<List, (entity: never) => object>

/**
 * Brings every kept row, and every row in the history, to the next document version, in the one transaction of the
 * database's upgrade: it happens whole or not at all, and undo reaches back across it.
 */
export function rowsUpgrade(upgrades: EntityUpgrades): (transaction: Transaction) => Promise<void> {
  const upgraded = (list: List, entity: unknown) => upgrades[list](entity as never) as Row['entity']
  return async (transaction) => {
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
}
