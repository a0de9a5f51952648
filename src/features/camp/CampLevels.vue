<script setup lang="ts">
import { computed } from 'vue'
import { useUnderWayStore } from '@/data/underWayStore'
import FoldSection from '@/parts/FoldSection.vue'
import { useAmounts } from '@/parts/useAmounts'
import * as t from '@/texts/t'
import { whenNeeded } from '@/ui/whenNeeded'
import GaugeDetails from './GaugeDetails.vue'
import { useCampGauges } from './useCampGauges'

/** On a phone: what is known of each tank, behind a line that says how much is in them. */
const PanelAndCount = whenNeeded(
  () => import('@/parts/log/PanelAndCount.vue'),
  () => undefined,
)
const underWay = useUnderWayStore()
const { gauges, isPassed, isUnderWay } = useCampGauges()
const { gauge: read } = useAmounts()
const answer = computed(() =>
  gauges.value.map(({ name, start, unit }) => `${name} ${read(start, unit)}`).join(', '),
)
</script>

<template>
  <FoldSection
    id="levels"
    data-anchor="level-errors"
    :title="isUnderWay ? t.agreement.now : t.camp.levels"
    :answer="answer"
  >
    <ul class="grid grid-cols-2 gap-x-4 gap-y-4">
      <li v-for="gauge in gauges" :key="gauge.id" class="min-w-0" :data-testid="`level-${gauge.id}`">
        <h3 class="text-lg leading-tight font-bold wrap-anywhere hyphens-auto">{{ gauge.name }}</h3>
        <GaugeDetails :gauge="gauge" :can-set="!isUnderWay && !isPassed" />
      </li>
    </ul>
    <p v-if="!isUnderWay" class="mt-2 text-[0.95rem] text-soft">
      {{ isPassed ? t.camp.levelsPassed : t.camp.levelsHint }}
    </p>
    <PanelAndCount v-else-if="underWay.learned" />
  </FoldSection>
</template>
