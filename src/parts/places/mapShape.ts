import type { Place, Position } from '@/core/domain'
import { offsetKm } from '@/core/places'

/** What a map is drawn on, in units in which its words are as large as those about it. */
export interface Frame {
  width: number
  height: number
  centre: { x: number; y: number }
  /** Radius up to which the map reaches. */
  rim: number
}

/** @param width a phone's is narrower, so that its words stay as large */
export function frameOf(width: number): Frame {
  const height = Math.min(500, Math.round(width * 1.02))
  return { width, height, centre: { x: width / 2, y: height / 2 }, rim: Math.min(width, height) / 2 - 22 }
}

/** A mark on the map. */
export interface MapMark {
  id: string
  x: number
  y: number
  /** Farther than the map reaches: it stands on the rim. */
  isBeyond: boolean
}

/** Distances of rings, km of road in the owner's unit times its length, that divide the map well. */
const STEPS = [0.5, 1, 2, 5, 10, 20, 50, 100, 200, 500, 1000]
const FEWEST_RINGS = 2

/**
 * How far the map reaches, in road: the farthest place, or the last before a gap of more than three times (then what
 * lies beyond stands on the rim).
 * @param km of road from the site, of every place @param zoom each step halves or doubles it
 */
export function reachOf(km: readonly number[], zoom: number): number {
  const sorted = [...km].sort((a, b) => a - b)
  const jump = sorted.findIndex((one, i) => i > 1 && one > 3 * sorted[i - 1]!)
  const farthest = sorted[jump > 0 ? jump - 1 : sorted.length - 1] ?? 10
  return Math.max(1, farthest * 1.12) * 2 ** -zoom
}

/** Rings at round distances of road, on the same scale as the marks. @param reach km of road @param unitKm of the owner's unit */
export function ringsOf({ rim }: Frame, reach: number, unitKm: number): { at: number; radius: number }[] {
  const most = reach / unitKm
  const step = [...STEPS].reverse().find((one) => most / one >= FEWEST_RINGS) ?? STEPS[0]!
  const rings: { at: number; radius: number }[] = []
  for (let at = step; at <= most + 1e-9 && rings.length < 6; at += step)
    rings.push({ at, radius: ((at * unitKm) / reach) * rim })
  return rings
}

/**
 * Where the marks are: the site in the middle, each in its true direction, north up, and as far out as its road is long.
 * @param roadKm of a place, which lies `km` away in a straight line @param reach km of road up to the rim
 */
export function marksOf(
  { centre, rim }: Frame,
  site: Position,
  places: readonly Place[],
  reach: number,
  roadKm: (place: Place, km: number) => number,
): MapMark[] {
  const marks = places.flatMap((place): MapMark[] => {
    if (!place.position) return []
    const { east, north } = offsetKm(site, place.position)
    const km = Math.hypot(east, north)
    const road = roadKm(place, km)
    const isBeyond = road > reach
    const scale = km === 0 ? 0 : ((isBeyond ? 1 : road / reach) * rim) / km
    return [{ id: place.id, x: centre.x + east * scale, y: centre.y - north * scale, isBeyond }]
  })
  return spread(marks, centre)
}

/** Marks closer than this to each other could not be told apart, nor tapped. */
const APART = 27
const ROUNDS = 60

/** Moves marks that stand on each other, or on the site, apart: by no more than it takes. */
function spread(marks: readonly MapMark[], centre: { x: number; y: number }): MapMark[] {
  const moved = marks.map((mark) => ({ ...mark }))
  const fixed = { ...centre }
  for (let round = 0; round < ROUNDS; round++)
    moved.forEach((a, i) => {
      pushApart(a, fixed, i, 1, 0)
      for (const b of moved.slice(i + 1)) pushApart(a, b, i, 0.5, 0.5)
    })
  return moved
}

interface Spot {
  x: number
  y: number
}

/** @param first share of the push that moves `a`, @param second and `b` */
function pushApart(a: Spot, b: Spot, i: number, first: number, second: number): void {
  const [dx, dy] = [a.x - b.x, a.y - b.y]
  const away = Math.hypot(dx, dy)
  if (away >= APART) return
  // Two of the very same position part along different lines.
  const [ux, uy] = away > 1e-6 ? [dx / away, dy / away] : [Math.cos(i + 1), Math.sin(i + 1)]
  const push = APART - away
  a.x += ux * push * first
  a.y += uy * push * first
  b.x -= ux * push * second
  b.y -= uy * push * second
}

export interface Label {
  id: string
  /** How wide and high it is taken to be. */
  width: number
  height: number
  /** Which of its ways it is written in, 0 for all of it. */
  way: number
  x: number
  y: number
  anchor: 'start' | 'end' | 'middle'
}

/** Words are about so wide, in units a letter, and so high. */
const LETTER = 8.1
const LINE = 18
const AWAY = 15

interface Labelled {
  id: string
  x: number
  y: number
  /** How many letters each line of it has: all of it, then shorter ways, for where there is no room. */
  ways: readonly (readonly number[])[]
}

/**
 * A place for each label where it covers no mark and no other label, tried on all sides of its own; shorter where there is no
 * room for all of it, and left out where there is none at all: the list has it. The first have the choice.
 */
