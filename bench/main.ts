import { cpus } from 'node:os'
import { benchBrowser, benchToday, hasBrowser } from './browser'
import { benchEdit } from './edit'
import { sixtyDays } from './documents'
import { benchLearn } from './learn'
import { benchReach, benchRisk } from './risk'
import { median, sample } from './timing'
import { count } from '@/core/count'
import { compile } from '@/core/compile'
import { caseOf } from '@/core/domain'

console.log(`Node ${process.version}, ${cpus().length} cores`)

/** What is measured, by the name to ask for it alone: `npm run bench -- browser`. */
const parts: Record<string, () => void | Promise<void>> = {
  count: benchCount,
  edit: benchEdit,
  learn: benchLearn,
  risk: benchRisk,
  reach: benchReach,
  browser: () => (hasBrowser() ? benchBrowser() : undefined),
  today: () => (hasBrowser() ? benchToday() : undefined),
}

function benchCount(): void {
  const times = sample(400, 100, sixtyDays, (document) => {
    const model = compile(caseOf(document, 'stay'))
    return count(model).ledger.levels.length
  })
  console.log(
    `count: 60 days, 4 containers, 12 activities, compiled and counted with its ledger from a fresh document: ` +
      `${median(times).toFixed(3)} ms median (limit 2)`,
  )
}

const asked = process.argv.slice(2)
for (const [name, measure] of Object.entries(parts)) {
  if (asked.length === 0 || asked.includes(name)) await measure()
}
