import { computed } from 'vue'
import { addWallDays, dayZero } from '@/core/calendar'
import type { Activity, Id } from '@/core/model'
import { dailyUse } from '@/core/explain'
import { endOf } from '@/core/underway'
import { useClockStore } from '@/data/clockStore'
import { useForecastStore } from '@/data/forecastStore'
import { useLogStore } from '@/data/logStore'
import { dayAndTime, formatDate } from '@/texts'
import * as t from '@/texts/t'

/** What can be logged by one tap, and how often it was today. */
export interface Key {
  activity: Activity
  isCounted: boolean
  /** Uses logged today; of an expected one what came on top. */
  today: number
  isLeftOut: boolean
  letter: string
}

/** Logging from any screen. */
export function useLogging() {
  const forecast = useForecastStore()
  const log = useLogStore()
  const clock = useClockStore()

  const isCounted = (id: Id) =>
    forecast.stay?.counted.some(({ activity, until }) => activity === id && until === null) ?? false
  /** Uses of today, by activity: how many, and whether it was said that there were none. */
  const today = computed(() => {
    const begins = dayZero(clock.now)
    const ends = addWallDays(begins, 1)
    const made = new Map<Id, { n: number; isLeftOut: boolean }>()
    for (const entry of log.entries) {
      if (entry.kind !== 'use' || entry.at < begins || entry.at >= ends) continue
      const { n, isLeftOut } = made.get(entry.activity) ?? { n: 0, isLeftOut: false }
      made.set(entry.activity, { n: n + entry.n, isLeftOut: isLeftOut || entry.n === 0 })
    }
    return made
  })

  /** Counted ones first, then what draws most in a day. */
  const keys = computed((): Key[] => {
    const { crew } = forecast
    if (!crew) return []
    const litres = (activity: Activity) => dailyUse(crew, activity).litres
    const order = [...crew.activities]
      .filter(({ kind, rate }) => kind !== 'bowl-seal' && kind !== 'drinking' && rate.value > 0)
      .sort((a, b) => Number(isCounted(b.id)) - Number(isCounted(a.id)) || litres(b) - litres(a))
    const letters = new Set<string>(['p', 'e'])
    return order.map((activity) => {
      const letter =
        activity.name
          .toLowerCase()
          .match(/[a-z]/g)
          ?.find((one) => !letters.has(one)) ?? ''
      letters.add(letter)
      return {
        activity,
        isCounted: isCounted(activity.id),
        today: today.value.get(activity.id)?.n ?? 0,
        isLeftOut: today.value.get(activity.id)?.isLeftOut ?? false,
        letter,
      }
    })
  })

  /** What is wrong with a time; null: nothing. */
  function wrongTime(at: string): string | null {
    const { stay } = forecast
    const end = stay ? endOf(stay, log.entries) : null
    if (!/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/.test(at)) return t.log.when.none
    if (at > clock.now) return t.log.when.future(dayAndTime(clock.now))
    if (end !== null && at > end) return t.log.when.after(dayAndTime(end))
    return stay && at < stay.start
      ? t.log.when.before(`${formatDate(stay.start)}, ${stay.start.slice(11)}`)
      : null
  }

  return { keys, isCounted, wrongTime }
}
