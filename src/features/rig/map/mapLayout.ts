import { fillOf, type Id, type Rig } from '@/core/domain'

/** Where things stand on the map, px from its top; columns run supply, fixtures, waste. */
export interface MapLayout {
  height: number
  supplies: MapNode[]
  fixtures: MapNode[]
  wastes: MapNode[]
  /** Brackets on the right: from the first to the last of an outlet's tanks. */
  outlets: { id: Id; top: number; bottom: number }[]
}
export interface MapNode {
  id: Id
  name: string
  /** Its middle. */
  y: number
}

const LEAST_NODE = 60
const GAP = 14
/** px of a letter and of a line, and what a box keeps free beside them. */
const LETTER = 8.6
const LINE = 19
const FREE = 18

/** px that every box is high, so that the longest name fits into the narrowest. @param more lines beside the name */
export function nodeHeight(rig: Rig, widths: { tank: number; fixture: number }, more: number): number {
  const lines = (names: readonly { name: string }[], width: number) =>
    Math.max(1, ...names.map(({ name }) => Math.ceil((name.length * LETTER) / Math.max(40, width - FREE))))
  const most = Math.max(lines(rig.containers, widths.tank), lines(rig.fixtures, widths.fixture) + more)
  return Math.max(LEAST_NODE, most * LINE + FREE)
}

/**
 * The longest column stands tight, the others are spread over the same height; an outlet's tanks stand together.
 * @param node px that a box is high
 */
export function mapLayout(rig: Rig, node: number): MapLayout {
  const outletOf = (id: Id) => {
    const index = rig.outlets.findIndex(({ containers }) => containers.includes(id))
    return index < 0 ? rig.outlets.length : index
  }
  const on = (side: string) => rig.containers.filter(({ kind }) => fillOf(kind) === side)
  const waste = [...on('waste')].sort((a, b) => outletOf(a.id) - outletOf(b.id))
  const rows = Math.max(1, on('supply').length, rig.fixtures.length, waste.length)
  const height = rows * (node + GAP)
  const spread = (list: readonly { id: Id; name: string }[]): MapNode[] =>
    list.map(({ id, name }, i) => ({ id, name, y: ((i + 0.5) * height) / list.length }))
  const wastes = spread(waste)
  const outlets = rig.outlets.flatMap(({ id, containers }) => {
    const ys = wastes.filter((node) => containers.includes(node.id)).map(({ y }) => y)
    return ys.length === 0
      ? []
      : [{ id, top: Math.min(...ys) - node / 2, bottom: Math.max(...ys) + node / 2 }]
  })
  return { height, supplies: spread(on('supply')), fixtures: spread(rig.fixtures), wastes, outlets }
}

/** A pipe that leaves and arrives level. */
export function pipePath(x1: number, y1: number, x2: number, y2: number): string {
  const middle = (x1 + x2) / 2
  return `M${x1} ${y1}C${middle} ${y1} ${middle} ${y2} ${x2} ${y2}`
}

/** px of a pipe: from a hair for nothing to a thick one for all of it. @param share of the day's largest flow, 0 to 1 */
export function pipeWidth(share: number): number {
  return 2 + 8 * Math.sqrt(Math.min(1, Math.max(0, share)))
}

/** The next choice in a list, around its ends. @param step 1 or −1 */
export function nextOf<T>(list: readonly T[], current: T, step: 1 | -1): T {
  const index = list.indexOf(current)
  return list[(index + step + list.length) % list.length]!
}
