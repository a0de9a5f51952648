import { compile, compileChances } from '@/core/compile'
import { caseOf } from '@/core/domain'
import { riskTables, sampleTrips, samplerOf, TRIALS } from '@/core/risk'
import { sixtyDays } from './documents'

/** A process of its own: how much more it held at its peak for a run of a fortnight, its tables included; prints MiB. */
const document = sixtyDays(0)
const model = compile(caseOf(document, 'stay'), { horizonDays: 14 })
const chances = compileChances(caseOf(document, 'stay'), model)
const before = process.resourceUsage().maxRSS
const sampler = samplerOf(model, chances, { tables: riskTables() })
const { days } = sampleTrips(sampler, { seed: 1, from: 0, to: TRIALS, bandParts: model.grid.count })
if (days.length !== TRIALS) throw new Error('trips are missing')
console.log((process.resourceUsage().maxRSS - before) / 1024)
