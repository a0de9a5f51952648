import type { Count } from '../count'
import type { Model, Run, StayCase } from '../model'
import type { Kilograms } from '../quantities'
import { answersOf, levelsBefore, liftedBy, type StepAnswer } from './stepAnswer'
import { troublesOf, type Trouble } from './troubles'

/** What a run came to in a ledger, and what there is to say of it. */
export interface RunAnswer {
  run: Run
  /** What each step of it moved and left undone, loads together. */
  steps: StepAnswer[]
  troubles: Trouble[]
  /** The heaviest thing lifted, shell included; 0: nothing. */
  liftedKg: Kilograms
}

/** Every run of a stay with what it does, in the order of the stay's list. */
export function runAnswers(stayCase: StayCase, model: Model, counted: Count): RunAnswer[] {
  return stayCase.stay.runs.map((run) => runAnswer(stayCase, model, counted, run))
}

export function runAnswer(stayCase: StayCase, model: Model, counted: Count, run: Run): RunAnswer {
  const { ledger } = counted
  const rows = ledger.runs.filter((row) => row.run === run.id)
  const steps = answersOf(model, run, rows, levelsBefore(model, counted, run))
  const lifted = liftedBy(stayCase, model, steps)
  return {
    run,
    steps,
    troubles: troublesOf(stayCase, model, counted, run, steps, lifted),
    liftedKg: lifted.reduce((most, { kg }) => Math.max(most, kg), 0),
  }
}
