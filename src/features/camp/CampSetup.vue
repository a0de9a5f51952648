<script setup lang="ts">
import { computed } from 'vue'
import { nightsBetween } from '@/core/calendar'
import { useForecastStore } from '@/data/forecastStore'
import { useClockStore } from '@/data/clockStore'
import { formatDate, listed } from '@/texts'
import * as t from '@/texts/t'

const clock = useClockStore()
const forecast = useForecastStore()
const entries = computed(() => {
  const { rig, crew, stay } = forecast
  if (!rig || !crew || !stay) return []
  const nights = t.camp.nights(nightsBetween(stay.start, stay.leaveAt))
  return [
    {
      label: t.camp.rig,
      to: '/rig',
      name: rig.name,
      more: listed(rig.containers.map(({ name }) => name)),
    },
    { label: t.camp.crew, to: '/stay', name: t.camp.people(crew.persons.length), more: crew.name },
    {
      label: t.camp.stay,
      to: '/stay',
      name: nights,
      more: `${formatDate(stay.start)} – ${formatDate(stay.leaveAt, clock.now)}`,
    },
  ]
})
</script>

<template>
  <section aria-labelledby="setup">
    <h2 id="setup" class="text-[0.95rem] font-semibold text-soft">{{ t.camp.setup }}</h2>
    <ul class="mt-1 grid gap-x-6 sm:grid-cols-3">
      <li v-for="entry in entries" :key="entry.label">
        <RouterLink :to="entry.to" class="block border-t-2 border-ink py-2">
          <span
            class="block leading-tight font-bold underline decoration-line decoration-2 underline-offset-4"
            >{{ entry.name }}</span
          >
          <span class="block text-[0.95rem] leading-snug text-soft">{{ entry.more }}</span>
          <span class="sr-only">{{ t.camp.change(entry.label) }}</span>
        </RouterLink>
      </li>
    </ul>
  </section>
</template>
