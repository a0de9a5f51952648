import { computed, onBeforeUnmount, onMounted, ref, shallowRef, watch } from 'vue'
import { useAtRest } from './atRest'
import { report } from './report'

/** A question that is asked beside the screen, again and again as what it is about changes. */
export interface Asking<Q, A> {
  /** What it is called where a fault is reported. */
  where: string
  /**
   * What is asked about now; null: there is nothing to ask. One and the same object is one and the same question: it is asked
   * once, until it is forgotten.
   */
  question: () => Q | null
  /** The answer. @param isNewest false: nobody waits for it any more @param tell what is known of it on the way */
  ask: (question: Q, isNewest: () => boolean, tell: (part: A) => void) => Promise<A>
  /** How long nothing must change before it is asked, ms; while something is held, it waits until it is let go. */
  waitMs: number
  /** Whose answer it is: with another one, what is known is forgotten at once. Left out: it never is. */
  of?: () => unknown
  /** What is asked while one is being worked out waits for it, and only the newest of that is asked. Else the newest wins. */
  isOneAtATime?: boolean
  /** An answer of before stands, paler, until the next one comes. False: it goes with its question. */
  isKept?: boolean
  /** Where it fails, what is known stands or goes. */
  isKeptOnFailure?: boolean
}

/**
 * One way to ask: when somebody looks, newest wins, paler while behind, failed and asked again with the next change. What is
 * asked has its own rules in `ask`; everything of when is here.
 */
export function useAnswer<Q, A>(asking: Asking<Q, A>) {
  const { where, question, ask, waitMs, of, isKept = true } = asking
  const value = shallowRef<A | null>(null)
  /** What the value is the answer to. */
  const answered = shallowRef<Q | null>(null)
  const hasFailed = ref(false)
  const watchers = ref(0)
  const isCurrent = computed(() => answered.value !== null && answered.value === question())
  let asked = 0
  let isUnderWay = false
  let isBehind = false

  function forget(): void {
    value.value = null
    answered.value = null
  }

  async function begin(): Promise<void> {
    const about = question()
    if (watchers.value === 0 || about === null || answered.value === about) return
    if (asking.isOneAtATime && isUnderWay) {
      isBehind = true
      return
    }
    isUnderWay = true
    isBehind = false
    hasFailed.value = false
    const own = (asked += 1)
    const whose = of?.()
    const isNewest = () => own === asked && (of === undefined || of() === whose)
    try {
      const answer = await ask(about, isNewest, (part) => {
        if (isNewest()) value.value = part
      })
      if (!isNewest()) return
      value.value = answer
      answered.value = about
    } catch (error) {
      report(where, error)
      if (!isNewest()) return
      if (!asking.isKeptOnFailure) forget()
      hasFailed.value = true
    } finally {
      isUnderWay = false
      if (isBehind) void begin()
    }
  }

  const soon = useAtRest(begin, waitMs)
  watch(question, () => {
    if (!isKept && !isCurrent.value) {
      asked += 1
      forget()
    }
    soon()
  })
  if (of)
    watch(
      of,
      () => {
        asked += 1
        forget()
      },
      { flush: 'sync' },
    )

  /** Keeps it current as long as the component that calls it is there, and looking. */
  function follow(isLooking: () => boolean = () => true): void {
    let counts = false
    const look = (now: boolean) => {
      if (now === counts) return
      counts = now
      watchers.value += now ? 1 : -1
      if (now) soon()
    }
    onMounted(() => watch(isLooking, look, { immediate: true }))
    onBeforeUnmount(() => look(false))
  }

  return {
    value,
    answered,
    /** Whether it is the answer to what is asked now. */
    isCurrent,
    hasFailed,
    follow,
  }
}
