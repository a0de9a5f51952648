import { report } from './report'
import { useDebounceFn } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import { toldText } from '@/core/log'
import { addWallDays } from '@/core/calendar'
import { choreStates, stocks, type ChoreState } from '@/core/chores'
import type { LogEntry } from '@/core/log'
import type { Chore } from '@/core/domain'
import { doneChore, snoozeChore } from '@/document/edits'
import { useClockStore } from './clockStore'
import { useForecastStore } from './forecastStore'
import { useLogStore } from './logStore'
import { useUnderWayStore } from './underWayStore'
import { useWorkspaceStore } from './workspaceStore'

/** What says when something was done, or how much it was used. */
const TELLING: readonly LogEntry['kind'][] = ['chore', 'run', 'dose', 'end']
const WAIT_MS = 200
export const SNOOZE_DAYS = 7

/** What the rig wants done, by the log of all its stays; read only where somebody looks. */
export const useChoreStore = defineStore('chores', () => {
  const workspace = useWorkspaceStore()
  const forecast = useForecastStore()
  const underWay = useUnderWayStore()
  const log = useLogStore()
  const clock = useClockStore()
  /** Entries of stays that are not loaded with the one that is shown: read once, where there are any. */
  const others = shallowRef<LogEntry[]>([])
  const hasFailed = ref(false)
  const isFollowed = ref(false)
  let asked = 0

  async function read(): Promise<void> {
    const own = (asked += 1)
    try {
      const known = new Set(log.wanted)
      const all = await log.whole()
      if (own === asked)
        others.value = all.filter(
          ({ kind, stay }) => TELLING.includes(kind) && (stay === null || !known.has(stay)),
        )
    } catch (error) {
      if (own === asked) hasFailed.value = true
      report('the log of chores', error)
    }
  }
  const readSoon = useDebounceFn(read, WAIT_MS)
  /** Another crew's stays, and what is done at home, are not among what was read for the count. */
  const mayBeMore = computed(() => {
    const known = new Set(log.wanted)
    const id = forecast.rig?.id
    return workspace.document.stays.some((stay) => stay.rig === id && !known.has(stay.id))
  })
  watch([isFollowed, mayBeMore, () => log.wanted.join()], () => {
    if (isFollowed.value && mayBeMore.value) void readSoon()
  })
  watch(
    () => workspace.logEvent,
    ({ changes }) => {
      const tells = changes?.some(({ before, after }) =>
        [before, after].some((entry) => entry && entry.stay === null && TELLING.includes(entry.kind)),
      )
      if (isFollowed.value && tells !== false && (tells || mayBeMore.value)) void readSoon()
    },
  )
  const entries = computed(() =>
    isFollowed.value && log.isLoaded
      ? [...others.value, ...log.all().filter(({ kind }) => TELLING.includes(kind))]
      : null,
  )

  const rig = computed(() => forecast.rig)
  const ofRig = computed(() => (entries.value ?? []).filter((entry) => entry.rig === rig.value?.id))
  const states = computed((): ChoreState[] => {
    if (!rig.value || entries.value === null) return []
    const stays = workspace.document.stays.filter((stay) => stay.rig === rig.value!.id)
    // A step of the clock's minutes moves no day: the day is enough.
    return choreStates({ rig: rig.value, stays, log: ofRig.value, now: clock.now })
  })
  /** Due, and not put off. */
  const due = computed(() => states.value.filter(({ isDue, snoozed }) => isDue && snoozed === null))
  const stock = computed(() =>
    rig.value && forecast.crew && entries.value ? stocks(rig.value, forecast.crew, ofRig.value) : [],
  )

  /** Done now: in the log and off the list, one step of undo. */
  function done(chore: Chore, note = '') {
    const id = rig.value!.id
    const at = clock.now
    const about = underWay.phase === 'under-way' ? (forecast.stay?.id ?? null) : null
    const entry = log.entryOf(toldText(at, 'chore', chore.container, { chore: chore.id, note }))
    const put = { op: 'put' as const, entry: { ...entry, rig: id, stay: about } }
    return workspace.edit('chore', (draft) => doneChore(draft, id, chore.id, at), null, [put])
  }
  function snooze(chore: Chore, days = SNOOZE_DAYS) {
    const id = rig.value!.id
    const until = addWallDays(clock.now, days).slice(0, 10)
    return workspace.edit('chore', (draft) => snoozeChore(draft, id, chore.id, until))
  }

  return {
    states,
    due,
    stock,
    hasFailed,
    isRead: computed(() => entries.value !== null),
    follow: () => void (isFollowed.value = true),
    done,
    snooze,
  }
})
