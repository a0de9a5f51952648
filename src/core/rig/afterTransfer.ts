import type { PartIndex } from '../calendar'
import { count, type Count } from '../count'
import type { Model } from '../compile'
import type { Id, ModelRun, ModelStep } from '../domain'
import type { Days, Litres } from '../quantities'

export interface Transferred {
  from: Id
  to: Id
  litres: Litres
  /** Index of the part at whose start it happens, 0 to the grid's count − 1. */
  part: PartIndex
}

/** The count with so many litres moved by a run more, everything else as it is; after a limit was passed it comes too late. */
export function countAfterTransfer(model: Model, { from, to, litres, part }: Transferred): Count {
  const [gray, black] = [from, to].map((id) => model.containers.findIndex((one) => one.id === id)) as [
    number,
    number,
  ]
  const run = compiledTransfer(gray, black, litres, part, model.containers[gray]!.residue)
  return count({ ...model, runs: [...model.runs, run].sort((a, b) => a.part - b.part) })
}

function compiledTransfer(from: number, to: number, value: Litres, part: PartIndex, floor: Litres): ModelRun {
  const step: ModelStep = {
    step: 0,
    from,
    to,
    ask: 'most',
    value,
    scale: -1,
    floor,
    empties: false,
    adds: 0,
    head: null,
  }
  return { id: 'transfer', part, isOfRoad: false, isPlanned: false, steps: [step] }
}

/** Days that moving so much buys, within the horizon. */
export function daysByTransfer(model: Model, { days }: Pick<Count, 'days'>, transfer: Transferred): Days {
  const after = countAfterTransfer(model, transfer)
  return (after.days ?? model.horizonDays) - (days ?? model.horizonDays)
}

/** Moments are chosen in quarter days. */
const STEP_D = 0.25
/** Days ahead that can be chosen where nothing stops the stay. */
const NEVER_D = 14

/** The last moment that can be chosen, and the one just before the stop: the later, the more there is to move. */
export function transferMoments({ days }: Pick<Count, 'days'>): { last: Days; best: Days } {
  const last = Math.floor((days ?? NEVER_D) / STEP_D) * STEP_D
  return { last, best: Math.max(0, last - STEP_D) }
}
