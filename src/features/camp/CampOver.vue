<script setup lang="ts">
import { computed, onMounted, watch } from 'vue'
import { perPersonDay } from '@/core/review'
import { useForecastStore } from '@/data/forecastStore'
import { useLogStore } from '@/data/logStore'
import { useReviewStore } from '@/data/reviewStore'
import DueChores from '@/parts/today/DueChores.vue'
import { useAmounts } from '@/parts/useAmounts'
import { formatDate, formatNumber } from '@/texts'
import * as t from '@/texts/t'

/** A stay that is over: what it came to, in three lines. */
const forecast = useForecastStore()
const reviews = useReviewStore()
const log = useLogStore()
const { volume } = useAmounts()
const stay = computed(() => forecast.stay?.id ?? null)
const ask = () => void (stay.value !== null && reviews.ask(stay.value))
onMounted(ask)
watch([stay, () => log.entries], ask)
const review = computed(() => (stay.value === null ? null : reviews.of(stay.value)))
const lines = computed(() => {
  if (!review.value) return []
  const { nights, nearest, lived } = review.value
  const name = forecast.rig?.containers.find(({ id }) => id === nearest?.container)?.name ?? ''
  const share = nearest ? `${formatNumber(nearest.share * 100, 0)} %` : ''
  return [
    t.came.nights(nights.lived, nights.planned),
    ...(nearest
      ? [nearest.share >= 1 ? t.came.reached(name, formatDate(nearest.at)) : t.came.nearest(name, share)]
      : []),
    t.came.each(volume(perPersonDay(lived.litres.drawn, lived.personDays))),
  ]
})
</script>

<template>
  <section class="wrap-anywhere" aria-labelledby="came" data-testid="came">
    <h2 id="came" class="text-[0.95rem] font-semibold text-soft">{{ t.came.title }}</h2>
    <p v-if="!review" class="py-2 text-soft" role="status">{{ t.came.working }}</p>
    <ul v-else class="mt-1">
      <li
        v-for="line in lines"
        :key="line"
        class="border-b border-line py-2 text-lg leading-snug font-semibold"
      >
        {{ line }}
      </li>
    </ul>
    <RouterLink
      to="/review"
      class="inline-grid min-h-11 place-items-center font-semibold underline decoration-line decoration-2 underline-offset-4"
      >{{ t.came.link }}</RouterLink
    >
    <DueChores />
  </section>
</template>
