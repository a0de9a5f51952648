import {
  habitsCompany,
  habitsWorth,
  sensitivity,
  type HabitCompany,
  type HabitWorth,
  type Swing,
} from '@/core/advice'
import { compile, compileChances, found, type Document, type Id } from '@/core/model'
import { flushRange, riskTables, samplerOf, type FlushRange } from '@/core/risk'

export interface AdviceRequest {
  revision: number
  document: Document
  stay: Id
  seed: number
  trials: number
}

/** What the advice worker does. Each answer is for one request; the caller drops those it no longer waits for. */
export interface AdviceWorker {
  /** Some habits' worth: a worker is asked for few at a time, so that another question need not wait long. */
  worth: (request: AdviceRequest, habits: readonly Id[]) => Promise<HabitWorth[]>
  company: (request: AdviceRequest, habit: Id) => Promise<HabitCompany>
  /** @param sets of habits that are on, each with its range of liquid per solid use; @param parts up to the end of the stay */
  flush: (request: AdviceRequest, documents: readonly Document[], parts: number, floor: number) => Promise<(FlushRange | null)[]>
  sensitivity: (request: AdviceRequest) => Promise<Swing[]>
} // prettier-ignore

export function adviceJob(): AdviceWorker {
  const tables = riskTables()
  const options = ({ seed, trials }: AdviceRequest) => ({ seed, trials, tables })
  return {
    worth: (request, habits) =>
      Promise.resolve([...habitsWorth(request.document, request.stay, habits, options(request))]),
    company: (request, habit) =>
      Promise.resolve([...habitsCompany(request.document, request.stay, [habit], options(request))][0]!),
    flush: ({ stay, seed, trials }, documents, parts, floor) =>
      Promise.resolve(
        documents.map((document) => {
          const horizonDays = Math.min(found(document.stays, stay, 'stay').horizonDays.value, parts / 4 + 1)
          const model = compile(document, stay, { horizonDays })
          const sampler = samplerOf(model, compileChances(document, stay, model), { tables, withFlush: true })
          return flushRange(sampler, { seed, trials, parts, floor })
        }),
      ),
    sensitivity: ({ document, stay }) => Promise.resolve(sensitivity(document, stay)),
  }
}
