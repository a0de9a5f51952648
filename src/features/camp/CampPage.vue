<script setup lang="ts">
import CampEmpty from './CampEmpty.vue'
import CampGauges from './CampGauges.vue'
import CampHabits from './CampHabits.vue'
import CampSetup from './CampSetup.vue'
import { useForecastStore } from '@/data/forecastStore'
import TheCount from '@/parts/count/TheCount.vue'
import { useCountWords } from '@/parts/count/useCountWords'
import { useWhyStore } from '@/parts/why/whyStore'
import { t } from '@/texts'
import AppButton from '@/ui/AppButton.vue'

const forecast = useForecastStore()
const why = useWhyStore()
const words = useCountWords()

/** Why the stopper stops; where nothing does, why the first container does not. */
function askCount() {
  const container = forecast.result?.stopper ?? forecast.model?.containers[0]?.id
  if (container !== undefined) why.ask({ kind: 'count', container })
}
</script>

<template>
  <CampEmpty v-if="!forecast.stay" />
  <div v-else>
    <h1 class="sr-only">{{ t.camp.title }}</h1>
    <div class="border-b border-line pt-5 pb-5">
      <TheCount v-if="words" :words="words"
        ><AppButton kind="quiet" class="-ml-2" @click="askCount">{{ t.count.why }}</AppButton></TheCount
      >
    </div>
    <div class="grid gap-x-12 lg:grid-cols-[minmax(0,7fr)_minmax(0,6fr)]">
      <div>
        <CampGauges class="pt-6" />
        <CampSetup class="pt-6" />
      </div>
      <CampHabits class="pt-6" />
    </div>
  </div>
</template>
