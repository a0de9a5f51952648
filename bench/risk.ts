import { execFileSync } from 'node:child_process'
import { join } from 'node:path'
import { Worker } from 'node:worker_threads'
import { PARTS } from '@/core/calendar'
import { count } from '@/core/count'
import { reach } from '@/core/reach'
import { runAnswers } from '@/core/schedule'
import { compile, compileChances } from '@/core/compile'
import { caseOf } from '@/core/domain'
import { habitsWorth } from '@/core/advice'
import { blockedBy } from '@/core/habits'
import { owned } from '@/core/quantities'
import { riskTables, sampleTrips, samplerOf, TRIALS } from '@/core/risk'
import { trailerDemo } from '../scripts/demo/trailer'
import { sixtyDays } from './documents'
import { plainLoop } from './plainLoop'
import { median } from './timing'

const RUNS = 21
const HORIZONS = [7, 14, 30, 60]

function times(runs: number, work: () => void): number[] {
  return Array.from({ length: runs }, () => {
    const before = performance.now()
    work()
    return performance.now() - before
  })
}

/** Trips a second, tables at hand and built, by horizon and workers, beside a plain loop. */
export async function benchRisk(): Promise<void> {
  const tables = riskTables()
  const sampled = (horizonDays: number, trips = TRIALS, shared = tables) => {
    const document = sixtyDays(0)
    const model = compile(caseOf(document, 'stay'), { horizonDays })
    const sampler = samplerOf(model, compileChances(caseOf(document, 'stay'), model), { tables: shared })
    return () => sampleTrips(sampler, { seed: 1, from: 0, to: trips, bandParts: model.grid.count })
  }
  const fourteen = sampled(14)
  fourteen()
  const warm = times(RUNS, fourteen)
  console.log(
    `risk: 10,000 trips × 14 days × 4 containers × 12 activities × 3 people, all spreads, levels of every part: ` +
      `${Math.min(...warm).toFixed(0)} ms best, ${median(warm).toFixed(0)} ms median of ${RUNS}, one worker, warm (limit 150)`,
  )
  benchRuns(tables, fourteen)
  const cold = times(9, () => sampled(14, TRIALS, riskTables())())
  console.log(
    `risk: the same with its tables built: ${Math.min(...cold).toFixed(0)} ms best, ${median(cold).toFixed(0)} ms median (limit 300)`,
  )
  const peak = Number(execFileSync(process.execPath, [join(import.meta.dirname, 'riskMemory.mjs')]))
  console.log(
    `risk: ${peak.toFixed(0)} MiB more at its peak in a process of its own, tables included (limit 64)`,
  )
  const first = times(RUNS, () => sampled(60, 500)())
  console.log(
    `risk: from an edit to 500 trips, 60 days ahead, compiled again, tables at hand: ${median(first).toFixed(0)} ms median (limit 100)`,
  )
  for (const horizon of HORIZONS) {
    const run = sampled(horizon)
    run()
    const one = (1000 * TRIALS) / Math.min(...times(5, run))
    const two = await onTwoWorkers(horizon)
    const plain = plainLoop(sixtyDays(0), 'stay', horizon, 300)
    console.log(
      `risk: ${horizon} days: ${thousands(one)} trips/s on one worker, ${thousands(two)} on two; ` +
        `a plain loop ${thousands(plain)}, ${(one / plain).toFixed(0)} times slower`,
    )
  }
}

