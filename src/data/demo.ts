import type { Document } from '@/core/model'
import type { UnitChoice } from '@/core/quantities'
import { addDocument } from '@/document'
import { demoInRoundNumbers } from '@/document/starters'
import trailer from '../../demo/harrow-ridge-trailer.drycount.json?url'
import van from '../../demo/low-meadow-van.drycount.json?url'
import truck from '../../demo/ridge-season-truck.drycount.json?url'
import { newId } from './newId'

/**
 * The demo world: the three shipped documents in one, the trailer's stay on the screen, its sizes round in the reader's
 * units. The build's tests keep them valid.
 */
export async function demoDocument(units: UnitChoice): Promise<Document> {
  const [first, ...others] = await Promise.all([trailer, van, truck].map(opened))
  const all = others.reduce((document, added) => addDocument(document, added, newId), first!)
  return demoInRoundNumbers({ ...all, currentStay: first!.currentStay }, units)
}

/** Shipped files are of the current version, and held valid by the build's tests: nothing is checked here. */
async function opened(url: string): Promise<Document> {
  return (await (await fetch(url)).json()) as Document
}
