import type { Count } from '../count'
import type { Model } from '../compile'
import type { Id, Run, StayCase } from '../domain'
import { judgedRuns, type Hindrance, type JudgedRun, type RunRoad, type Visit } from '../places'
import type { Kilograms } from '../quantities'
import { answersOf, levelsBefore, liftedBy, type StepAnswer } from './stepAnswer'
import { troublesOf, type Trouble } from './troubles'

/** What a run came to in a ledger, and what there is to say of it. */
export interface RunAnswer {
  run: Run
  /** What each step of it moved and left undone, loads together. */
  steps: StepAnswer[]
  road: RunRoad
  /** When it is at its place. */
  visit: Visit
  /** What is known against it, whatever the levels. */
  hindrances: Hindrance[]
  /** False: it is known that it cannot be done, or would move nothing; then it counts for nothing in any answer. */
  isPossible: boolean
  troubles: Trouble[]
  /** The heaviest thing lifted, shell included; 0: nothing. */
  liftedKg: Kilograms
}

/** Every run of a stay with what it does, in the order of the stay's list. */
export function runAnswers(stayCase: StayCase, model: Model, counted: Count): RunAnswer[] {
  const idle = idleRuns(stayCase, model, counted)
  const judged = judgedRuns(stayCase, idle)
  return stayCase.stay.runs.map((run) =>
    answerOf(stayCase, model, counted, run, judged.get(run.id)!, idle.has(run.id)),
  )
}

/** The same of one of its runs. */
export function runAnswer(stayCase: StayCase, model: Model, counted: Count, run: Run): RunAnswer {
  const idle = idleRuns(stayCase, model, counted)
  const judged = judgedRuns(stayCase, idle).get(run.id)!
  return answerOf(stayCase, model, counted, run, judged, idle.has(run.id))
}

/** Runs that have something to move, and move nothing on the levels they meet. */
function idleRuns({ stay }: StayCase, model: Model, { ledger }: Count): Set<Id> {
  const unmoved = new Set(ledger.idle.map(({ run }) => run))
  const stepless = new Set(model.runs.flatMap(({ id, steps }) => (steps.length === 0 ? [id] : [])))
  const isIdle = ({ id, steps }: Run) => steps.length > 0 && (unmoved.has(id) || stepless.has(id))
  return new Set(stay.runs.filter(isIdle).map(({ id }) => id))
}

function answerOf(
  stayCase: StayCase,
  model: Model,
  counted: Count,
  run: Run,
  { road, visit, hindrances }: JudgedRun,
  isIdle: boolean,
): RunAnswer {
  const { ledger } = counted
  const rows = (isIdle ? ledger.idle : ledger.runs).filter((row) => row.run === run.id)
  const steps = answersOf(model, run, rows, levelsBefore(model, counted, run))
  const lifted = liftedBy(stayCase, model, steps)
  const judged = { visit, hindrances, isIdle }
  return {
    run,
    steps,
    road,
    visit,
    hindrances,
    isPossible: hindrances.length === 0 && !isIdle,
    troubles: troublesOf(stayCase, model, counted, run, steps, lifted, judged),
    liftedKg: lifted.reduce((most, { kg }) => Math.max(most, kg), 0),
  }
}
