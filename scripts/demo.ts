import { writeFileSync } from 'node:fs'
import { openDocument, writeDocument } from '@/document'
import { trailerLog } from './demo/trailerLog'
import { vanLog } from './demo/vanLog'
import { trailerDemo } from './demo/trailer'
import { truckDemo } from './demo/truck'
import { vanDemo } from './demo/van'

const DEMOS = {
  'harrow-ridge-trailer': { document: trailerDemo, log: trailerLog },
  'low-meadow-van': { document: vanDemo, log: vanLog },
  'ridge-season-truck': { document: truckDemo, log: () => [] },
}

for (const [name, { document, log }] of Object.entries(DEMOS)) {
  const result = await openDocument({ ...document(), log: log() })
  if (!result.ok) throw new Error(`${name}: ${JSON.stringify(result.faults)}`)
  writeFileSync(`demo/${name}.drycount.json`, writeDocument(result.value, result.log))
}
