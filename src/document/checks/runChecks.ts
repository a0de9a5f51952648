import {
  AMOUNTS_OF,
  fillOf,
  unitOf,
  type Container,
  type Document,
  type RunStep,
  type Stay,
} from '@/core/domain'
import { show, type DocumentFault } from '../faults'
import { duplicateIds, type Path } from './common'

/** Runs name places and containers that there are, and each step says from where to where. */
export function runChecks({ rigs }: Document, stay: Stay, path: Path): DocumentFault[] {
  const containers = rigs.find(({ id }) => id === stay.rig)?.containers
  const at = [...path, 'runs']
  return [
    ...placeFaults(stay, path),
    ...duplicateIds(stay.runs, at),
    ...stay.runs.flatMap(({ place, steps, kind }, r): DocumentFault[] => {
      const lost = place !== null && !stay.places.some(({ id }) => id === place)
      return [
        ...(lost ? [dangling([...at, r, 'place'], place, 'place')] : []),
        ...(steps.length === 0 && kind !== 'errand' ? [tooFew([...at, r, 'steps'])] : []),
        ...(containers
          ? steps.flatMap((step, s) => stepFaults(step, containers, [...at, r, 'steps', s]))
          : []),
      ]
    }),
  ]
}

/** Places and their points once each; a road leads to a place that there is, and each has one. */
function placeFaults({ places, ways }: Stay, path: Path): DocumentFault[] {
  const known = new Set(places.map(({ id }) => id))
  const seen = new Set<string>()
  return [
    ...duplicateIds(places, [...path, 'places']),
    ...places.flatMap(({ points }, p) => duplicateIds(points, [...path, 'places', p, 'points'])),
    ...ways.flatMap(({ place }, w): DocumentFault[] => {
      const at = [...path, 'ways', w]
      if (!known.has(place)) return [dangling([...at, 'place'], place, 'place')]
      const isTwice = seen.has(place)
      seen.add(place)
      return isTwice ? [{ code: 'listed-twice', path: at, found: show(place), expected: '' }] : []
    }),
  ]
}

const tooFew = (path: Path): DocumentFault => ({ code: 'too-few', path, found: 'a list of 0', expected: '1' })

function dangling(path: Path, id: string, expected: string): DocumentFault {
  return { code: 'dangling', path, found: show(id), expected }
}

function stepFaults(step: RunStep, containers: readonly Container[], path: Path): DocumentFault[] {
  const [from, to] = [step.from, step.to].map((id) => containers.find((container) => container.id === id))
  const lost = (['from', 'to'] as const).flatMap((end) =>
    step[end] !== null && !(end === 'from' ? from : to)
      ? [dangling([...path, end], step[end], 'container')]
      : [],
  )
  if (lost.length > 0) return lost
  return isSound(step, from, to)
    ? []
    : [{ code: 'step-astray', path, found: show(step.do), expected: 'from where to where' }]
}

/** What each step may go from and to; litres and the uses of a bin never meet. */
function isSound({ do: does, amount }: RunStep, from?: Container, to?: Container): boolean {
  const isSupply = (one?: Container) => one !== undefined && fillOf(one.kind) === 'supply'
  const isWaste = (one?: Container) =>
    one !== undefined && fillOf(one.kind) === 'waste' && one.kind !== 'solids'
  const isCarrier = (one?: Container) => one !== undefined && fillOf(one.kind) === 'carrier'
  if (!AMOUNTS_OF[does].includes(amount.as)) return false
  const isDrained = does === 'empty' || does === 'transfer'
  if (amount.as === 'school' && isDrained && !isSupply(from)) return false
  switch (does) {
    case 'empty':
    case 'take':
      return from !== undefined && to === undefined
    case 'fill':
      return from === undefined && to !== undefined && unitOf(to.kind) === 'L'
    case 'charge':
    case 'top-up':
      return isWaste(to) && (from === undefined || isSupply(from))
    case 'transfer':
      return from !== undefined && to !== undefined && from !== to && !isWasteIntoSupply(from, to)
    case 'by-head':
      return from?.kind === 'gray' && to?.kind === 'black'
    case 'loads':
      return isWaste(from) && isCarrier(to)
    case 'jugs':
      return isCarrier(from) && isSupply(to)
  }
}

function isWasteIntoSupply(from: Container, to: Container): boolean {
  const isBin = from.kind === 'solids' || to.kind === 'solids'
  return isBin || (fillOf(from.kind) === 'waste' && fillOf(to.kind) === 'supply')
}
