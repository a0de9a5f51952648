import { proxy, wrap } from 'comlink'
import type { Reach, ReachSoFar } from '@/core/reach'
import type { AdviceWorker } from './adviceJob'
import type { ReachRequest, ReachWorker } from './reachJob'
import type { RiskWorker } from './riskJob'

/** Beyond this many the first answer gets no faster. */
const MOST_WORKERS = 8

/**
 * As many as the machine offers beside the one that draws the screen, at least one.
 * @throws where the browser has no workers
 */
export function spawnRisk(cores: number): RiskWorker[] {
  const n = Math.min(MOST_WORKERS, Math.max(1, Math.floor(cores) - 1 || 1))
  return Array.from(
    { length: n },
    () => wrap<RiskWorker>(new Worker(new URL('./risk.worker.ts', import.meta.url), { type: 'module' })) as unknown as RiskWorker,
  )
} // prettier-ignore

export function spawnAdvice(): AdviceWorker {
  const worker = new Worker(new URL('./advice.worker.ts', import.meta.url), { type: 'module' })
  return wrap<AdviceWorker>(worker)
}

/** A search in a worker of its own: stopping it ends the worker. */
export function spawnReach(request: ReachRequest, onStep: (soFar: ReachSoFar) => void) {
  const worker = new Worker(new URL('./reach.worker.ts', import.meta.url), { type: 'module' })
  const failed = new Promise<never>((_, reject) => {
    worker.addEventListener('error', () => reject(new Error('the search broke off')))
  })
  const remote = wrap<ReachWorker>(worker) as unknown as ReachWorker
  const stop = () => worker.terminate()
  const result: Promise<Reach> = Promise.race([remote.search(request, proxy(onStep)), failed]).finally(stop)
  return { result, stop }
}
