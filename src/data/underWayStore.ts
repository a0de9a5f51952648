import { useDebounceFn, useTimeoutFn } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import type { WallTime } from '@/core/calendar'
import type { LogEntry } from '@/core/log'
import { keptChain } from '@/core/chain'
import { caseOf, type Document, type Id, type StayCase } from '@/core/model'
import {
  caseNow,
  endOf,
  expectedNow,
  phaseOf,
  steppedTo,
  type NewUse,
  type Phase,
  type StayLearned,
} from '@/core/underway'
import { floored, useClockStore } from './clockStore'
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
  /** The same object until something of it changes: an edit of another stay counts nothing anew. */
  const planCase = computed((before: StayCase | null = null) => {
    const own = caseIn(workspace.document, before)
    const follows = own?.stay.follows ?? null
    // Whoever read the levels on arrival knows better than the plan.
    const hasBegun = log.entries.some(({ kind, stay }) => kind === 'start' && stay === own?.stay.id)
    return own === null || follows === null || hasBegun ? own : chained(own)
  })
  const chain = keptChain((stayCase) => {
    const of = lastKnown.of(workspace.space, stayCase.stay.id)
    return of && fits(of, stayCase) ? caseNow(stayCase, of.learned) : stayCase
  })
  function chained(own: StayCase): StayCase {
    try {
      return chain(workspace.document, own.stay.id)
    } catch {
      // What it follows is not whole: it starts by itself.
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
  const { start: learnFirst, stop: learnLater } = useTimeoutFn(
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
    const stayCase = planCase.value
    if (!stayCase || at.value === null || !log.isLoaded) return
    if (isUnderway) {
      isBehind = true
      return
    }
    isUnderway = true
    isBehind = false
    const own = (asked += 1)
    const entries = log.entries
    const { document } = workspace
    const earlier = log.wanted
      .filter((id) => id !== stayCase.stay.id && document.stays.some((stay) => stay.id === id))
      .map((id) => ({ stayCase: caseOf(document, id), log: teaching(log.ofStay(id)) }))
      .filter((one) => one.log.length > 0)
    try {
      const request = { log: teaching(entries), at: at.value, earlier, seed: SEED }
      const learned = await jobs.run('risk-0', 'learn', jobs.subjectOf(stayCase), request)
      if (own !== asked) return
      known.value = { stay: stayCase.stay.id, learned, made: usesIn(entries), isWhole: true }
      lastKnown.keep(workspace.space, known.value)
      hasFailed.value = false
    } catch {
      if (own === asked) hasFailed.value = true
    } finally {
      isUnderway = false
      if (isBehind) void ask()
      else goOn()
    }
  }
  function goOn(): void {
    learnLater()
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
      learnFirst()
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
      const uses = log.isLoaded ? newUses(from, log.entries) : []
      return steppedTo(caseNow(plan, from.learned), at.value, uses)
    } catch {
      // What was learned is of another rig or crew by now: until it is learned anew.
      return expectedNow(plan, at.value)
    }
  })
  /** Whether what is counted stands on what was logged: chances of anything else would be too narrow. */
  const isReady = computed(
    () => phase.value !== 'under-way' || (!isLearning.value && (learned.value !== null || hasFailed.value)),
  )
  return { planCase, stayCase, phase, at, learned, isReady, hasFailed }
})

/** Null where there is no stay, or where what it refers to is not there. */
function caseIn(document: Document, before: StayCase | null): StayCase | null {
  const { stays, rigs, crews, habits, currentStay } = document
  const stay = stays.find(({ id }) => id === currentStay)
  const rig = rigs.find(({ id }) => id === stay?.rig)
  const crew = crews.find(({ id }) => id === stay?.crew)
  if (!stay || !rig || !crew) return null
  const isSame =
    before?.stay === stay &&
    !before.passed &&
    before.rig === rig &&
    before.crew === crew &&
    before.habits === habits
  return isSame ? before : { stay, rig, crew, habits }
}

const TEACHING: readonly LogEntry['kind'][] = ['use', 'reading', 'run', 'odd', 'end']
const teaching = (entries: readonly LogEntry[]) => entries.filter(({ kind }) => TEACHING.includes(kind))

/** Uses that were logged, by activity. */
function usesIn(entries: readonly LogEntry[]): Record<Id, number> {
  const made: Record<Id, number> = {}
  for (const entry of entries)
    if (entry.kind === 'use') made[entry.activity] = (made[entry.activity] ?? 0) + entry.n
  return made
}

function newUses({ made, isWhole }: Known, entries: readonly LogEntry[]): NewUse[] {
  if (!isWhole) return []
  return Object.entries(usesIn(entries)).flatMap(([activity, n]) =>
    n === (made[activity] ?? 0) ? [] : [{ activity, n: n - (made[activity] ?? 0) }],
  )
}

/** Whether what was learned is of the same activities and containers. */
function fits({ learned }: Known, { rig, crew }: StayCase): boolean {
  const ids = new Set(rig.containers.map(({ id }) => id))
  return (
    learned.factors.length === crew.activities.length &&
    learned.now.levels.every(({ container }) => ids.has(container))
  )
}
