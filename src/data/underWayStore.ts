import { report } from './report'
import { useDebounceFn, useTimeoutFn } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import type { WallTime } from '@/core/calendar'
import type { LogEntry } from '@/core/log'
import { chainTo, keptChain, type ChainOptions } from '@/core/chain'
import { caseOf, type Document, type Id, type Stay, type StayCase } from '@/core/domain'
import {
  caseNow,
  endOf,
  expectedNow,
  hasBegun,
  knownAt,
  knownCase,
  phaseOf,
  steppedTo,
  usesSince,
  type Logged,
  type Phase,
  type StayLearned,
} from '@/core/underway'
import { floored, useClockStore } from './clockStore'
import { useHoursStore } from './hoursStore'
import { useJobStore } from './jobStore'
import { useLogStore } from './logStore'
import { lastKnown, type Known } from './lastKnown'
import { SEED } from './seed'
import { useWorkspaceStore } from './workspaceStore'

/** The count goes on in steps of so many minutes, so that it does not flicker. */
const STEP_MINUTES = 10
const WAIT_MS = 30
/** How long chances wait for what was logged to be learned from, before they are worked out by what was known. */
const PATIENCE_MS = 400

/**
 * The three times of the stay that is shown, and what its log and its panel say: the case that is counted. While a stay is
 * under way it begins now. What was learned last is kept, so that the first picture waits for nobody.
 */
