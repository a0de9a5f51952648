import type { CassetteState } from '@/core/cards'
import * as t from '@/texts/t'

export interface Point {
  x: number
  y: number
}

/** The box of a cassette upright, in the picture's own pixels; its blade on top, its spout at the upper right. */
export const BOX = { x: 150, y: 92, width: 150, height: 84 } as const
const CORNER: Point = { x: BOX.x + BOX.width, y: BOX.y + BOX.height }
/** Tipped it stands on the side of its spout, moved to where all of it can be seen. */
const TIP = { degrees: 66, x: -110, y: 2 } as const

export interface CassetteShape {
  width: number
  height: number
  /** Of all that belongs to the cassette. */
  turn: string
  spout: { from: Point; to: Point }
  /** Where a label's line begins, turned with the rest. */
  at: (point: Point) => Point
  /** Above it is air. */
  surface: number
}

export function cassetteShape(state: CassetteState): CassetteShape {
  const isTipped = state.spout === 'down'
  const at = (point: Point): Point => (isTipped ? tipped(point) : point)
  const root = { x: BOX.x + BOX.width - 4, y: BOX.y + 14 }
  const to = state.spout === 'in' ? { x: root.x + 20, y: root.y + 46 } : { x: root.x + 46, y: root.y - 18 }
  return {
    width: 372,
    height: 236,
    turn: isTipped ? `translate(${TIP.x} ${TIP.y}) rotate(${TIP.degrees} ${CORNER.x} ${CORNER.y})` : '',
    spout: { from: state.spout === 'in' ? { x: root.x + 20, y: root.y } : root, to },
    at,
    surface: isTipped ? 118 : state.holds === 'water' ? BOX.y + 44 : BOX.y + 22,
  }
}

function tipped({ x, y }: Point): Point {
  const angle = (TIP.degrees * Math.PI) / 180
  const [dx, dy] = [x - CORNER.x, y - CORNER.y]
  return {
    x: CORNER.x + dx * Math.cos(angle) - dy * Math.sin(angle) + TIP.x,
    y: CORNER.y + dx * Math.sin(angle) + dy * Math.cos(angle) + TIP.y,
  }
}

/** What the picture shows, told. */
export function cassetteWords(state: CassetteState): string {
  const { cassette: c } = t
  return [
    c.where(state.name, state.isIn),
    c.bladeIs(state.isBladeShut),
    c.spoutIs[state.spout],
    c.capIs(state.isCapOn),
    ...(state.isButtonDown ? [c.buttonDown] : []),
    state.runs ? c.runs : c.holds[state.holds],
  ].join(' ')
}