export function labelsOf(frame: Frame, marks: readonly Labelled[]): Label[] {
  const taken: Box[] = marks.map(boxAbout)
  return marks.flatMap((mark): Label[] => {
    const own = boxAbout(mark)
    const isFree = (label: Label) => {
      const box = boxOf(label)
      const isIn =
        box.left >= 2 && box.right <= frame.width - 2 && box.top >= 2 && box.bottom <= frame.height - 2
      return isIn && taken.every((other) => isSame(other, own) || !overlaps(box, other))
    }
    const found = mark.ways.flatMap((lines, way) => sidesOf(mark, lines, way)).find(isFree)
    if (!found) return []
    taken.push(boxOf(found))
    return [found]
  })
}

function sidesOf({ id, x, y }: Labelled, lines: readonly number[], way: number): Label[] {
  const [width, height] = [Math.max(...lines) * LETTER, lines.length * LINE]
  const own = { id, width, height, way }
  return [
    { ...own, x: x + AWAY, y: y - height / 2, anchor: 'start' },
    { ...own, x: x - AWAY, y: y - height / 2, anchor: 'end' },
    { ...own, x, y: y + AWAY, anchor: 'middle' },
    { ...own, x, y: y - AWAY - height, anchor: 'middle' },
    { ...own, x: x + AWAY, y: y + 4, anchor: 'start' },
    { ...own, x: x + AWAY, y: y - height - 4, anchor: 'start' },
    { ...own, x: x - AWAY, y: y + 4, anchor: 'end' },
    { ...own, x: x - AWAY, y: y - height - 4, anchor: 'end' },
  ]
}

const MARK = 10
function boxAbout({ x, y }: { x: number; y: number }): Box {
  return { left: x - MARK, right: x + MARK, top: y - MARK, bottom: y + MARK }
}

function boxOf({ x, y: top, anchor, width, height }: Label): Box {
  const left = anchor === 'start' ? x : anchor === 'end' ? x - width : x - width / 2
  return { left, right: left + width, top, bottom: top + height }
}

const BEARINGS = 24
/** How far out the rings may say it. */
const OUT = [0.3, 0.5, 0.75, 1]

/** The direction from the centre, of unit length, in which there is most room for what the rings say. */
export function bearingOf(
  { centre, rim }: Frame,
  marks: readonly { x: number; y: number }[],
  labels: readonly Label[],
): { x: number; y: number } {
  const boxes = [
    ...labels.map(boxOf),
    ...marks.map(({ x, y }) => ({ left: x - 12, right: x + 12, top: y - 12, bottom: y + 12 })),
  ]
  const roomAt = ({ x, y }: { x: number; y: number }) => {
    const rooms = OUT.flatMap((share) =>
      boxes.map(({ left, right, top, bottom }) => {
        const [px, py] = [centre.x + share * rim * x, centre.y + share * rim * y]
        // Words are wider than high.
        return Math.hypot(Math.max(left - px, 0, px - right) / 2, Math.max(top - py, 0, py - bottom))
      }),
    )
    return Math.min(...rooms)
  }
  const all = Array.from({ length: BEARINGS }, (_, i) => {
    const angle = Math.PI / 2 + (i * 2 * Math.PI) / BEARINGS
    return { x: Math.cos(angle), y: Math.sin(angle) }
  })
  return all.reduce((best, one) => (roomAt(one) > roomAt(best) + 1e-9 ? one : best))
}

interface Box {
  left: number
  right: number
  top: number
  bottom: number
}
const overlaps = (a: Box, b: Box) =>
  a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom
const isSame = (a: Box, b: Box) => a.left === b.left && a.top === b.top

/** Where the numbers of a mark's runs stand: below it, or on the first side on which no other mark is. */
export function badgeOf(mark: MapMark, marks: readonly MapMark[]): { x: number; y: number } {
  const sides = [
    { x: 0, y: 22 },
    { x: -24, y: 0 },
    { x: 0, y: -22 },
    { x: 24, y: 0 },
  ].map(({ x, y }) => ({ x: mark.x + x, y: mark.y + y }))
  const isFree = (at: { x: number; y: number }) =>
    marks.every(({ id, x, y }) => id === mark.id || Math.hypot(at.x - x, at.y - y) > 20)
  return sides.find(isFree) ?? sides[0]!
}

/** The mark an arrow key leads to: the nearest in that direction; null: none lies there. */
export function neighbourOf(marks: readonly MapMark[], from: MapMark, key: string): MapMark | null {
  const along: Record<string, [number, number]> = {
    ArrowRight: [1, 0],
    ArrowLeft: [-1, 0],
    ArrowUp: [0, -1],
    ArrowDown: [0, 1],
  }
  const way = along[key]
  if (!way) return null
  const reached = marks.flatMap((mark) => {
    const [dx, dy] = [mark.x - from.x, mark.y - from.y]
    const ahead = dx * way[0] + dy * way[1]
    const aside = Math.abs(dx * way[1] - dy * way[0])
    return mark.id !== from.id && ahead > 0.5
      ? [{ mark, isAside: aside > 2 * ahead, cost: ahead + aside }]
      : []
  })
  // What lies rather beside than ahead is led to only where nothing else is.
  reached.sort((a, b) => Number(a.isAside) - Number(b.isAside) || a.cost - b.cost)
  return reached[0]?.mark ?? null
}
