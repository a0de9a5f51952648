import { partOfSlot } from '../calendar'
import type { Count, RunRow } from '../count'
import type { Model } from '../compile'
import { kgPerUnit, type Container, type Id, type Run, type RunStep, type StayCase } from '../domain'
import type { Amount, Kilograms, Quantity } from '../quantities'

export interface StepAnswer {
  step: RunStep
  /** L (or uses) out of what gives, or into what takes. */
  moved: Amount
  undone: Amount
  bound: RunRow['bound']
  /** L that the emptying of a waste container left in it; null: it was not emptied. */
  left: Amount | null
  /** The levels of both ends before and after, where they are containers. */
  from: { before: Amount; after: Amount } | null
  to: { before: Amount; after: Amount } | null
}

/** Index of the part at whose start a run is done; null: it is outside the days that are counted, or past. */
export function partOfRun({ grid, runs }: Model, run: Pick<Run, 'id' | 'day' | 'part'>): number | null {
  const known = runs.find(({ id }) => id === run.id)
  if (known) return known.part
  const part = partOfSlot(grid, run)
  return part < 0 || part >= grid.count ? null : part
}

/** The levels as they are right before a run: after the uses of the part before and the runs of its part that come first. */
export function levelsBefore(model: Model, { ledger }: Count, run: Run): Float64Array {
  const part = partOfRun(model, run)
  const levels = Float64Array.from(model.containers, ({ start }, c) =>
    part === null || part === 0 ? start : ledger.levels[c * model.grid.count + part - 1]!,
  )
  const inPart = model.runs.filter((one) => one.part === part).map(({ id }) => id)
  const own = inPart.indexOf(run.id)
  const earlier = new Set(own < 0 ? inPart : inPart.slice(0, own))
  for (const row of ledger.runs) if (row.part === part && earlier.has(row.run)) moveRow(levels, row)
  return levels
}

function moveRow(levels: Float64Array, { from, to, moved }: RunRow): void {
  if (from >= 0) levels[from]! -= moved
  if (to >= 0) levels[to]! += moved
}

/** What each step of a run came to. @param levels right before it; moved along @param rows all of the run's */
export function answersOf(
  model: Model,
  { steps }: Run,
  rows: readonly RunRow[],
  levels: Float64Array,
): StepAnswer[] {
  return steps.map((step, at) =>
    stepAnswer(
      model,
      step,
      rows.filter((row) => row.step === at),
      levels,
    ),
  )
}

/** Plays the rows of a step on the levels. */
function stepAnswer(
  { containers }: Model,
  step: RunStep,
  rows: readonly RunRow[],
  levels: Float64Array,
): StepAnswer {
  const at = (id: Id | null) =>
    id === null ? -1 : containers.findIndex(({ members }) => members.includes(id))
  const [from, to] = [at(step.from), at(step.to)]
  const before = [from, to].map((c) => (c >= 0 ? levels[c]! : 0))
  // Of loads, what leaves the tank counts, and of jugs what reaches it.
  const counts = rows.filter((row) => (step.do === 'jugs' ? row.to === to : row.from === from || from < 0))
  for (const row of rows) moveRow(levels, row)
  const last = counts.at(-1)
  const end = (c: number, k: number) => (c >= 0 ? { before: before[k]!, after: levels[c]! } : null)
  return {
    step,
    moved: counts.reduce((sum, { moved }) => sum + moved, 0),
    undone: last ? last.asked - last.moved : 0,
    bound: last?.bound ?? 'none',
    left: last?.left ?? null,
    from: end(from, 0),
    to: end(to, 1),
  }
}

export interface Lifted {
  step: number
  container: Id
  kg: Kilograms
}

/** Whether somebody carries it by hand: what is pulled out, and a jug. A tote goes on wheels, or is pumped into where it stands. */
export function isCarried(container: Container): container is Extract<Container, { shell: Quantity }> {
  return 'shell' in container && container.kind !== 'tote'
}

/** What is lifted: one of several alike, as full as it is then, or a jug of water. */
export function liftedBy({ rig }: StayCase, model: Model, steps: readonly StepAnswer[]): Lifted[] {
  return steps.flatMap(({ step, moved, from }, at): Lifted[] => {
    const container = rig.containers.find(({ id }) => id === step.from)
    if (!container || !isCarried(container) || moved <= 0) return []
    const one = model.containers.find(({ id }) => id === container.id)!
    const spares = 'spares' in container ? container.spares : 0
    const each = one.ceiling / (1 + spares)
    const inOne = step.amount.as === 'most' ? step.amount.litres.value : each
    const content = Math.min(each, step.do === 'jugs' ? inOne : (from?.before ?? moved))
    return [{ step: at, container: container.id, kg: container.shell.value + content * kgPerUnit(container) }]
  })
}
