import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import type { StayCase } from '@/core/domain'
import type { Args, JobClient, JobName, LaneName, Result, Step, Subject } from '@/workers'

/** Everything that is computed beside the screen goes through here; nobody else touches a worker. */
export const useJobStore = defineStore('jobs', () => {
  /** Workers cannot be had or broke down twice: what they would do is done beside the screen, and slower. */
  const isOnMain = ref(false)
  const underway = ref(0)
  let loaded: Promise<JobClient> | null = null
  const subjects = new WeakMap<StayCase, Subject>()
  let revisions = 0

  /** Loaded with the first question: the count does not wait for it. */
  async function client(): Promise<JobClient> {
    loaded ??= import('@/workers').then(({ jobClient }) =>
      jobClient((onMain) => {
        isOnMain.value ||= onMain
      }),
    )
    try {
      return await loaded
    } catch (error) {
      loaded = null
      throw error
    }
  }

  /** One and the same for one and the same case. */
  function subjectOf(stayCase: StayCase): Subject {
    const known = subjects.get(stayCase) ?? { revision: (revisions += 1), stayCase }
    subjects.set(stayCase, known)
    return known
  }

  async function run<J extends JobName>(
    on: LaneName,
    job: J,
    about: Subject,
    args: Args<J>,
    tell?: (step: Step<J>) => void,
  ): Promise<Result<J>> {
    underway.value += 1
    try {
      return await (await client()).run(on, job, about, args, tell)
    } finally {
      underway.value -= 1
    }
  }

  return {
    isOnMain,
    /** Something is being computed. */
    isBusy: computed(() => underway.value > 0),
    client,
    subjectOf,
    run,
    /** Gives up what a lane is doing; what waits for it is told so. */
    end: async (on: LaneName) => (await client()).end(on),
  }
})
