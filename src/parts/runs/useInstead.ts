import { computed, shallowRef, watch } from 'vue'
import { insteadSteps, type Instead } from '@/core/errands'
import type { RunAnswer } from '@/core/schedule'
import { usePlacesStore } from '@/data/placesStore'
import * as t from '@/texts/t'
import { nextFrame } from '@/ui/nextFrame'
import { inSlices } from '@/workers/inSlices'
import { useRuns } from './useRuns'

/** Where no other time helps: what would, in words, one tap away. Looked for while it is seen. */
export function useInstead(answer: () => RunAnswer, isSeen: () => boolean) {
  const places = usePlacesStore()
  const runs = useRuns()
  /** Null: not looked for yet. */
  const found = shallowRef<Instead[] | null>(null)
  let asked = 0
  watch(
    [answer, () => places.stayCase, isSeen],
    async ([of, stayCase, seen], [before]) => {
      const own = (asked += 1)
      if (of !== before) found.value = null
      if (!seen || !stayCase) return
      await nextFrame()
      const works = await inSlices(insteadSteps(stayCase, of), () => own === asked)
      if (works && own === asked) found.value = works.value
    },
    { immediate: true },
  )
  const ways = computed(() =>
    (found.value ?? []).map((one) =>
      one.as === 'errand'
        ? {
            words: t.runs.instead(t.runs.usual[one.usual]),
            take: () => runs.replace({ ...one.run, name: t.runs.usual[one.usual] }),
          }
        : {
            words: one.as === 'place' ? t.runs.goTo(one.place.name) : t.runs.trimmed(one.place.name),
            take: () => runs.replace(one.run),
          },
    ),
  )
  return { ways, isFound: computed(() => found.value !== null) }
}
