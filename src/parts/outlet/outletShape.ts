import type { OutletState } from '@/core/cards'
import * as t from '@/texts/t'

/** Where everything of the picture stands, in its own pixels. */
export const BASE = { tankTop: 30, tankFoot: 104, valve: 132, run: 168, foot: 246 } as const
/** The colors of a picture on paper. */
export const PAPER = {
  '--ink': '#000',
  '--paper': '#fff',
  '--card': '#fff',
  '--grass': '#e4e4e4',
  '--grass-ink': '#555',
  '--soft': '#333',
}
const MARGIN = 14
const GAP = 18
/** Room on the right for the stub, the hose and what it leads to. */
const RIGHT = 140

export interface OutletShape {
  width: number
  height: number
  tanks: {
    id: string
    name: string[]
    x: number
    width: number
    centre: number
    isOpen: boolean
    isFull: boolean
    runs: boolean
  }[]
  /** Where the pipe under the tanks begins, and where it comes out. */
  from: number
  stub: number
  /** The part of the pipe in which something runs: from the first tank that lets go, or between two; null: none. */
  flow: { from: number; to: number } | null
  endX: number
}

/** @param width of the drawing, at least 300 */
export function outletShape(state: OutletState, width: number): OutletShape {
  const n = Math.max(1, state.tanks.length)
  const each = Math.min(132, (width - MARGIN - RIGHT - GAP * (n - 1)) / n)
  const tanks = state.tanks.map(({ id, name, isOpen, hasRunOut }, k) => {
    const x = MARGIN + k * (each + GAP)
    return {
      id,
      name: inLines(name, Math.max(6, Math.floor(each / 9))),
      x,
      width: each,
      centre: x + each / 2,
      isOpen,
      isFull: !hasRunOut,
      runs: state.runs.includes(id),
    }
  })
  const stub = width - RIGHT + 58
  const running = tanks.filter(({ runs }) => runs).map(({ centre }) => centre)
  const into = tanks.find(({ id }) => id === state.over)?.centre
  const flow = running.length === 0 ? null : { from: Math.min(...running), to: into ?? stub }
  return {
    width,
    height: BASE.foot + 14,
    tanks,
    from: tanks[0]?.centre ?? MARGIN,
    stub,
    flow: flow && { from: Math.min(flow.from, flow.to), to: Math.max(flow.from, flow.to) },
    endX: stub - 24,
  }
}

/** A name over its tank: at most two lines, cut where a third would begin. */
function inLines(name: string, letters: number): string[] {
  const lines: string[] = ['']
  for (const word of name.split(' ')) {
    const joined = `${lines.at(-1)} ${word}`.trim()
    if (joined.length <= letters || lines.at(-1) === '') lines[lines.length - 1] = joined
    else lines.push(word)
  }
  const [first, ...rest] = lines
  const cut = (line: string) => (line.length > letters + 2 ? `${line.slice(0, letters)}…` : line)
  return rest.length === 0 ? [cut(first!)] : [cut(first!), cut(rest.join(' '))]
}

/** What the picture shows, told. */
export function outletWords(state: OutletState): string {
  const { outlet: o } = t
  const nameOf = (id: string | null) => state.tanks.find((tank) => tank.id === id)?.name ?? ''
  return [
    ...state.tanks.map(({ name, isOpen }) => o.tank(name, isOpen)),
    ...(state.end === 'none' ? [] : [o.endIs(state.end === 'open')]),
    state.hose ? o.hoseTo[state.hose.into ?? 'none'] : o.capIs(state.isCapped),
    ...(state.pump === 'on' ? [o.pumps] : []),
    ...(state.rinse?.isOn ? [o.water(nameOf(state.rinse.tank))] : []),
    ...state.runs.map((id) =>
      state.over === null ? o.runs(nameOf(id)) : o.over(nameOf(id), nameOf(state.over)),
    ),
  ].join(' ')
}
