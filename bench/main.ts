import { cpus } from 'node:os'
import { benchBrowser, benchToday } from './browser'
import { benchEdit } from './edit'
import { sixtyDays } from './documents'
import { benchLearn } from './learn'
import { benchReach, benchRisk } from './risk'
import { median, sample } from './timing'
import { count } from '@/core/count'
import { compile } from '@/core/compile'
import { caseOf } from '@/core/model'

console.log(`Node ${process.version}, ${cpus().length} cores`)

const times = sample(400, 100, sixtyDays, (document) => {
  const model = compile(caseOf(document, 'stay'))
  return count(model).ledger.levels.length
})
console.log(
  `count: 60 days, 4 containers, 12 activities, compiled and counted with its ledger from a fresh document: ` +
    `${median(times).toFixed(3)} ms median (limit 2)`,
)

benchEdit()
benchLearn()
await benchRisk()
benchReach()
await benchBrowser()
await benchToday()
