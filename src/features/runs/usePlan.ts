import { computed } from 'vue'
import { addWallDays, dayZero, slotNumber, type WallTime } from '@/core/calendar'
import type { Place, Run } from '@/core/domain'
import { blocks, type RunAnswer, type RunCost } from '@/core/schedule'
import { useForecastStore } from '@/data/forecastStore'
import { usePlacesStore } from '@/data/placesStore'
import type { CalendarEntry } from '@/document/runCalendar'
import type { ScheduleLine } from '@/document/runsCsv'
import { useDecideWords } from '@/parts/decide/useDecideWords'
import { useRuns, whenOf } from '@/parts/runs/useRuns'
import { useRunWords } from '@/parts/runs/useRunWords'
import { formatClock, formatDate } from '@/texts'
import * as t from '@/texts/t'

/** So long before somebody wants to be told. */
const REMIND_RUN_MIN = 60
const REMIND_DECIDE_MIN = 180

/** One run as it is taken along. */
export interface PlanRow {
  run: Run
  place: Place | null
  when: string
  /** Wall time its part begins, or that of leaving for it. */
  at: WallTime
  /** Leave by, and there; null: the hours are not known. */
  leave: WallTime | null
  there: WallTime | null
  does: string
  takes: string
  cost: RunCost
  troubles: string[]
}

/** The runs and last moments of the stay, as calendar, table, paper and text say them. */
export function usePlan() {
  const forecast = useForecastStore()
  const places = usePlacesStore()
  const runs = useRuns()
  const words = useRunWords()
  const decide = useDecideWords()

  const rows = computed((): PlanRow[] => {
    const { stayCase } = places
    if (!stayCase || !runs.cost.value) return []
    const { stay } = stayCase
    return runs.inOrder.value.map((answer) => {
      const { run, visit } = answer
      const cost = runs.cost.value!.runs.find((one) => one.run === run.id)!
      const begins = addWallDays(dayZero(stay.start), slotNumber(run) / 4)
      return {
        run,
        place: stay.places.find(({ id }) => id === run.place) ?? null,
        when: whenOf(stay, run),
        at: visit.kind === 'fits' ? visit.leaveAt : begins < stay.start ? stay.start : begins,
        // Errands on one road leave the site once, with the first of them.
        leave: visit.kind === 'fits' && answer.road.sharesWith.length === 0 ? visit.leaveAt : null,
        there: visit.kind === 'fits' ? visit.fit.at : null,
        does: words.changes(answer).join(' · ') || (run.steps.length > 0 ? t.runs.nothing : ''),
        takes: words.takes(answer, cost),
        cost,
        troubles: troublesOf(answer),
      }
    })
  })
  const troublesOf = (answer: RunAnswer) =>
    answer.troubles.filter(blocks).map((one) => words.trouble(one, answer))

  const calendar = computed((): CalendarEntry[] => [
    ...rows.value.map(({ run, place, at, does, takes, cost, troubles }): CalendarEntry => ({
      id: run.id,
      at,
      minutes: cost.minutes,
      summary: t.takeAlong.leaveFor(run.name, place?.name ?? null),
      description: [does, takes, ...troubles].filter((one) => one !== '').join('\n'),
      place: place?.name ?? null,
      position: place?.position ?? null,
      remindMinutes: REMIND_RUN_MIN,
    })),
    ...decide.pressing.value.flatMap(({ id, name, leaveBy, short, preferred, after }): CalendarEntry[] =>
      leaveBy === null
        ? []
        : [
            {
              id: `decide-${id}`,
              at: leaveBy,
              minutes: 15,
              summary: t.takeAlong.decideEntry(name),
              description: [short, preferred, after].filter((one) => one !== null).join('\n'),
              place: null,
              position: null,
              remindMinutes: REMIND_DECIDE_MIN,
            },
          ],
    ),
  ])

  const lines = computed((): ScheduleLine[] =>
    rows.value.map(({ run, place, leave, there, cost, does }) => ({
      day: run.day,
      date: addWallDays(dayZero(forecast.stay!.start), run.day).slice(0, 10),
      part: t.parts[run.part],
      run: run.name,
      place: place?.name ?? '',
      leaveBy: leave ?? '',
      at: there ?? '',
      changes: does,
      minutes: cost.minutes,
      kilometres: cost.kilometres,
      fee: cost.money,
    })),
  )

  /** Places the runs go to, and those that the last moments name. */
  const used = computed(() => {
    const ids = new Set(rows.value.flatMap(({ place }) => place?.id ?? []))
    const named = (forecast.stay?.places ?? []).filter(({ name }) =>
      decide.pressing.value.some(
        ({ preferred, after }) => preferred?.includes(name) || after?.includes(name),
      ),
    )
    for (const { id } of named) ids.add(id)
    return (forecast.stay?.places ?? []).filter(({ id }) => ids.has(id))
  })

  /** The same in plain words, to be sent to somebody. */
  const text = computed(() => {
    const { stay } = forecast
    if (!stay) return ''
    return [
      `${stay.name}, ${formatDate(stay.start)} – ${formatDate(stay.leaveAt)}`,
      ...decide.pressing.value.map(({ short, after }) => [short, after ?? ''].join(' ').trim()),
      ...rows.value.map(({ run, place, when, leave, there, does, troubles }) =>
        [
          `${when}: ${t.takeAlong.leaveFor(run.name, place?.name ?? null)}`,
          there
            ? leave
              ? t.runs.there(formatClock(there), formatClock(leave))
              : t.runs.thereOn(formatClock(there))
            : '',
          does,
          ...troubles,
        ]
          .filter((one) => one !== '')
          .join('. '),
      ),
    ].join('\n')
  })
  return { rows, calendar, lines, used, text, pressing: decide.pressing }
}
