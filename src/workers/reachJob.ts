import type { Document, Id } from '@/core/model'
import { reach, type Reach, type ReachSoFar } from '@/core/reach'
import type { Days } from '@/core/quantities'

export interface ReachRequest {
  document: Document
  stay: Id
  seed: number
  untilDays: Days
  without: Id[]
}

export interface ReachWorker {
  /** @param onStep what is known so far; the search is stopped by ending the worker */
  search: (request: ReachRequest, onStep: (soFar: ReachSoFar) => void) => Promise<Reach>
}

export function reachJob(): ReachWorker {
  return {
    search({ document, stay, ...options }, onStep) {
      const steps = reach(document, stay, options)
      for (;;) {
        const step = steps.next()
        if (step.done) return Promise.resolve(step.value)
        onStep(step.value)
      }
    },
  }
}
