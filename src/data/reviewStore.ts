import { defineStore } from 'pinia'
import { computed, reactive } from 'vue'
import type { Review } from '@/core/review'
import type { LogEntry } from '@/core/log'
import { caseOf, type Id, type Stay } from '@/core/model'
import { endOf, phaseOf } from '@/core/underway'
import { useClockStore } from './clockStore'
import { useJobStore } from './jobStore'
import { useLogStore } from './logStore'
import { SEED } from './seed'
import { useWorkspaceStore } from './workspaceStore'

/** What stays came to: reckoned when somebody looks, kept until the stay, its log or the clock says otherwise. */
export const useReviewStore = defineStore('review', () => {
  const workspace = useWorkspaceStore()
  const clock = useClockStore()
  const log = useLogStore()
  const jobs = useJobStore()
  const known = reactive(new Map<Id, { of: string; review: Review }>())
  const failed = reactive(new Set<Id>())

  /** Stays that have begun, newest first. */
  const begun = computed((): Stay[] =>
    workspace.document.stays
      .filter(({ start }) => start <= clock.now)
      .sort((a, b) => (a.start < b.start ? 1 : -1)),
  )
  const isOver = (stay: Stay) => phaseOf(stay, log.ofStay(stay.id), clock.now) === 'over'

  async function ask(id: Id): Promise<Review | null> {
    try {
      const { document } = workspace
      const all = await log.whole()
      const ofStay = (stay: Id): LogEntry[] => all.filter((entry) => entry.stay === stay)
      const stayCase = caseOf(document, id)
      const { stay } = stayCase
      const own = ofStay(id)
      const end = endOf(stay, own)
      const at = end < clock.now ? end : clock.now
      const last = own.at(-1)
      const of = `${at} ${own.length} ${last?.id ?? ''} ${last?.revision ?? 0} ${JSON.stringify(stayCase).length}`
      if (known.get(id)?.of === of) return known.get(id)!.review
      const earlier = document.stays
        .filter(
          (one) => one.id !== id && one.rig === stay.rig && one.crew === stay.crew && one.start < stay.start,
        )
        .map((one) => ({ stayCase: caseOf(document, one.id), log: ofStay(one.id) }))
        .filter((one) => one.log.length > 0)
      const request = { log: own, at, earlier, seed: SEED }
      const review = await jobs.run('advice', 'review', jobs.subjectOf(stayCase), request)
      known.set(id, { of, review })
      failed.delete(id)
      return review
    } catch {
      failed.add(id)
      return null
    }
  }

  return {
    begun,
    isOver,
    ask,
    of: (id: Id) => known.get(id)?.review ?? null,
    hasFailed: (id: Id) => failed.has(id),
  }
})