export const useUnderWayStore = defineStore('underWay', () => {
  const workspace = useWorkspaceStore()
  const clock = useClockStore()
  const log = useLogStore()
  const jobs = useJobStore()
  const hours = useHoursStore()
  /** Of stays before this one in its chain: what their own logs say, newest asked first. */
  const knownBefore = shallowRef<ReadonlyMap<Id, KnownBefore>>(new Map())
  /** A stay that was begun stands on the levels that were read on arrival. */
  const begun = computed((): string =>
    workspace.document.stays
      .filter(({ id }) => hasBegun(id, log.ofStay(id)))
      .map(({ id }) => id)
      .join(),
  )
  /** The same object until something of it changes: an edit of another stay counts nothing again. */
  const planCase = computed((before: StayCase | null = null) => {
    const own = caseIn(workspace.document)
    const isAlone = own === null || own.stay.follows === null || hasBegun(own.stay.id, log.entries)
    const whole = isAlone ? own : chained(own)
    const judged = whole && hours.judged(whole)
    return judged && before && isSameCase(judged, before) ? before : judged
  })
  /** How stays of a chain begin: by what is known of those before them. */
  const chainOptions = computed((): Required<ChainOptions> => {
    const known = knownBefore.value
    const alone = new Set(begun.value.split(','))
    // Hours that were read meanwhile may leave other runs out.
    void hours.answers
    return {
      standsAlone: (id) => alone.has(id),
      known: (stayCase) => {
        const { id } = stayCase.stay
        const of = known.get(id) ?? lastKnown.of(workspace.space, id)
        const learned = of && fits(of, stayCase) ? of.learned : null
        return knownCase(hours.judged(stayCase), learned, log.ofStay(id))
      },
    }
  })
  const chain = computed(() => keptChain(chainOptions.value))
  function chained(own: StayCase): StayCase {
    try {
      return chain.value(workspace.document, own.stay.id)
    } catch (error) {
      // What it follows is not whole: it starts by itself.
      report('the stay before', error)
      return own
    }
  }
  const phase = computed((): Phase => {
    const stay = planCase.value?.stay
    return stay ? phaseOf(stay, log.entries, clock.now) : 'planned'
  })
  /** Where the count begins: now, in steps; at once after what was logged last. */
  const at = computed((): WallTime | null => {
    const stay = planCase.value?.stay
    if (!stay || phase.value === 'planned') return null
    if (phase.value === 'over') return endOf(stay, log.entries)
    const steps = [stay.start, floored(clock.now, STEP_MINUTES), log.entries.findLast(isPast)?.at ?? '']
    return steps.reduce((latest, time) => (time > latest ? time : latest))
  })
  const isPast = ({ at: time }: LogEntry) => time <= clock.now
  const known = shallowRef<Known | null>(null)
  const hasFailed = ref(false)
  /** What was just logged moves the count at once; all that takes longer is worked out once, on what it taught. */
  const isLearning = ref(false)
  const { start: startLearning, stop: stopLearning } = useTimeoutFn(
    () => (isLearning.value = false),
    PATIENCE_MS,
    {
      immediate: false,
    },
  )
  let asked = 0
  let isUnderway = false
  let isBehind = false

  async function ask(): Promise<void> {
    if (!planCase.value || !log.isLoaded || (at.value === null && planCase.value.passed === undefined)) return
    if (isUnderway) {
      isBehind = true
      return
    }
    isUnderway = true
    isBehind = false
    const own = (asked += 1)
    try {
      await learnBefore()
      const stayCase = planCase.value
      if (own !== asked || at.value === null) return
      const entries = log.entries
      const earlier = earlierOf(stayCase)
      const request = { log: teaching(entries), at: at.value, earlier, seed: SEED }
      const learned = await jobs.run('risk-0', 'learn', jobs.subjectOf(stayCase), request)
      if (own !== asked) return
      known.value = { stay: stayCase.stay.id, learned, isWhole: true, of: entries }
      lastKnown.keep(workspace.space, known.value)
      hasFailed.value = false
    } catch (error) {
      // Said on Camp; asked again with the next entry or edit.
      report('learning', error)
      if (own === asked) hasFailed.value = true
    } finally {
      isUnderway = false
      if (isBehind) void ask()
      else goOn()
    }
  }
  /** Stays of the same rig and crew before one, that teach something of it, each as it began. */
  function earlierOf({ stay }: Pick<StayCase, 'stay'>): Logged[] {
    const { document } = workspace
    return log.wanted
      .filter((id) => document.stays.some((one) => one.id === id && isBefore(one, stay)))
      .map((id) => ({ stayCase: wholeCase(id), log: teaching(log.ofStay(id)) }))
      .filter((one) => one.log.length > 0)
  }
  const isBefore = (one: Stay, stay: Stay) =>
    one.id !== stay.id && one.rig === stay.rig && one.crew === stay.crew && one.start < stay.start
  function wholeCase(id: Id): StayCase {
    try {
      return chain.value(workspace.document, id)
    } catch (error) {
      // What it follows is not whole: it starts by itself.
      report('the stay before', error)
      return caseOf(workspace.document, id)
    }
  }

  /** What the stays of its chain leave is known by their own logs, the first of them first. */
  async function learnBefore(): Promise<void> {
    const { document } = workspace
    const id = planCase.value?.stay.id
    if (id === undefined || planCase.value?.passed === undefined) return
    for (const { id: before } of chainTo(document.stays, id).slice(0, -1)) {
      const entries = log.ofStay(before)
      if (teaching(entries).length === 0) continue
      const stayCase = wholeCase(before)
      const time = knownAt(stayCase, entries, clock.now)
      const last = knownBefore.value.get(before)
      const isKnown = last?.of === entries && last.learned.at === time && last.on === stayCase
      if (isKnown || time <= stayCase.stay.start) continue
      const request = { log: teaching(entries), at: time, earlier: earlierOf(stayCase), seed: SEED }
      const learned = await jobs.run('risk-0', 'learn', jobs.subjectOf(stayCase), request)
      const known = { stay: before, learned, isWhole: true, of: entries, on: stayCase }
      knownBefore.value = new Map(knownBefore.value).set(before, known)
      lastKnown.keep(workspace.space, known)
    }
  }
  function goOn(): void {
    stopLearning()
    isLearning.value = false
  }
  const askSoon = useDebounceFn(ask, WAIT_MS)
  watch(
    () => planCase.value?.stay.id,
    (id) => {
      asked += 1
      if (known.value?.stay !== id) known.value = id === undefined ? null : lastKnown.of(workspace.space, id)
    },
    { immediate: true },
  )
  watch(
    () => [log.isLoaded, log.entries] as const,
    ([is], [was]) => {
      if (!is || !was || learned.value === null) return
      isLearning.value = true
      startLearning()
    },
  )
  watch([planCase, () => log.entries, () => log.isLoaded, at], () => void askSoon(), { immediate: true })

  const learned = computed((): StayLearned | null => {
    const of = known.value
    const isOfIt =
      of !== null && of.isWhole && of.stay === planCase.value?.stay.id && fits(of, planCase.value)
    return isOfIt && phase.value !== 'planned' ? of.learned : null
  })
  /** What is counted. */
  const stayCase = computed((): StayCase | null => {
    const plan = planCase.value
    if (!plan || at.value === null || phase.value !== 'under-way') return plan
    const from = known.value
    try {
      if (!from || from.stay !== plan.stay.id || !fits(from, plan)) return expectedNow(plan, at.value)
      const isLonger = log.isLoaded && from.isWhole && from.of !== log.entries
      const uses = isLonger ? usesSince(plan, log.entries, at.value, from.learned) : []
      return steppedTo(caseNow(plan, from.learned), at.value, uses)
    } catch (error) {
      // What was learned is of another rig or crew by now: until it is learned again.
      report('what was learned', error)
      return expectedNow(plan, at.value)
    }
  })
  /** Whether what is counted stands on what was logged: chances of anything else would be too narrow. */
  const isReady = computed(() => {
    if (!isBeforeKnown.value && !hasFailed.value) return false
    return phase.value !== 'under-way' || (!isLearning.value && (learned.value !== null || hasFailed.value))
  })
  /** What the stays before it leave stands on their logs, where these say something. */
  const isBeforeKnown = computed(() => {
    const plan = planCase.value
    if (plan?.passed === undefined || !log.isLoaded) return plan?.passed === undefined
    const before = chainTo(workspace.document.stays, plan.stay.id).slice(0, -1)
    return before.every(({ id }) => knownBefore.value.has(id) || teaching(log.ofStay(id)).length === 0)
  })
  return { planCase, stayCase, phase, at, learned, isReady, hasFailed, earlierOf, wholeCase, chainOptions }
})

/** What is known of a stay before this one, and what it was learned of. */
interface KnownBefore extends Known {
  on: StayCase
}

/** Null where there is no stay, or where what it refers to is not there. */
function caseIn({ stays, rigs, crews, habits, currentStay }: Document): StayCase | null {
  const stay = stays.find(({ id }) => id === currentStay)
  const rig = rigs.find(({ id }) => id === stay?.rig)
  const crew = crews.find(({ id }) => id === stay?.crew)
  return stay && rig && crew ? { stay, rig, crew, habits } : null
}

const PARTS_OF_CASE = ['stay', 'rig', 'crew', 'habits', 'passed', 'hours'] as const
function isSameCase(one: StayCase, other: StayCase): boolean {
  return PARTS_OF_CASE.every((part) => one[part] === other[part])
}

const TEACHING: readonly LogEntry['kind'][] = ['use', 'reading', 'run', 'odd', 'end']
const teaching = (entries: readonly LogEntry[]) => entries.filter(({ kind }) => TEACHING.includes(kind))

/** Whether what was learned is of the same activities and containers. */
function fits({ learned }: Known, { rig, crew }: StayCase): boolean {
  const ids = new Set(rig.containers.map(({ id }) => id))
  return (
    learned.factors.length === crew.activities.length &&
    learned.now.levels.every(({ container }) => ids.has(container))
  )
}
