import { computed } from 'vue'
import type { Id } from '@/core/domain'
import { endOf } from '@/core/underway'
import { useClockStore } from '@/data/clockStore'
import { useForecastStore } from '@/data/forecastStore'
import { useLogStore } from '@/data/logStore'
import { useUnderWayStore } from '@/data/underWayStore'
import { dayAndTime } from '@/texts'
import * as t from '@/texts/t'
import { isCountedNow, logKeys, silentSince, type Key } from './keys'

/** Logging from any screen. */
export function useLogging() {
  const forecast = useForecastStore()
  const log = useLogStore()
  const clock = useClockStore()
  const underWay = useUnderWayStore()

  const isCounted = (id: Id) => forecast.stay !== null && isCountedNow(forecast.stay, id)
  const keys = computed((): Key[] =>
    forecast.crew && forecast.stay
      ? logKeys(forecast.crew, forecast.stay, log.entries, clock.now, underWay.learned?.completeness)
      : [],
  )

  /** What is wrong with a time; null: nothing. */
  function wrongTime(at: string): string | null {
    const { stay } = forecast
    const end = stay ? endOf(stay, log.entries) : null
    if (!/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/.test(at)) return t.log.when.none
    if (at > clock.now) return t.log.when.future(dayAndTime(clock.now))
    if (end !== null && at > end) return t.log.when.after(dayAndTime(end))
    return stay && at < stay.start ? t.log.when.before(dayAndTime(stay.start)) : null
  }

  /** Nothing was logged since then, and that is long ago. */
  const silent = computed(() =>
    keys.value.some(({ unlogged }) => unlogged !== null) ? silentSince(log.entries, clock.now) : null,
  )

  return { keys, silent, isCounted, wrongTime }
}
