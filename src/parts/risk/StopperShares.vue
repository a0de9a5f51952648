<script setup lang="ts">
import { computed } from 'vue'
import { useForecastStore } from '@/data/forecastStore'
import { useRiskStore } from '@/data/riskStore'
import { formatNumber } from '@/texts'
import * as t from '@/texts/t'

const chances = useRiskStore()
const forecast = useForecastStore()

const rows = computed(() => {
  const { risk } = chances
  const { model } = forecast
  if (!risk || !model) return []
  const stopped = risk.stoppers.map(({ container, share }) => {
    const { name = '', side = 'waste' } = model.containers.find(({ id }) => id === container) ?? {}
    return { key: container, name, share, side }
  })
  const beyond = {
    key: '',
    name: t.risk.nothing(formatNumber(model.horizonDays, 0)),
    share: risk.beyond,
    side: 'none',
  }
  return [...stopped, ...(risk.beyond > 0 ? [beyond] : [])].map((row) => ({
    ...row,
    text: t.risk.share(row.share < 0.005 ? '<1' : formatNumber(row.share * 100, 0)),
  }))
})
</script>

<template>
  <section aria-labelledby="stoppers">
    <h3 id="stoppers" class="text-lg font-bold">{{ t.risk.stoppers }}</h3>
    <ul class="mt-1 grid gap-y-1.5">
      <li
        v-for="row in rows"
        :key="row.key"
        class="grid grid-cols-[minmax(0,7.5rem)_minmax(0,1fr)_5rem] items-center gap-3"
        data-testid="stopper-share"
      >
        <span class="truncate font-semibold">{{ row.name }}</span>
        <span class="h-5 border-l-2 border-ink" aria-hidden="true">
          <span
            class="block h-full border-r-3 border-ink"
            :class="row.side === 'supply' ? 'hatch-supply' : row.side === 'waste' ? 'hatch-waste' : ''"
            :style="{ width: `${Math.max(0.6, row.share * 100)}%` }"
          />
        </span>
        <span class="figure text-right">{{ row.text }}</span>
      </li>
    </ul>
  </section>
</template>
