import { emptyDocument, type Document } from '@/core/domain'
import { LISTS, setList, type Row } from './changes'

interface Rows {
  toArray: () => PromiseLike<unknown[]>
  get: (key: string) => PromiseLike<unknown>
}

/** The document of a database's rows, as they are: nothing is checked. */
export async function readRows(table: (name: string) => Rows): Promise<Document> {
  const document = emptyDocument()
  for (const list of LISTS) setList(document, list, (await table(list).toArray()) as Row[])
  const current = (await table('meta').get('currentStay')) as { value?: unknown } | undefined
  document.currentStay = typeof current?.value === 'string' ? current.value : null
  return document
}
