import { nightsBetween, slotNumber, wallDaysBetween } from '../calendar'
import { count, levelBefore, partAt } from '../count'
import { compile, type Model } from '../compile'
import type { Id, Run, StayCase } from '../model'
import type { Amount, Days, Share } from '../quantities'

/** One stay of a season. */
export interface SeasonStay {
  stay: StayCase['stay']
  nights: number
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
    const next = cases[i + 1]?.stay
    season.push({
      stay,
      nights: nightsBetween(stay.start, stay.leaveAt),
      holds: counted.days,
      stopper: counted.stopper,
      lasts: counted.days === null || counted.days >= untilLeft - 1e-9,
      dumps: dumpsOf(stayCase),
      left: leftOver(stayCase, model, counted.ledger),
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

/** What each waste container holds once the stay is left and its road is over, against what is asked. */
export function leftOver(
  { stay }: Pick<StayCase, 'stay'>,
  model: Model,
  played: ReturnType<typeof count>['ledger'],
): LeftOver[] {
  const untilLeft = wallDaysBetween(model.start, stay.leaveAt)
  const { grid } = model
  if (untilLeft < 0 || untilLeft >= grid.edges[grid.count]!) return []
  const part = partAt(model, untilLeft + 1e-9)
  const gone = (untilLeft - grid.edges[part]!) / (grid.edges[part + 1]! - grid.edges[part]!)
  return model.containers.flatMap(({ id, side, capacity, residue }, c): LeftOver[] => {
    if (side !== 'waste') return []
    const before = levelBefore(model, played, c, part)
    const after = played.levels[c * grid.count + part]!
    // What is used within the part before it is left is in there too.
    const level = before + Math.max(0, gone) * (after - before)
    const most = stay.endsAt === null ? Infinity : stay.endsAt.value * capacity + residue + FILM
    return [{ container: id, level, share: level / capacity, isTooMuch: level > most }]
  })
}
