import { movedPerUse } from './perUse'
import type { PartGrid } from '../calendar'
import type { Crew, ModelRun, Stay } from '../domain'
import { endCode, type Model, type ModelContainer, type Stream } from './model'

/** The run that opens gray where a hookup begins; not one of the stay's own. */
export const HOOKUP_RUN = 'hookup'

type Flows = Pick<Model, 'uses' | 'volume'>
const MORNING = 0

/** 1 in the parts of the nights with a sewer at the site: up to 11:00 after the last of them. */
function hookupParts({ site }: Pick<Stay, 'site'>, { count, day, part }: PartGrid): Uint8Array {
  const nights = site.sewer === 'none' ? 0 : site.hookupNights
  return Uint8Array.from({ length: count }, (_, i) =>
    day[i]! < nights || (nights > 0 && day[i] === nights && part[i] === MORNING) ? 1 : 0,
  )
}

/**
 * 1 in the parts in which gray's valve stands open at a hookup: all of its nights where that is the crew's side, but for the
 * last ones, in which enough comes together to wash the hose with. Null: it stands shut.
 */
export function openParts(
  stay: Stay,
  { schools }: Crew,
  containers: readonly ModelContainer[],
  streams: readonly Stream[],
  { uses, volume }: Flows,
  grid: PartGrid,
): Uint8Array | null {
  if (schools.sides['gray-at-hookup'] !== 'open') return null
  const open = hookupParts(stay, grid)
  let wanted = schools.hoseGray.value
  for (let i = open.lastIndexOf(1); i >= 0 && open[i] === 1 && wanted > 0; i--) {
    open[i] = 0
    for (const stream of streams) {
      const { to, activity, portion } = stream
      const k = activity * grid.count + i
      if (containers[to]?.kind === 'gray')
        wanted -= uses[k]! * movedPerUse(stream, volume[k]!) * (portion?.[i] ?? 1)
    }
  }
  return open.includes(1) ? open : null
}

/** Streams into gray, led out where its valve stands open; those that are led out stand after all others. */
export function drainedOpen(
  streams: readonly Stream[],
  containers: readonly ModelContainer[],
  open: Uint8Array,
): Stream[] {
  const isGray = ({ to }: Stream) => containers[to]?.kind === 'gray'
  const part = (stream: Stream, isOpen: 0 | 1) =>
    Float64Array.from(open, (one, i) => (one === isOpen ? (stream.portion?.[i] ?? 1) : 0))
  return [
    ...streams.map((stream) => (isGray(stream) ? { ...stream, portion: part(stream, 0) } : stream)),
    ...streams
      .filter(isGray)
      .map((stream) => ({ ...stream, to: endCode('carried-out'), portion: part(stream, 1) })),
  ]
}

/** Where the valve is opened what stands in gray runs out. */
export function openingRun(containers: readonly ModelContainer[], open: Uint8Array): ModelRun {
  return {
    id: HOOKUP_RUN,
    part: open.indexOf(1),
    isOfRoad: false,
    isPlanned: false,
    steps: containers.flatMap(({ kind, residue }, from) =>
      kind === 'gray'
        ? [
            {
              step: 0,
              from,
              to: endCode('carried-out'),
              ask: 'down-to' as const,
              value: residue,
              scale: -1,
              floor: residue,
              empties: true,
              adds: 0,
              head: null,
            },
          ]
        : [],
    ),
  }
}
