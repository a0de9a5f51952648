import type { Document } from '@/core/model'
import { addDocument, readDocument } from '@/document'
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

function opened(text: string): Document {
  const result = readDocument(text)
  if (!result.ok) throw new Error('a shipped demo is not a valid document')
  return result.value
}
