import type { Document } from '@/core/model'
import { addDocument } from '@/document'
import trailer from '../../demo/harrow-ridge-trailer.drycount.json?raw'
import van from '../../demo/low-meadow-van.drycount.json?raw'
import truck from '../../demo/ridge-season-truck.drycount.json?raw'
import { newId } from './newId'

/** The demo world: the three shipped documents in one, the trailer's stay on the screen. The build's tests keep them valid. */
export function demoDocument(): Document {
  const [first, ...others] = [trailer, van, truck].map(opened)
  const all = others.reduce((document, added) => addDocument(document, added, newId), first!)
  return { ...all, currentStay: first!.currentStay }
}

/** Shipped files are of the current version, and held valid by the build's tests: nothing is checked here. */
function opened(text: string): Document {
  return JSON.parse(text) as Document
}