/** The same with eight runs, and from an edit of one to the new count. */
function benchRuns(tables: ReturnType<typeof riskTables>, without: () => void): void {
  const document = sixtyDays(0)
  const { runs } = document.stays[0]!
  const tanks = ['gray', 'galley', 'black']
  for (let k = 0; k < 8; k++)
    runs.push({
      id: `run-${k}`,
      name: 'Run',
      kind: 'move',
      day: 1 + k,
      part: 'midday',
      place: null,
      steps: [
        { do: 'empty', from: tanks[k % 3]!, to: null, amount: { as: 'all' }, loads: 1 },
        { do: 'charge', from: null, to: 'black', amount: { as: 'school' }, loads: 1 },
        { do: 'fill', from: null, to: 'fresh', amount: { as: 'all' }, loads: 1 },
      ],
      minutes: owned(90),
      kilometres: owned(20),
      fee: owned(0),
      bother: owned(3),
    })
  const model = compile(caseOf(document, 'stay'), { horizonDays: 14 })
  const sampler = samplerOf(model, compileChances(caseOf(document, 'stay'), model), { tables })
  const play = () => sampleTrips(sampler, { seed: 1, from: 0, to: TRIALS, bandParts: model.grid.count })
  // In turn, so that both meet the same machine.
  const both = Array.from({ length: 2 * RUNS }, () => [times(1, without)[0]!, times(1, play)[0]!] as const)
  const plain = Math.min(...both.map(([one]) => one))
  const played = Math.min(...both.map(([, one]) => one))
  let part = 0
  const edits = times(200, () => {
    part = (part + 1) % 4
    runs[3] = { ...runs[3]!, part: PARTS[part]! }
    const stayCase = caseOf(document, 'stay')
    const edited = compile(stayCase)
    runAnswers(stayCase, edited, count(edited))
  })
  console.log(
    `runs: the same with eight runs ${played.toFixed(0)} ms best, ` +
      `${(played / plain).toFixed(2)} times the ${plain.toFixed(0)} without (limit 1.15); ` +
      `an edit of one to the new count and what every run does ${median(edits).toFixed(2)} ms median (limit 4)`,
  )
}

/** Twenty habits of the catalogue that the demo rig can do, three of them vessels. */
export function benchReach(): void {
  const document = trailerDemo()
  const stay = document.stays[0]!
  document.rigs[0]!.gear.push('shut-off-head')
  document.crews[0]!.flush.school = 'little'
  stay.confidence = owned(0.9)
  const free = document.habits.filter((habit) => blockedBy(habit, document.rigs[0]!, stay) === null)
  document.habits = free.slice(0, 20)
  stay.habits = []
  const tables = riskTables()
  const once = () => {
    const start = performance.now()
    let found = 0
    const steps = reach(caseOf(document, stay.id), { seed: 1, untilDays: 8.8, tables })
    for (let step = steps.next(); ; step = steps.next()) {
      if (found === 0 && step.value.goal !== undefined) found = performance.now() - start
      if (step.done) return { found, whole: performance.now() - start, sets: step.value.curve.length }
    }
  }
  const runs = [once(), once(), once()]
  const founds = runs.map(({ found }) => found)
  console.log(
    `reach: nine nights among ${document.habits.length} habits, 500 trips, verified with 10,000: ` +
      `${Math.min(...founds).toFixed(0)} ms best, ${median(founds).toFixed(0)} ms median (limit 3000); ` +
      `the whole curve of ${runs[0]!.sets} sets ${Math.min(...runs.map(({ whole }) => whole)).toFixed(0)} ms best`,
  )
  const ids = document.habits.map(({ id }) => id)
  const worth = times(3, () => {
    for (const row of habitsWorth(caseOf(document, stay.id), ids, { seed: 1, trials: 1000, tables }))
      if (row.days > 99) throw new Error(row.habit)
  })
  console.log(
    `habits: what ${document.habits.length} habits buy on 1,000 trips each: ${median(worth).toFixed(0)} ms median`,
  )
}

function thousands(n: number): string {
  return n >= 10_000 ? `${(n / 1000).toFixed(0)},000` : n.toFixed(0)
}

/** Trips a second where two threads share them; each is warm before the clock starts. */
async function onTwoWorkers(horizonDays: number): Promise<number> {
  const workers = [0, 1].map(
    (half) => new Worker(join(import.meta.dirname, 'riskThread.mjs'), { workerData: { horizonDays, half } }),
  )
  const next = () =>
    Promise.all(workers.map((worker) => new Promise((resolve) => worker.once('message', resolve))))
  await next()
  let best = Infinity
  for (let run = 0; run < 4; run++) {
    const before = performance.now()
    const done = next()
    for (const worker of workers) worker.postMessage('go')
    await done
    best = Math.min(best, performance.now() - before)
  }
  await Promise.all(workers.map((worker) => worker.terminate()))
  return (1000 * TRIALS) / best
}
