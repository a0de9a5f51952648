<script setup lang="ts">
import { useWhyStore } from '@/parts/why/whyStore'
import * as t from '@/texts/t'
import type { CampGauge } from './useCampGauges'

/** How long one tank lasts; a tap says why. */
defineProps<{ gauge: CampGauge }>()
const why = useWhyStore()
</script>

<template>
  <button
    type="button"
    class="figure min-h-11 flex-none whitespace-nowrap text-left font-bold underline decoration-line decoration-2 underline-offset-4"
    :class="gauge.isBehind ? 'text-soft' : gauge.isStopper ? 'text-oxide' : ''"
    :aria-busy="gauge.isBehind"
    :aria-label="`${gauge.daysText}. ${t.gauge.why(gauge.name)}`"
    @click="why.ask({ kind: 'count', container: gauge.id })"
  >
    {{ gauge.daysText }}
  </button>
</template>
