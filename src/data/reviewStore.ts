import { report } from './report'
import { defineStore } from 'pinia'
import { computed, shallowReactive } from 'vue'
import type { Review } from '@/core/review'
import type { LogEntry } from '@/core/log'
import type { Id, Stay } from '@/core/domain'
import { endOf, phaseOf } from '@/core/underway'
import { useClockStore } from './clockStore'
import { useJobStore } from './jobStore'
import { useLogStore } from './logStore'
import { SEED } from './seed'
import { useUnderWayStore } from './underWayStore'
import { useWorkspaceStore } from './workspaceStore'

/** A review, and all that it was worked out from. */
interface Known {
  from: readonly unknown[]
  review: Review
}

/** What stays came to: worked out when somebody looks, kept until the stay, its log or the clock says otherwise. */
export const useReviewStore = defineStore('review', () => {
  const workspace = useWorkspaceStore()
  const clock = useClockStore()
  const log = useLogStore()
  const jobs = useJobStore()
  const underWay = useUnderWayStore()
  const known = shallowReactive(new Map<Id, Known>())
  const failed = shallowReactive(new Set<Id>())

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
      const stayCase = underWay.wholeCase(id)
      const { stay } = stayCase
      const own = ofStay(id)
      const end = endOf(stay, own)
      const at = end < clock.now ? end : clock.now
      const earlier = document.stays
        .filter(
          (one) => one.id !== id && one.rig === stay.rig && one.crew === stay.crew && one.start < stay.start,
        )
        .map((one) => ({ stayCase: underWay.wholeCase(one.id), log: ofStay(one.id) }))
        .filter((one) => one.log.length > 0)
      const { rig, crew, habits } = stayCase
      const stays = [stay, ...earlier.map((one) => one.stayCase.stay)]
      const logs = [own, ...earlier.map(({ log }) => log)].map(revisionsOf)
      const from = [at, rig, crew, habits, stayCase.passed?.from.before, ...stays, ...logs]
      const before = known.get(id)
      if (before && isSame(before.from, from)) return before.review
      const request = { log: own, at, earlier, seed: SEED }
      const review = await jobs.run('advice', 'review', jobs.subjectOf(stayCase), request)
      known.set(id, { from, review })
      failed.delete(id)
      return review
    } catch (error) {
      failed.add(id)
      report('a review', error)
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

/** Another one after any entry was added, amended or removed. */
const revisionsOf = (log: readonly LogEntry[]) => log.map(({ id, revision }) => `${id} ${revision}`).join()

const isSame = (a: readonly unknown[], b: readonly unknown[]) =>
  a.length === b.length && a.every((one, k) => one === b[k])
