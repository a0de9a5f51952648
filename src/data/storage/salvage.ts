import Dexie from 'dexie'
import { DATABASE_NAMES, type Space } from './database'
import { readRows } from './readRows'

/** Dexie counts tenths of the browser's own version numbers. */
const versionOf = (database: Dexie) => Math.floor(database.verno)

/**
 * What a database holds, as a document's text, whatever state it is in: opened at the version it has, nothing upgraded,
 * nothing checked. An application that understands it reads it back; another says what is wrong with it.
 * @throws where nothing can be read at all
 */
export async function salvaged(space: Space): Promise<string> {
  const database = new Dexie(DATABASE_NAMES[space])
  try {
    await database.open()
    const rows = await readRows((name) => database.table(name))
    const written = (await database.table('meta').get('documentVersion')) as { value?: unknown } | undefined
    const version = typeof written?.value === 'number' ? written.value : versionOf(database)
    const log = database.tables.some(({ name }) => name === 'log')
      ? { log: await database.table('log').toArray() }
      : {}
    return `${JSON.stringify({ ...rows, version, ...log }, null, 2)}\n`
  } finally {
    database.close()
  }
}

/** Deletes what is kept, so that the next opening starts empty. Irrevocable: an export comes first. */
export async function discard(space: Space): Promise<void> {
  await Dexie.delete(DATABASE_NAMES[space])
}
