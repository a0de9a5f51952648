import { computed } from 'vue'
import { slotNumber, slotOfTime } from '@/core/calendar'
import { toQuarter, type DecideBy, type DecideOffer, type LastMoment } from '@/core/advice'
import type { Id, Run } from '@/core/domain'
import { useDecideStore } from '@/data/decideStore'
import { useForecastStore } from '@/data/forecastStore'
import { useSettingsStore } from '@/data/settingsStore'
import { useRuns, whenOf } from '@/parts/runs/useRuns'
import { formatClock, formatDate, formatRoad } from '@/texts'
import * as t from '@/texts/t'

/** How long each container can wait, in the owner's words. */
export function useDecideWords() {
  const decide = useDecideStore()
  const forecast = useForecastStore()
  const settings = useSettingsStore()
  const runs = useRuns()
  const nameOf = (id: Id) => forecast.model?.containers.find((one) => one.id === id)?.name ?? ''
  const when = (time: string) => `${formatDate(time)} ${formatClock(time)}`
  /** A last moment as it is said: down to the quarter hour, not before it is asked for. */
  const lastOf = ({ leaveBy }: LastMoment) => toQuarter(leaveBy, forecast.model?.start ?? leaveBy)
  const until = (moment: LastMoment) => when(lastOf(moment))

  function placeWords({ place, kilometres }: DecideOffer): string | null {
    if (!place) return null
    return [place.name, awayOf(kilometres)].filter((one) => one !== null).join(', ')
  }
  const awayOf = (kilometres: number | null) =>
    kilometres === null ? null : t.decide.away(formatRoad(kilometres, settings.units))
  /** What of an errand its place takes. */
  function whatOf({ usual, run }: DecideOffer): string {
    const fills = run.steps.some(({ do: does }) => does === 'fill' || does === 'jugs')
    const empties = run.steps.some(({ do: does }) => does === 'empty' || does === 'take')
    if (usual !== 'move-dump-fill' || fills === empties) return t.runs.usual[usual]
    return fills ? t.decide.moveToFill : t.decide.moveToDump
  }
  const errandName = ({ place, usual }: DecideOffer) => place?.name ?? t.runs.usual[usual]

  /** A run of the plan that sees to a container, and whether it is early enough in nine trips of ten. */
  function plannedFor({ container, offers }: DecideBy): string | null {
    const { stay } = forecast
    if (!stay) return null
    const members = forecast.model?.containers.find((one) => one.id === container)?.members ?? [container]
    const planned = runs.inOrder.value.find(
      ({ run, isPossible }) => isPossible && servesAny(run, members) && isAhead(run),
    )
    if (!planned) return null
    const last = offers[0] ? slotNumber(slotOfTime(stay.start, offers[0].leaveBy)) : Infinity
    const words = slotNumber(planned.run) <= last ? t.decide.planned : t.decide.plannedLate
    return words(planned.run.name, whenOf(stay, planned.run, true))
  }
  const isAhead = (run: Run) => {
    const { stay, model } = forecast
    return stay !== null && slotNumber(run) >= slotNumber(slotOfTime(stay.start, model?.start ?? stay.start))
  }
  /** What is open only perhaps, where it would leave more time than what is sure. */
  function perhapsOf({ offers, perhaps }: DecideBy): string | null {
    const [first] = offers
    if (!first?.isSure) return null
    const later = [
      ...perhaps.map((way) => ({ way, moment: way as LastMoment })),
      ...offers.flatMap((way) => (way.perhaps ? [{ way, moment: way.perhaps }] : [])),
    ].filter(({ moment }) => moment.leaveBy > offers.at(-1)!.leaveBy)
    const [best] = later.sort((a, b) => (a.moment.leaveBy > b.moment.leaveBy ? -1 : 1))
    return best ? t.decide.perhaps(errandName(best.way), until(best.moment)) : null
  }

  function wordsOf(answer: DecideBy) {
    const name = nameOf(answer.container)
    const [first, second] = answer.offers
    const rest = answer.offers.length > 2 ? t.decide.next : t.decide.only
    const isSameTime = first && second && until(first) === until(second)
    const after = second
      ? isSameTime
        ? t.decide.tooThen(errandName(second), awayOf(second.kilometres))
        : rest(errandName(second), awayOf(second.kilometres), until(second))
      : t.decide.nothingAfter(name, answer.by === null ? '' : when(answer.by))
    return {
      id: answer.container,
      name,
      state: answer.state,
      until: first ? until(first) : null,
      short: first ? t.decide.short(until(first), name) : t.decide.tooLateShort(name),
      preferred: first ? t.decide.preferred(whatOf(first), placeWords(first)) : null,
      isSure: first?.isSure ?? true,
      after: answer.state === 'wait' ? after : null,
      perhaps: perhapsOf(answer),
      limit: answer.by === null ? null : t.decide.limit(when(answer.by)),
      planned: plannedFor(answer),
      leaveBy: first ? lastOf(first) : null,
    }
  }
  return {
    /** Said where nothing is pressing. */
    nothing: computed(() =>
      runs.answers.value.some(({ isPossible }) => isPossible) ? t.decide.nothingElse : t.decide.nothing,
    ),
    pressing: computed(() => decide.pressing.map(wordsOf)),
    all: computed(() => (decide.answers ?? []).map(wordsOf)),
  }
}

function servesAny({ steps }: Run, members: readonly Id[]): boolean {
  return steps.some(({ do: does, from, to }) => {
    const leaves = from !== null && members.includes(from) && (to === null || does === 'loads')
    return leaves || (to !== null && members.includes(to) && (does === 'fill' || does === 'jugs'))
  })
}
