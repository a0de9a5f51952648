import { parentPort, workerData } from 'node:worker_threads'
import { compile, compileChances } from '@/core/compile'
import { caseOf } from '@/core/domain'
import { riskTables, sampleTrips, samplerOf, TRIALS } from '@/core/risk'
import { sixtyDays } from './documents'

const { horizonDays, half } = workerData as { horizonDays: number; half: number }
const document = sixtyDays(0)
const model = compile(caseOf(document, 'stay'), { horizonDays })
const sampler = samplerOf(model, compileChances(caseOf(document, 'stay'), model), { tables: riskTables() })
const run = () =>
  sampleTrips(sampler, {
    seed: 1,
    from: (half * TRIALS) / 2,
    to: ((half + 1) * TRIALS) / 2,
    bandParts: model.grid.count,
  })

run()
parentPort!.postMessage('ready')
parentPort!.on('message', () => parentPort!.postMessage(run().days.length))
