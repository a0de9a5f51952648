import Dexie, { type Transaction } from 'dexie'
import type { Change, Row } from './changes'
import { StorageFault } from './faults'
import { readRows } from './readRows'

/** How an entity of each list becomes one of the next document version. The old one was checked when it was written. */
type EntityUpgrades<List extends string> = Record<List, (entity: never) => object>
type Documents = typeof import('@/document/checking')
/** Fetched only where there is something to upgrade; the upgrade's transaction is kept open meanwhile. */
const documents = () => Dexie.waitFor(import('@/document/checking'))

/**
 * Brings every kept row, and every row in the history, to the next document version, in the one transaction of the
 * database's upgrade: it happens whole or not at all, and undo reaches back across it.
 * @param lists the tables that there were in that version
 */
export function rowsUpgrade<List extends string>(
  lists: readonly List[],
  from: (documents: Documents) => EntityUpgrades<List>,
): (transaction: Transaction) => Promise<void> {
  return async (transaction) => {
    const upgrades = from(await documents())
    const upgraded = (list: List, entity: unknown) => {
      try {
        return upgrades[list](entity as never) as Row['entity']
      } catch {
        // A row that is no entity of its version at all.
        throw new StorageFault('upgrade')
      }
    }
    for (const list of lists)
      await transaction
        .table<Row>(list)
        .toCollection()
        .modify((row) => void (row.entity = upgraded(list, row.entity)))
    await transaction
      .table<{ changes: Change[] }>('history')
      .toCollection()
      .modify((step) => {
        for (const change of step.changes) {
          if (change.list === 'currentStay' || change.list === 'log') continue
          const list = change.list as string as List
          if (change.before) change.before.entity = upgraded(list, change.before.entity)
          if (change.after) change.after.entity = upgraded(list, change.after.entity)
        }
      })
  }
}

/**
 * The last thing in the transaction of an upgrade: what the rows have become is a valid document, or nothing has happened.
 * @throws StorageFault
 */
export async function checkUpgraded(transaction: Transaction): Promise<void> {
  const document = await readRows((name) => transaction.table(name))
  const { checked } = await documents()
  const result = checked(document)
  if (!result.ok) throw new StorageFault('upgrade', result.faults)
}
