import { partOfSlot, type PartGrid } from '../calendar'
import { judgedRuns } from '../places'
import { chargeOf, topUpLevel } from './byAnswer'
import {
  sparesOf,
  type Crew,
  found,
  type EndCode,
  type Id,
  type Rig,
  type Place,
  type Head,
  type ModelRun,
  type ModelStep,
  type Run,
  type RunStep,
  stepBlocked,
  type StayCase,
} from '../domain'
import { endCode, type ModelContainer } from './model'

const OUT = endCode('carried-out')
const IN = endCode('brought-in')

/** The containers' indexes, or codes of flow ends. */
type Ends = [from: EndCode, to: EndCode]

interface Ground {
  rig: Rig
  crew: Crew
  containers: readonly ModelContainer[]
  places: readonly Place[]
}

/**
 * The runs of a stay that fall into the grid, in its order: those of one part in the order they were set. One that is known
 * not to be possible is left out: it counts for nothing.
 * @param isUnderWay the grid begins now: the run of a part that has begun is past
 * @param haveHappened they were done, whatever is known against them
 */
export function compileRuns(
  stayCase: StayCase,
  containers: readonly ModelContainer[],
  grid: PartGrid,
  { isUnderWay, haveHappened }: { isUnderWay: boolean; haveHappened: boolean },
): ModelRun[] {
  const { stay, rig, crew } = stayCase
  if (stay.runs.length === 0) return []
  const ground = { rig, crew, containers, places: stay.places }
  const judged = haveHappened ? null : judgedRuns(stayCase)
  return stay.runs
    .flatMap((run): ModelRun[] => {
      const part = partOfSlot(grid, run)
      const isPast = part < 0 || (part === 0 && isUnderWay)
      if (isPast || part >= grid.count || (judged && judged.get(run.id)!.hindrances.length > 0)) return []
      return [{ ...compileRun(run, part, ground), isPlanned: !haveHappened }]
    })
    .sort((a, b) => a.part - b.part)
}

/** One run, at the start of a part of the grid; a step that cannot be done at all moves nothing. */
export function compileRun(run: Run, part: number, ground: Ground): ModelRun {
  const place = ground.places.find(({ id }) => id === run.place) ?? null
  const steps = run.steps.flatMap((step, at) =>
    stepBlocked(step, run, ground.rig, place) ? [] : stepsOf(step, at, ground),
  )
  const isOfRoad = run.kind === 'on-the-road' && part === 0
  return { id: run.id, part, isOfRoad, isPlanned: true, steps }
}

function stepsOf(step: RunStep, at: number, ground: Ground): ModelStep[] {
  const find = (id: Id | null) =>
    id === null ? -1 : ground.containers.findIndex(({ members }) => members.includes(id))
  const [from, to] = [find(step.from), find(step.to)]
  const make = (ends: Ends, rest: Partial<ModelStep>): ModelStep => ({
    step: at,
    from: ends[0],
    to: ends[1],
    ask: 'down-to',
    value: 0,
    scale: -1,
    floor: ends[0] >= 0 ? floorOf(ground.containers[ends[0]]!, ends[1]) : 0,
    empties: ends[0] >= 0 && ground.containers[ends[0]]!.side === 'waste',
    adds: addedBy(ground.containers, ends),
    head: null,
    ...rest,
  })
  if (step.do === 'loads') {
    const load = [
      make([from, to], { value: floorOf(ground.containers[from]!, to) }),
      make([to, OUT], { value: 0 }),
    ]
    return Array.from({ length: step.loads }, () => load).flat()
  }
  if (step.do === 'jugs') {
    const { ceiling } = ground.containers[from]!
    // Each jug is filled to the brim, or to as much as is carried in one.
    const each = step.amount.as === 'most' ? Math.min(ceiling, step.amount.litres.value) : ceiling
    const load = [
      make([IN, from], { ask: 'up-to', value: each, scale: from }),
      make([from, to], { value: 0 }),
    ]
    return Array.from({ length: step.loads }, () => load).flat()
  }
  const ends: Ends = [from < 0 ? IN : from, to < 0 ? OUT : to]
  return [make(ends, asked(step, ends, ground))]
}

/** What a step asks for. */
function asked(step: RunStep, [from, to]: Ends, { rig, crew, containers }: Ground): Partial<ModelStep> {
  const { amount } = step
  const fills = step.do === 'fill' || step.do === 'charge' || step.do === 'top-up'
  switch (amount.as) {
    case 'head':
      return { ask: 'head', head: headOf(rig, step, amount.within.value) }
    case 'most':
      return { ask: 'most', value: amount.litres.value }
    case 'one': {
      const { id, ceiling } = containers[from]!
      const spares = sparesOf(found(rig.containers, id, 'container'))
      return { ask: 'most', value: ceiling / (1 + spares), scale: from }
    }
    case 'level':
      return { ask: fills ? 'up-to' : 'down-to', value: amount.litres.value }
    case 'school':
      return byAnswer(step, [from, to], crew, containers)
    case 'all':
      return fills
        ? { ask: 'up-to', value: containers[to]!.ceiling, scale: to }
        : { value: floorOf(containers[from]!, to) }
  }
}

/** A charge, a top-up from above the road reserve, or a supply drained down to it. */
function byAnswer(
  step: RunStep,
  [from, to]: Ends,
  { schools }: Crew,
  containers: readonly ModelContainer[],
): Partial<ModelStep> {
  const kept = Math.max(schools.roadReserve.value, from >= 0 ? containers[from]!.reserve : 0)
  if (step.do === 'charge') {
    const scale = schools.sides.charge === 'fifth' ? to : -1
    return { ask: 'most', value: chargeOf(schools, containers[to]!), scale }
  }
  if (step.do === 'top-up') {
    const level = topUpLevel(schools, containers[to]!)
    return { ask: 'up-to', value: level, scale: to, ...(from >= 0 ? { floor: kept } : {}) }
  }
  return { value: kept, floor: kept }
}

/** Nothing leaves a waste container below its residue; a supply is drained outside to nothing, otherwise to its reserve. */
function floorOf({ side, residue, reserve }: ModelContainer, to: number): number {
  if (side === 'supply') return to < 0 ? 0 : reserve
  return residue
}

/** kg that a unit adds to what the rig carries. */
function addedBy(containers: readonly ModelContainer[], [from, to]: Ends): number {
  const kg = (c: number) => (c >= 0 ? containers[c]!.kgPer : 0)
  return Math.max(0, kg(to) - kg(from))
}

/** Null where the tanks were not measured: then nothing is known of their heights. */
export function headOf(
  { containers, outlets }: Rig,
  { from, to }: RunStep,
  readingError: number,
): Head | null {
  const tank = (id: Id | null) => {
    const container = containers.find((one) => one.id === id)
    if (!container || !('shape' in container) || !container.shape) return null
    const { height, bottom, error } = container.shape
    return {
      capacity: container.capacity.value,
      height: height.value,
      bottom: { low: bottom.value - error.value, high: bottom.value + error.value },
      safeLevel: container.safeFill.value * container.capacity.value,
    }
  }
  const [gray, black] = [tank(from), tank(to)]
  const outlet = outlets.find(({ containers: ids }) => ids.includes(from!) && ids.includes(to!))
  return gray && black && outlet ? { gray, black, bore: outlet.bore.value, readingError } : null
}
