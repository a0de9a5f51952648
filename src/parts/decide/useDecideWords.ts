import { computed } from 'vue'
import { slotNumber, slotOfTime } from '@/core/calendar'
import type { DecideBy, DecideWay } from '@/core/decide'
import type { Id, Run } from '@/core/model'
import { blocks } from '@/core/schedule'
import { useDecideStore } from '@/data/decideStore'
import { useForecastStore } from '@/data/forecastStore'
import { useSettingsStore } from '@/data/settingsStore'
import { useRuns, whenOf } from '@/parts/runs/useRuns'
import { formatDate, formatWay } from '@/texts'
import * as t from '@/texts/t'

/** How long each container can wait, in the owner's words. */
export function useDecideWords() {
  const decide = useDecideStore()
  const forecast = useForecastStore()
  const settings = useSettingsStore()
  const runs = useRuns()
  const nameOf = (id: Id) => forecast.model?.containers.find((one) => one.id === id)?.name ?? ''
  const when = (time: string) => `${formatDate(time)} ${time.slice(11)}`

  function placeWords({ place, kilometres }: DecideWay): string | null {
    if (!place) return null
    return [place.name, awayOf(kilometres)].filter((one) => one !== null).join(', ')
  }
  const awayOf = (kilometres: number | null) =>
    kilometres === null ? null : t.decide.away(formatWay(kilometres, settings.units))
  const wayName = ({ place, usual }: DecideWay) => place?.name ?? t.runs.usual[usual]

  /** A run of the plan that sees to a container in time, or too late. */
  function plannedFor({ container, ways }: DecideBy): string | null {
    const { stay } = forecast
    if (!stay) return null
    const members = forecast.model?.containers.find((one) => one.id === container)?.members ?? [container]
    const planned = runs.inOrder.value.find(
      ({ run, troubles }) => !troubles.some(blocks) && servesAny(run, members),
    )
    if (!planned) return null
    const last = ways[0] ? slotNumber(slotOfTime(stay.start, ways[0].leaveBy)) : -1
    const words = slotNumber(planned.run) <= last ? t.decide.planned : t.decide.plannedLate
    return words(planned.run.name, whenOf(stay, planned.run, true))
  }

  function wordsOf(answer: DecideBy) {
    const name = nameOf(answer.container)
    const [first, second] = answer.ways
    const rest = answer.ways.length > 2 ? t.decide.next : t.decide.only
    const after = second
      ? rest(wayName(second), awayOf(second.kilometres), when(second.leaveBy))
      : t.decide.nothingAfter(name, answer.by === null ? '' : when(answer.by))
    return {
      id: answer.container,
      name,
      state: answer.state,
      until: first ? when(first.leaveBy) : null,
      short: first ? t.decide.short(when(first.leaveBy), name) : t.decide.tooLateShort(name),
      preferred: first ? t.decide.preferred(t.runs.usual[first.usual], placeWords(first)) : null,
      isSure: first?.isSure ?? true,
      after: answer.state === 'wait' ? after : null,
      limit: answer.by === null ? null : t.decide.limit(when(answer.by)),
      planned: plannedFor(answer),
      leaveBy: first?.leaveBy ?? null,
    }
  }
  return {
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
