import { writeFileSync } from 'node:fs'
import { checked, writeDocument } from '@/document'
import { trailerDemo } from './demo/trailer'

const DEMOS = { 'harrow-ridge-trailer': trailerDemo }

for (const [name, build] of Object.entries(DEMOS)) {
  const result = checked(build())
  if (!result.ok) throw new Error(`${name}: ${JSON.stringify(result.faults)}`)
  writeFileSync(`demo/${name}.drycount.json`, writeDocument(result.value))
}
