import type { PartGrid, WallTime } from '../calendar'
import type { ContainerKind, FlowEnd, Id, Side } from './document'

/** One container, compiled. Levels are L. */
export interface ModelContainer {
  id: Id
  name: string
  kind: ContainerKind
  side: Side
  unit: 'L' | 'uses'
  capacity: number
  /** L at which it stops the stay; null for a carrier. */
  limit: number | null
  start: number
}

/**
 * Where the uses of one activity flow: per use, `ofDraw` × the volume drawn + `fixed`, from one end to another.
 * An end is an index into the model's containers, or -1 - i for `FLOW_ENDS[i]` (see `endId`).
 */
export interface Stream {
  activity: number
  from: number
  to: number
  ofDraw: number
  /** L per use, added whatever the draw. */
  fixed: number
}

export interface ModelActivity {
  id: Id
  name: string
}

/** The one model that count, risk, learning and plan run on. Rows of the arrays are activities, columns parts. */
export interface Model {
  stay: Id
  start: WallTime
  horizonDays: number
  grid: PartGrid
  containers: ModelContainer[]
  activities: ModelActivity[]
  streams: Stream[]
  /** Mean uses of each activity in each part, >= 0. Not filled where the activity flows nowhere. */
  uses: Float64Array
  /** Mean L drawn per use of each activity in each part, >= 0. */
  volume: Float64Array
}

/** The code of a flow end that is no container. */
export function endCode(end: FlowEnd, ends: readonly FlowEnd[]): number {
  return -1 - ends.indexOf(end)
}

/** The id or reserved word of a stream's end. */
export function endId(model: Pick<Model, 'containers'>, code: number, ends: readonly FlowEnd[]): Id {
  return code >= 0 ? model.containers[code]!.id : ends[-1 - code]!
}
