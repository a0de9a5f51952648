import { computed } from 'vue'
import { insteadOf } from '@/core/errands'
import type { RunAnswer } from '@/core/schedule'
import { usePlacesStore } from '@/data/placesStore'
import * as t from '@/texts/t'
import { useRuns } from './useRuns'

/** Where no other time helps: what would, in words, one tap away. */
export function useInstead(answer: () => RunAnswer) {
  const places = usePlacesStore()
  const runs = useRuns()
  return computed(() =>
    (places.stayCase ? insteadOf(places.stayCase, answer()) : []).map((one) =>
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
}
