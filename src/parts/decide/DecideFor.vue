<script setup lang="ts">
import { computed } from 'vue'
import { toQuarter } from '@/core/advice'
import type { Id } from '@/core/domain'
import { useDecideStore } from '@/data/decideStore'
import { useForecastStore } from '@/data/forecastStore'
import { formatClock, formatDate, formatShortDay } from '@/texts'
import * as t from '@/texts/t'

/** How long one container can wait, in as few words as there is room for. */
const props = defineProps<{ container: Id; isShort?: boolean }>()
const decide = useDecideStore()
const forecast = useForecastStore()
decide.follow()
const words = computed(() => {
  const answer = decide.answers?.find(({ container }) => container === props.container)
  if (!answer || answer.state === 'before') return null
  const [first] = answer.offers
  if (!first) return t.decide.rowLate
  const by = toQuarter(first.leaveBy, forecast.model?.start ?? first.leaveBy)
  return props.isShort
    ? t.decide.row(`${formatShortDay(by)} ${formatClock(by)}`)
    : t.decide.gauge(`${formatDate(by)} ${formatClock(by)}`)
})
</script>

<template>
  <p
    class="leading-tight text-soft"
    :class="isShort ? 'text-[0.85rem]' : 'text-[0.95rem]'"
    :data-testid="`wait-${container}`"
  >
    {{ words }}
  </p>
</template>
