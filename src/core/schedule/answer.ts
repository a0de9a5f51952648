import type { Count } from '../count'
import type { Model } from '../compile'
import type { Id, Run, StayCase } from '../model'
import { visitsOf, type Visit } from '../places'
import type { Kilograms } from '../quantities'
import { answersOf, levelsBefore, liftedBy, type StepAnswer } from './stepAnswer'
import { troublesOf, type Trouble } from './troubles'

/** What a run came to in a ledger, and what there is to say of it. */
export interface RunAnswer {
  run: Run
  /** What each step of it moved and left undone, loads together. */
  steps: StepAnswer[]
  /** When it is at its place. */
  visit: Visit
  troubles: Trouble[]
  /** The heaviest thing lifted, shell included; 0: nothing. */
  liftedKg: Kilograms
}

/** Every run of a stay with what it does, in the order of the stay's list. */
export function runAnswers(stayCase: StayCase, model: Model, counted: Count): RunAnswer[] {
  const visits = visitsOf(stayCase)
  return stayCase.stay.runs.map((run) => runAnswer(stayCase, model, counted, run, visits))
}

/** @param visits of all runs of the stay, when each is at its place */
export function runAnswer(
  stayCase: StayCase,
  model: Model,
  counted: Count,
  run: Run,
  visits: ReadonlyMap<Id, Visit> = visitsOf(stayCase),
): RunAnswer {
  const { ledger } = counted
  const rows = ledger.runs.filter((row) => row.run === run.id)
  const steps = answersOf(model, run, rows, levelsBefore(model, counted, run))
  const lifted = liftedBy(stayCase, model, steps)
  const visit = visits.get(run.id) ?? { kind: 'unknown' }
  return {
    run,
    steps,
    visit,
    troubles: troublesOf(stayCase, model, counted, run, steps, lifted, visit),
    liftedKg: lifted.reduce((most, { kg }) => Math.max(most, kg), 0),
  }
}
