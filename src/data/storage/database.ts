import Dexie, { type Table } from 'dexie'
import type { LogEntry } from '@/core/log'
import { checkUpgraded, rowsUpgrade } from './upgradeRows'
import type { BegunRow } from './begun'
import type { Row } from './changes'
import type { HistoryStep } from './documentStore'

interface MetaRow {
  key: 'currentStay' | 'revision' | 'documentVersion' | 'logRevision'
  value: string | number | null
}

/** The tables of entities that the upgrade to each version finds: frozen with it, whatever is added later. */
const LISTS_OF = {
  2: ['rigs', 'crews', 'habits', 'stays'],
  3: ['rigs', 'crews', 'habits', 'stays'],
  4: ['rigs', 'crews', 'habits', 'stays'],
  5: ['rigs', 'crews', 'habits', 'stays'],
  6: ['rigs', 'crews', 'habits', 'stays'],
  7: ['rigs', 'crews', 'habits', 'stays'],
  8: ['rigs', 'crews', 'habits', 'stays'],
  9: ['rigs', 'crews', 'habits', 'stays'],
} as const

/** The owner's data and the demo's are two databases; neither ever touches the other. */
export const DATABASE_NAMES = { mine: 'dry-count', demo: 'dry-count-demo' } as const
export type Space = keyof typeof DATABASE_NAMES

/** A row per entity; each edit with its before and after in `history`. Strict durability: a commit is on the disk. */
export class DryCountDatabase extends Dexie {
  rigs!: Table<Row, string>
  crews!: Table<Row, string>
  habits!: Table<Row, string>
  stays!: Table<Row, string>
  meta!: Table<MetaRow, string>
  history!: Table<HistoryStep, number>
  /** By id, and by stay and time. */
  log!: Table<LogEntry, string>
  begun!: Table<BegunRow, string>

  constructor(space: Space) {
    // Nothing is queried live: rows that are kept twice would only be copied twice.
    super(DATABASE_NAMES[space], { chromeTransactionDurability: 'strict', cache: 'disabled' })
    this.version(1).stores({
      rigs: 'id',
      crews: 'id',
      habits: 'id',
      stays: 'id',
      meta: 'key',
      history: 'seq, undone',
    })
    this.version(2)
      .stores({})
      .upgrade(rowsUpgrade(LISTS_OF[2], (documents) => documents.entityFromVersion1))
    this.version(3)
      .stores({})
      .upgrade(rowsUpgrade(LISTS_OF[3], (documents) => documents.entityFromVersion2))
    this.version(4)
      .stores({})
      .upgrade(rowsUpgrade(LISTS_OF[4], (documents) => documents.entityFromVersion3))
    this.version(5)
      .stores({ log: 'id, [stay+utc]' })
      .upgrade(rowsUpgrade(LISTS_OF[5], (documents) => documents.entityFromVersion4))
    this.version(6)
      .stores({})
      .upgrade(rowsUpgrade(LISTS_OF[6], (documents) => documents.entityFromVersion5))
    this.version(7)
      .stores({})
      .upgrade(rowsUpgrade(LISTS_OF[7], (documents) => documents.entityFromVersion6))
    this.version(8)
      .stores({})
      .upgrade(rowsUpgrade(LISTS_OF[8], (documents) => documents.entityFromVersion7))
    this.version(9)
      .stores({})
      .upgrade(async (transaction) => {
        await rowsUpgrade(LISTS_OF[9], (documents) => documents.entityFromVersion8)(transaction)
        await checkUpgraded(transaction)
      })
    // Rows are as they were; entries may hold what an older tab does not know: it gives way.
    this.version(10).stores({})
    this.version(11).stores({ begun: 'name' })
  }
}
