import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import { addWallDays, dayZero, type WallTime } from '@/core/calendar'
import { chainTo } from '@/core/chain'
import { caseOf, type Hours, type Place, type Stay, type StayCase } from '@/core/domain'
import { judgedRuns } from '@/core/places'
import type { OpeningAnswer, OpeningRequest } from '@/engines/openingHours'
import type { Subject } from '@/workers'
import { useJobStore } from './jobStore'
import { isFlag, isRecord, keptValue } from './keptValue'
import { report } from './report'
import { useWorkspaceStore } from './workspaceStore'

/** The version of what is kept: hours of an older one are read again. */
/** Texts whose answers are kept in this browser from one visit to the next. */
const MOST_KEPT = 80
/** Days beyond the end of a stay for which openings are read: what comes next is of interest. */
const BEYOND_D = 9

/** By text and span. */
const KEPT = {
  ...{ key: 'dry-count:hours-3', version: 1, first: {} as Record<string, OpeningAnswer> },
  isWhole: (value: unknown) =>
    isRecord(value) && Object.values(value).every((one) => isRecord(one) && isFlag(one.ok)),
}

/**
 * When places are open. Texts are read by a large library, in a worker: where somebody looks at places or runs, or a run is set to a
 * place that has a text, since one that is shut then counts for nothing. What it said is kept by the text, so that the next visit
 * needs neither the library nor a network.
 */
export const useHoursStore = defineStore('hours', () => {
  const workspace = useWorkspaceStore()
  const jobs = useJobStore()
  const kept = keptValue(KEPT)
  const answers = shallowRef<ReadonlyMap<string, OpeningAnswer>>(new Map(Object.entries(kept.read())))
  const isWanted = ref(false)
  const hasFailed = ref(false)

  const stay = computed(() => {
    const { stays, currentStay } = workspace.document
    return stays.find(({ id }) => id === currentStay) ?? null
  })
  /** Stays whose hours count for something: this one where somebody looks, and those of its chain with runs to places. */
  const wanted = computed((): Stay[] => {
    if (!stay.value) return []
    const chain = chainTo(workspace.document.stays, stay.value.id)
    return chain.filter((one) => (one === stay.value && isWanted.value) || goesByHours(one))
  })
  const answerOf = (of: Stay, { opening }: Pick<Place, 'opening'>): OpeningAnswer | null =>
    opening === null ? null : (answers.value.get(keyOf(of, opening)) ?? null)

  const known = new WeakMap<Stay, { of: ReadonlyMap<string, OpeningAnswer>; hours: Hours | null }>()
  /** By place, as far as it was read; null: not all of it yet. The same object until something of it changes. */
  function hoursOf(of: Stay): Hours | null {
    const last = known.get(of)
    if (last?.of === answers.value) return last.hours
    const isRead = textsOf(of).every((text) => answers.value.has(keyOf(of, text)))
    const now: Hours | null = isRead
      ? new Map(
          of.places.flatMap((place) => {
            const answer = answerOf(of, place)
            return answer?.ok ? [[place.id, answer.times] as const] : []
          }),
        )
      : null
    const before = last?.hours ?? null
    const hours = before && now && isSame(before, now) ? before : now
    known.set(of, { of: answers.value, hours })
    return hours
  }

  /** The case with its hours where they make a difference to what counts: a run that finds its place shut. */
  function judged(stayCase: StayCase): StayCase {
    const { stay: of } = stayCase
    if (!goesByHours(of)) return stayCase
    const hours = hoursOf(of)
    if (!hours) return stayCase
    const withHours = { ...stayCase, hours }
    const isShut = [...judgedRuns(withHours).values()].some(({ visit }) => visit.kind === 'closed')
    return isShut ? withHours : stayCase
  }

  let isReading = false
  async function read(): Promise<void> {
    if (isReading || unread().length === 0) return
    isReading = true
    try {
      for (let missing = unread(); missing.length > 0; missing = unread()) {
        const asked = missing.map(({ of, text }) => {
          const [from, until] = spanOf(of)
          return { text, from, until, sunrise: of.weather.sunrise, sunset: of.weather.sunset }
        })
        const keys = missing.map(({ of, text }) => keyOf(of, text))
        const about = jobs.subjectOf(caseOf(workspace.document, missing[0]!.of.id))
        const said = await openingsOf(jobs, about, asked)
        hasFailed.value = said.length < asked.length
        answers.value = new Map([...answers.value, ...said.map((answer, i) => [keys[i]!, answer] as const)])
        if (hasFailed.value) break
      }
      kept.write(Object.fromEntries([...answers.value].slice(-MOST_KEPT)))
    } catch (error) {
      // Said by `hasFailed`; asked again at the next edit.
      report('opening hours', error)
      hasFailed.value = true
    } finally {
      isReading = false
    }
  }
  const unread = () =>
    wanted.value.flatMap((of) =>
      textsOf(of).flatMap((text) => (answers.value.has(keyOf(of, text)) ? [] : [{ of, text }])),
    )
  watch(wanted, () => void read(), { immediate: true })

  return { answers, hasFailed, isWanted, stay, answerOf, hoursOf, judged }
})

/**
 * Texts read one after the other in a worker. One at which it falls silent would never be read: it is refused, and the others
 * go on. @returns fewer answers than texts where no worker can be started
 */
export async function openingsOf(
  jobs: Pick<ReturnType<typeof useJobStore>, 'run'>,
  about: Subject,
  asked: readonly OpeningRequest[],
): Promise<OpeningAnswer[]> {
  const answers: OpeningAnswer[] = []
  while (answers.length < asked.length) {
    const rest = asked.slice(answers.length)
    try {
      await jobs.run('hours', 'openings', about, rest, (answer) => answers.push(answer))
    } catch (error) {
      const { hasBegun = false } = error as { hasBegun?: boolean }
      if (!hasBegun) return answers
      answers.push({ ok: false, why: 'too-hard' })
    }
  }
  return answers
}

/** The days for which the openings of a stay's places are read. */
export function spanOf({ start, leaveAt }: Pick<Stay, 'start' | 'leaveAt'>): [WallTime, WallTime] {
  return [addWallDays(dayZero(start), -1), addWallDays(dayZero(leaveAt), BEYOND_D)]
}

function keyOf(stay: Stay, text: string): string {
  return [text, ...spanOf(stay), stay.weather.sunrise, stay.weather.sunset].join('|')
}

function textsOf({ places }: Stay): string[] {
  return [...new Set(places.flatMap(({ opening }) => opening ?? []))]
}

/** Whether a run is set to a place whose hours are written. */
function goesByHours({ runs, places }: Stay): boolean {
  const written = new Set(places.flatMap(({ id, opening }) => (opening === null ? [] : [id])))
  return runs.some(({ place }) => place !== null && written.has(place))
}

function isSame(one: Hours, other: Hours): boolean {
  return one.size === other.size && [...other].every(([id, times]) => one.get(id) === times)
}
