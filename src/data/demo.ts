import type { LogEntry } from '@/core/log'
import type { Document } from '@/core/domain'
import type { UnitChoice } from '@/core/quantities'
import { addFile } from '@/document'
import { demoInRoundNumbers } from '@/document/starters'
import trailer from '../../demo/harrow-ridge-trailer.drycount.json?url'
import van from '../../demo/low-meadow-van.drycount.json?url'
import truck from '../../demo/ridge-season-truck.drycount.json?url'
import { newId } from './newId'

/**
 * The demo world: the three shipped files in one, the trailer's stay on the screen, its sizes round in the reader's units.
 * The build's tests keep them valid.
 */
export async function demoFile(units: UnitChoice): Promise<{ document: Document; log: LogEntry[] }> {
  const [first, ...others] = await Promise.all([trailer, van, truck].map(opened))
  const all = others.reduce((base, { document, log }) => {
    const added = addFile(base.document, document, log, newId)
    return { document: added.document, log: [...base.log, ...added.log] }
  }, first!)
  const document = { ...all.document, currentStay: first!.document.currentStay }
  return { document: demoInRoundNumbers(document, units), log: all.log }
}

/** Shipped files are of the current version, and held valid by the build's tests: nothing is checked here. */
async function opened(url: string): Promise<{ document: Document; log: LogEntry[] }> {
  const { log, ...document } = (await (await fetch(url)).json()) as Document & { log: LogEntry[] }
  return { document, log }
}
