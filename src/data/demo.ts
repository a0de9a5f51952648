import type { Document } from '@/core/model'
import { readDocument } from '@/document'
import trailer from '../../demo/harrow-ridge-trailer.drycount.json?raw'

/** The demo world's document, shipped as a file; the build's tests keep it valid. */
export function demoDocument(): Document {
  const result = readDocument(trailer)
  if (!result.ok) throw new Error('the shipped demo is not a valid document')
  return result.value
}
