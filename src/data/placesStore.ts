import { defineStore } from 'pinia'
import { tryOnMounted } from '@vueuse/core'
import { computed, ref, shallowRef, watch } from 'vue'
import { addWallDays, dayZero, type WallTime } from '@/core/calendar'
import type { Id, OpenTimes, Place, StayCase } from '@/core/model'
import type { OpeningAnswer } from '@/solver/openingHours'
import { useForecastStore } from './forecastStore'
import { useJobStore } from './jobStore'
import { safeStorage } from './safeStorage'

const KEY = 'dry-count:hours'
/** Texts whose answers are kept in this browser from one visit to the next. */
const MOST_KEPT = 80
/** Days beyond the end of a stay for which openings are read: what comes next is of interest. */
const BEYOND_D = 9

type Kept = Record<string, OpenTimes>

/**
 * When the places of the stay are open. Texts are read by a large library, in a worker, when somebody looks at places or runs; what it
 * said is kept by the text, so that the next visit needs neither the library nor a network.
 */
export const usePlacesStore = defineStore('places', () => {
  const forecast = useForecastStore()
  const jobs = useJobStore()
  const storage = safeStorage()
  const answers = shallowRef<ReadonlyMap<string, OpeningAnswer>>(kept(storage))
  const isWanted = ref(false)
  const hasFailed = ref(false)

  const sun = computed(() => forecast.stay?.weather ?? { sunrise: '07:00', sunset: '19:00' })
  const span = computed((): [WallTime, WallTime] | null => {
    const { stay } = forecast
    return stay ? [addWallDays(dayZero(stay.start), -1), addWallDays(dayZero(stay.leaveAt), BEYOND_D)] : null
  })
  const keyOf = (text: string) => [text, ...(span.value ?? []), sun.value.sunrise, sun.value.sunset].join('|')
  const texts = computed(() => [
    ...new Set((forecast.stay?.places ?? []).flatMap(({ opening }) => opening ?? [])),
  ])
  const answerOf = ({ opening }: Pick<Place, 'opening'>): OpeningAnswer | null =>
    opening === null ? null : (answers.value.get(keyOf(opening)) ?? null)

  /** By place, as far as it was read; null: not all of it yet. */
  const hours = computed((before: ReadonlyMap<Id, OpenTimes> | null = null) => {
    if (texts.value.some((text) => !answers.value.has(keyOf(text)))) return null
    const now = new Map(
      (forecast.stay?.places ?? []).flatMap((place) => {
        const answer = answerOf(place)
        return answer?.ok ? [[place.id, answer.times] as const] : []
      }),
    )
    const isSame = before?.size === now.size && [...now].every(([id, times]) => before.get(id) === times)
    return isSame ? before : now
  })
  /** The case that is counted, with the hours: what asks for places asks with it. */
  const stayCase = computed((): StayCase | null => {
    const { stayCase: counted } = forecast
    return counted && hours.value ? { ...counted, hours: hours.value } : counted
  })

  let isReading = false
  async function read(): Promise<void> {
    if (isReading || !isWanted.value) return
    isReading = true
    try {
      for (let missing = unread(); missing.length > 0; missing = unread()) {
        const { sunrise, sunset } = sun.value
        const [from, until] = span.value!
        const asked = missing.map((text) => ({ text, from, until, sunrise, sunset }))
        const keys = missing.map(keyOf)
        const read = await jobs.run('advice', 'openings', jobs.subjectOf(forecast.stayCase!), asked)
        hasFailed.value = false
        answers.value = new Map([...answers.value, ...keys.map((key, i) => [key, read[i]!] as const)])
      }
      keep(storage, answers.value)
    } catch {
      hasFailed.value = true
    } finally {
      isReading = false
    }
  }
  const unread = () =>
    forecast.stayCase ? texts.value.filter((text) => !answers.value.has(keyOf(text))) : []
  watch([texts, span, sun, isWanted], () => void read(), { immediate: true })

  /** What one text comes to, before it is anybody's; null where it could not be asked. */
  async function tryText(text: string): Promise<OpeningAnswer | null> {
    try {
      const { readOpening } = await import('@/solver/openingHours')
      const [from, until] = span.value ?? ['2027-01-01T00:00', '2028-01-01T00:00']
      return readOpening({ text, from, until, sunrise: sun.value.sunrise, sunset: sun.value.sunset })
    } catch {
      return null
    }
  }

  return {
    hours,
    stayCase,
    hasFailed,
    answerOf,
    tryText,
    /** Reads the hours as long as the application is open, from the first component that asks. */
    follow: () => tryOnMounted(() => void (isWanted.value = true)),
  }
})

function kept(storage: Storage): Map<string, OpeningAnswer> {
  try {
    const all = JSON.parse(storage.getItem(KEY) ?? '{}') as Kept
    return new Map(Object.entries(all).map(([key, times]) => [key, { ok: true, times }]))
  } catch {
    return new Map()
  }
}

function keep(storage: Storage, answers: ReadonlyMap<string, OpeningAnswer>): void {
  const good = [...answers].flatMap(([key, answer]) => (answer.ok ? [[key, answer.times] as const] : []))
  storage.setItem(KEY, JSON.stringify(Object.fromEntries(good.slice(-MOST_KEPT))))
}
