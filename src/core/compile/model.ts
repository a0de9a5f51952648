import type { Amount, Days, Kilograms, Litres, Share } from '../quantities'
import {
  type OnSolids,
  type ContainerKind,
  type LevelUnit,
  type Side,
  type ActivityIndex,
  type EndCode,
  FLOW_ENDS,
  type FlowEnd,
  type Id,
  type StreamIndex,
  type ModelRun,
} from '../domain'
import type { PartGrid, WallTime } from '../calendar'
import type { Presence } from './presence'

/** One container, compiled; joined tanks are one. Levels are in its unit. */
export interface ModelContainer {
  /** Of joined tanks, the first one's. */
  id: Id
  name: string
  kind: ContainerKind
  side: Side
  unit: LevelUnit
  /** The document's containers it stands for: more than one where tanks are joined. */
  members: Id[]
  /** Whether one of them is a black tank: where the flush floor holds. */
  isBlack: boolean
  /** All of it: spares and joined tanks included. */
  capacity: Amount
  /** The level at which it stops the stay; null for a carrier. */
  limit: Amount | null
  /** The level up to which a run fills it: a waste container's limit, nine tenths of a tote, all of the others. */
  ceiling: Amount
  /** What an emptying leaves in it, and what a supply keeps; 0 for the others. */
  residue: Amount
  reserve: Amount
  /** kg that a unit of it adds to what the rig carries; 0 where it rides elsewhere. */
  kgPer: Kilograms
  start: Amount
  /** What stands on the solids at the start, for the flush floor. */
  onSolids: OnSolids
}

/**
 * Where the uses of one activity flow: per use, `ofDraw` × the volume drawn + `fixed`, from one end to another, times
 * the part's `portion`. An end is an index into the model's containers, or `endCode` of a flow end.
 */
export interface Stream {
  activity: ActivityIndex
  /** Index of the fixture it passes. */
  fixture: number
  from: EndCode
  to: EndCode
  ofDraw: Share
  /** L (or uses) per use, added whatever the draw. */
  fixed: Amount
  /** Share of it in each part, where redirects change it; null: all of it, always. */
  portion: Float64Array | null
  /** Solids or paper and no liquid: what the flush floor leaves out. */
  isSolid: boolean
  /** Solid uses that reach the end, per use of the activity; 0 on all but one stream of a solid use. */
  solidUses: number
  /** Filled by a vessel as the ledger is played, not from the uses. */
  isOfVessel: boolean
}

/** A stream that a vessel takes from or gives to: a share of it, times `byPersons` in each part where only some take part. */
export interface VesselEnd {
  stream: StreamIndex
  share: Share
  byPersons: Float64Array | null
}

/** A vessel that keeps water for reuse (model.md section 4), on while its habit is. */
export interface ModelVessel {
  habit: Id
  capacity: Amount
  /** L in it at the start, and from each donor since it was last emptied. */
  content: Litres
  given: Litres[]
  /** 1 in the parts in which the habit holds. */
  active: Uint8Array
  /** `stream` gives a share to `caught`; what is left at the end of a morning goes out through `emptied`. */
  donors: (VesselEnd & { caught: number; emptied: number })[]
  /** `stream` draws up to a share through `reused` instead. */
  recipients: (VesselEnd & { reused: number })[]
}

export interface ModelActivity {
  id: Id
  name: string
}

/** The one model that count, risk, learning and plan run on. Rows of the arrays are activities, columns parts. */
export interface Model {
  stay: Id
  /** Wall time at which the grid begins: the start of the stay, or now. */
  start: WallTime
  horizonDays: Days
  /** It follows another stay: what stands past a limit is looked for after what is done on the road. */
  startsAfterRoad: boolean
  grid: PartGrid
  /** Who is there in each part. */
  here: Presence
  containers: ModelContainer[]
  activities: ModelActivity[]
  fixtures: Id[]
  streams: Stream[]
  vessels: ModelVessel[]
  /** The runs that are set, in the order of their parts. */
  runs: ModelRun[]
  /** 1 in the parts in which gray's valve stands open at a hookup; null: it never does. */
  grayOpen: Uint8Array | null
  /** kg of water and waste that the rig may carry; null: not recorded. */
  payload: Kilograms | null
  /** Mean uses of each activity in each part, >= 0. Not filled where the activity flows nowhere. */
  uses: Float64Array
  /** By what habits multiply the uses, the same rows; >= 0. */
  rate: Float64Array
  /** Mean L drawn per use of each activity in each part, >= 0. */
  volume: Float64Array
}

/** The code of a flow end that is no container. */
export function endCode(end: FlowEnd): EndCode {
  return -1 - FLOW_ENDS.indexOf(end)
}

/** The id or reserved word of a stream's end. */
export function endId(model: Pick<Model, 'containers'>, code: EndCode): Id {
  return code >= 0 ? model.containers[code]!.id : FLOW_ENDS[-1 - code]!
}
