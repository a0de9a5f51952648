import { nightsBetween, slotNumber, wallDaysBetween, type WallTime } from '../calendar'
import { count, nightsMade, type Ledger } from '../count'
import { compile, type Model } from '../compile'
import { afterRoad } from './passedOn'
import type { Id, Run, StayCase } from '../domain'
import type { Amount, Days, Share } from '../quantities'

/** One stay of a season. */
export interface SeasonStay {
  stay: StayCase['stay']
  nights: number
  /** Of these, made with its runs: one number everywhere (`nightsMade`). */
  made: number
  /** How many days it lasts with its runs; null: to its end and on, beyond the horizon. */
  holds: Days | null
  stopper: Id | null
  /** Whether it lasts until it is left. */
  lasts: boolean
  /** Runs that let something go, in the order of time. */
  dumps: Run[]
  /** What each waste container holds when the road ends. */
  left: LeftOver[]
  /** Days at home or on the road until the next stay; null: none follows. Below 0 they overlap. */
  gap: Days | null
}

export interface LeftOver {
  container: Id
  level: Amount
  share: Share
  /** More than its site or chain asks for. */
  isTooMuch: boolean
}

/** A season, stay by stay. @param cases of its stays in their order, each with what the one before passes on */
export function* seasonOf(cases: readonly StayCase[]): Generator<number, SeasonStay[], undefined> {
  const season: SeasonStay[] = []
  for (const [i, stayCase] of cases.entries()) {
    const { stay } = stayCase
    const model = compile(stayCase)
    const counted = count(model)
    const untilLeft = wallDaysBetween(model.start, stay.leaveAt)
    const next = cases[i + 1]?.stay ?? null
    const { planned, made } = nightsMade(counted.days, model.start, stay.leaveAt)
    season.push({
      stay,
      nights: nightsBetween(stay.start, stay.leaveAt),
      made: nightsBetween(stay.start, stay.leaveAt) - planned + made,
      holds: counted.days,
      stopper: counted.stopper,
      lasts: counted.days === null || counted.days >= untilLeft - 1e-9,
      dumps: dumpsOf(stayCase),
      left: leftOver(stayCase, model, counted.ledger, next?.start ?? null),
      gap: next ? wallDaysBetween(stay.leaveAt, next.start) : null,
    })
    yield (i + 1) / cases.length
  }
  return season
}

function dumpsOf({ stay, rig }: StayCase): Run[] {
  const isWaste = (id: Id | null) => rig.containers.some((one) => one.id === id && 'safeFill' in one)
  const lets = ({ steps }: Run) =>
    steps.some(({ from, to, do: does }) => isWaste(from) && (to === null || does === 'loads'))
  return stay.runs.filter(lets).sort((a, b) => slotNumber(a) - slotNumber(b))
}

/** Less than this is a film on the floor, L (or uses). */
const FILM = 0.1

/**
 * What each waste container holds once the stay is left and its road is over, against what is asked.
 * @param until when the next stay starts; null: none follows
 */
export function leftOver(
  stayCase: StayCase,
  model: Model,
  played: Ledger,
  until: WallTime | null = null,
): LeftOver[] {
  const { stay } = stayCase
  const untilLeft = wallDaysBetween(model.start, stay.leaveAt)
  const { grid } = model
  if (untilLeft < 0 || untilLeft >= grid.edges[grid.count]!) return []
  const { levels } = afterRoad(stayCase, model, played, stay.leaveAt, until)
  return model.containers.flatMap(({ id, side, capacity, residue }, c): LeftOver[] => {
    if (side !== 'waste') return []
    const { level } = levels[c]!
    const most = stay.endsAt === null ? Infinity : stay.endsAt.value * capacity + residue + FILM
    return [{ container: id, level, share: level / capacity, isTooMuch: level > most }]
  })
}
