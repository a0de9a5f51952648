<script setup lang="ts">
import { volumePerUse } from '@/core/domain'
import { computed } from 'vue'
import WhyInputs from './WhyInputs.vue'
import { dailyInputsOf, dailyUse } from '@/core/explain'
import { useForecastStore } from '@/data/forecastStore'
import { useAmounts } from '@/parts/useAmounts'
import { formatFigures } from '@/texts'
import * as t from '@/texts/t'

const props = defineProps<{ activityId: string }>()
const forecast = useForecastStore()
const { factor, volume } = useAmounts()

const activity = computed(() => forecast.crew?.activities.find(({ id }) => id === props.activityId) ?? null)
const daily = computed(() =>
  forecast.crew && activity.value ? dailyUse(forecast.crew, activity.value) : null,
)
const inputs = computed(() =>
  forecast.crew && activity.value ? dailyInputsOf(forecast.crew, activity.value) : [],
)
</script>

<template>
  <div v-if="activity && daily" class="mt-3">
    <p v-for="(line, i) in daily.lines" :key="i" class="flex justify-between border-b border-line py-2">
      <span>{{ line.person === null ? t.why.whole : t.why.each(line.person) }}</span>
      <span class="figure">{{ t.why.uses(formatFigures(line.uses), factor(volumePerUse(activity))) }}</span>
    </p>
    <p class="flex justify-between border-t-2 border-ink py-2 text-lg font-bold" data-testid="why-total">
      <span>{{ t.stay.perDay }}</span><span class="figure">{{ t.stay.inDay(volume(daily.litres)) }}</span>
    </p>
    <h3 class="mt-3 font-bold">{{ t.why.inputs }}</h3>
    <WhyInputs :activity-id="activityId" :inputs="inputs" />
  </div>
</template>
