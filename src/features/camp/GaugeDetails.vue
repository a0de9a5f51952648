<script setup lang="ts">
import LevelButton from '@/parts/levels/LevelButton.vue'
import { useAmounts } from '@/parts/useAmounts'
import { useWhyStore } from '@/parts/why/whyStore'
import * as t from '@/texts/t'
import { nextFrame } from '@/ui/nextFrame'
import { whenNeeded } from '@/ui/whenNeeded'
import type { CampGauge } from './useCampGauges'

/** What is known of one tank: its level and where that comes from, how long it can wait, what is in it when the stay stops. */
defineProps<{ gauge: CampGauge; canSet: boolean }>()
const why = useWhyStore()
/** How long it can wait for a service: after the count stands. */
const DecideFor = whenNeeded(
  () => nextFrame().then(() => import('@/parts/decide/DecideFor.vue')),
  () => undefined,
)
const { level, gauge: read } = useAmounts()
</script>

<template>
  <div>
    <p class="figure text-xl leading-tight font-bold">
      {{ read(gauge.start, gauge.unit) }}
      <span v-if="gauge.now" class="block text-base font-semibold text-soft">{{ gauge.now.give }}</span>
    </p>
    <p class="text-[0.95rem] text-soft">{{ t.gauge.of(level(gauge.capacity, gauge.unit)) }}</p>
    <p v-if="gauge.now" class="text-[0.85rem] leading-tight text-soft">{{ gauge.now.by }}</p>
    <LevelButton v-if="canSet" :members="gauge.members" :name="gauge.name" />
    <slot />
    <!-- Its room is kept. -->
    <div class="min-h-[2.5rem]"><DecideFor :container="gauge.id" /></div>
    <p v-if="gauge.light" class="text-[0.95rem] leading-tight font-semibold">{{ gauge.light }}</p>
    <button
      v-if="gauge.atStop !== null && !gauge.isStopper"
      type="button"
      class="block min-h-11 text-left text-[0.95rem] leading-tight text-soft underline decoration-line underline-offset-4"
      @click="why.ask({ kind: 'at-stop', container: gauge.id })"
    >
      {{
        gauge.side === 'supply'
          ? t.camp.leftAtStop(read(gauge.atStop, gauge.unit))
          : t.camp.atStop(read(gauge.atStop, gauge.unit))
      }}
    </button>
  </div>
</template>
