<script setup lang="ts">
import { setModelLevel } from '@/actions/levels'
import { useForecastStore } from '@/data/forecastStore'
import { useUnderWayStore } from '@/data/underWayStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import type { ModelContainer } from '@/core/compile'
import StaffGauge from '@/parts/gauge/StaffGauge.vue'
import * as t from '@/texts/t'
import { whenNeeded } from '@/ui/whenNeeded'
import GaugeDays from './GaugeDays.vue'
import GaugeDetails from './GaugeDetails.vue'
import { useCampGauges } from './useCampGauges'

defineProps<{
  /** On a phone: the posts with their days; what is known of each is a tap behind them. */
  isShort?: boolean
}>()
const forecast = useForecastStore()
const workspace = useWorkspaceStore()
const underWay = useUnderWayStore()
/** Only under way, and after the count stands. */
const PanelAndCount = whenNeeded(
  () => import('@/parts/log/PanelAndCount.vue'),
  () => undefined,
)
const { gauges, isPassed, isUnderWay } = useCampGauges()

function drag(container: ModelContainer, amount: number) {
  workspace.act(setModelLevel(forecast.stay!.id, container, amount))
}
</script>

<template>
  <section aria-labelledby="gauges" :data-anchor="isShort ? undefined : 'level-errors'">
    <h2 id="gauges" class="text-[0.95rem] font-semibold text-soft" :class="isShort ? 'sr-only' : ''">
      {{ isUnderWay ? t.agreement.now : t.camp.levels }}
    </h2>
    <ul
      class="grid grid-cols-[repeat(auto-fit,minmax(6.6rem,1fr))] gap-x-2"
      :class="isShort ? 'gap-y-3' : 'mt-3 gap-y-6'"
    >
      <li v-for="gauge in gauges" :key="gauge.id" class="min-w-0" :data-testid="`gauge-${gauge.id}`">
        <h3
          class="leading-tight font-bold wrap-anywhere hyphens-auto"
          :class="isShort ? 'mb-1.5' : 'mb-5 text-lg'"
        >
          {{ gauge.name }}
        </h3>
        <div :class="isShort && isUnderWay ? 'flex items-center gap-5' : ''">
          <StaffGauge
            :class="isShort ? (isUnderWay ? 'h-20 flex-none !w-10' : 'h-28') : isUnderWay ? 'h-40' : 'h-56'"
            v-bind="gauge"
            :level="gauge.start"
            :band="
              isUnderWay || isPassed ? (gauge.now?.band ?? { low: gauge.start, high: gauge.start }) : null
            "
            @level="drag(gauge, $event)"
          />
          <GaugeDays
            v-if="isShort"
            :gauge="gauge"
            class="leading-tight"
            :class="isUnderWay ? '' : 'text-lg'"
          />
        </div>
        <GaugeDetails v-if="!isShort" class="mt-2" :gauge="gauge" :can-set="!isUnderWay && !isPassed"
          ><GaugeDays :gauge="gauge" class="text-xl"
        /></GaugeDetails>
      </li>
    </ul>
    <template v-if="!isShort">
      <p v-if="!isUnderWay" class="mt-2 text-[0.95rem] text-soft">
        {{ isPassed ? t.camp.levelsPassed : t.camp.levelsHint }}
      </p>
      <PanelAndCount v-else-if="underWay.learned" />
    </template>
  </section>
</template>
