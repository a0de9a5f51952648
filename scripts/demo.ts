import { writeFileSync } from 'node:fs'
import { checked, writeDocument } from '@/document'
import { trailerDemo } from './demo/trailer'
import { truckDemo } from './demo/truck'
import { vanDemo } from './demo/van'

const DEMOS = {
  'harrow-ridge-trailer': trailerDemo,
  'low-meadow-van': vanDemo,
  'ridge-season-truck': truckDemo,
}

for (const [name, build] of Object.entries(DEMOS)) {
  const result = checked(build())
  if (!result.ok) throw new Error(`${name}: ${JSON.stringify(result.faults)}`)
  writeFileSync(`demo/${name}.drycount.json`, writeDocument(result.value))
}
