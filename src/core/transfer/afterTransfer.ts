import type { PartIndex } from '../calendar'
import { countOf, type Count, type Ledger } from '../count'
import type { Id, Model } from '../model'
import type { Days, Litres } from '../quantities'

/**
 * The count with so many litres moved at the start of a part, everything else as it was. A limit passed before that part
 * stays passed: the transfer comes too late.
 * @param part index of the part at whose start it happens, 0 to the grid's count − 1
 */
export function countAfterTransfer(
  model: Model,
  counted: Count,
  { from, to, litres, part }: { from: Id; to: Id; litres: Litres; part: PartIndex },
): Count {
  if (counted.days !== null && counted.days < model.grid.edges[part]!) return counted
  const shift = model.containers.map(({ id }) => (id === from ? -litres : id === to ? litres : 0))
  const containers = model.containers.map((container, c) => ({
    ...container,
    start: container.start + shift[c]!,
  }))
  const moved: Ledger = { ...counted.ledger, levels: counted.ledger.levels.slice() }
  containers.forEach((_, c) => {
    const row = moved.levels.subarray(c * model.grid.count, (c + 1) * model.grid.count)
    for (let i = 0; i < row.length; i++) row[i]! += shift[c]!
  })
  return countOf({ ...model, containers }, moved, part)
}

/** Days that moving so much buys, within the horizon. */
export function daysByTransfer(
  model: Model,
  counted: Count,
  transfer: { from: Id; to: Id; litres: Litres; part: PartIndex },
): Days {
  const after = countAfterTransfer(model, counted, transfer)
  return (after.days ?? model.horizonDays) - (counted.days ?? model.horizonDays)
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
