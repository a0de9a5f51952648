import { slotBegins, slotNumber, slotOfTime, wallDaysBetween, type WallTime } from '../calendar'
import { ledger, onSolidsAfter, playRun, stateAt, type Ledger } from '../count'
import { compile, compileRun, type Model } from '../compile'
import type { Follows, ModelRun, Now, OnSolids, Passed, StayCase } from '../domain'
import { judgedRuns } from '../places'
import { newBlock } from '../runs'

/** A stay is looked at a little beyond its end, so that the part it is left in is there with its runs. */
export const BEYOND_D = 1e-3

/**
 * What a stay leaves to the one that follows it (model.md section 1): its levels, vessels and what stands on the solids when
 * it is left, after the runs on the road. One that begins earlier takes over what there is by then.
 */
export function passedOn(before: StayCase, start: WallTime): Passed & { from: Follows } {
  const leftAt = leavingOf(before, start)
  const begins = before.now?.at ?? before.stay.start
  const model = compile(before, { horizonDays: wallDaysBetween(begins, leftAt) + BEYOND_D })
  const { levels, vessels, onSolids } = afterRoad(before, model, ledger(model), leftAt, start)
  return { levels, vessels, onSolids, draws: null, from: { before, leftAt, until: start } }
}

/** When a stay is left for one that starts then: as it is planned, or as soon as that begins; not before what is known of it. */
function leavingOf({ stay, now }: StayCase, start: WallTime): WallTime {
  const begins = now?.at ?? stay.start
  const planned = start < stay.leaveAt ? start : stay.leaveAt
  return planned > begins ? planned : begins
}

/** What a ledger says of the moment a stay is left, and what the runs on its road make of that. */
export function afterRoad(
  before: StayCase,
  model: Model,
  played: Ledger,
  leftAt: WallTime,
  until: WallTime | null,
): Now {
  const state = stateAt(model, played, leftAt)
  const runs = roadRuns(before, model, leftAt, until)
  if (runs.length === 0) return state
  const block = newBlock(model.containers.length, 1)
  state.levels.forEach(({ level }, c) => (block.levels[c] = level))
  const rows = runs.flatMap((run) => playRun(model, run, block))
  return {
    ...state,
    levels: state.levels.map((one, c) => ({ ...one, level: block.levels[c]! })),
    onSolids: state.onSolids.map((one) => {
      const c = model.containers.findIndex(({ id }) => id === one.container)
      const before: OnSolids = { liquid: one.liquid, uses: one.uses }
      return { container: one.container, ...rows.reduce((now, row) => onSolidsAfter(row, c, now), before) }
    }),
  }
}

/**
 * The runs on the road that come later than the part in which a stay is left (those of that part are in its ledger), up to when the
 * next one starts, in their order; nobody uses anything between them.
 */
export function roadRuns(
  before: StayCase,
  { containers }: Pick<Model, 'containers'>,
  leftAt: WallTime,
  until: WallTime | null,
): ModelRun[] {
  const { stay, rig, crew } = before
  if (stay.runs.length === 0 || leftAt < stay.leaveAt) return []
  const last = slotNumber(slotOfTime(stay.start, leftAt))
  const judged = judgedRuns(before)
  return stay.runs
    .filter((run) => slotNumber(run) > last && judged.get(run.id)!.hindrances.length === 0)
    .filter((run) => until === null || slotBegins(stay.start, run) <= until)
    .sort((a, b) => slotNumber(a) - slotNumber(b))
    .map((run) => compileRun(run, 0, { rig, crew, containers, places: stay.places }))
}
