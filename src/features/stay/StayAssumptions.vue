<script setup lang="ts">
import { computed } from 'vue'
import { useAdviceStore } from '@/data/adviceStore'
import { useForecastStore } from '@/data/forecastStore'
import { formatDays } from '@/texts'
import * as t from '@/texts/t'
import { useSwings } from './useSwings'

const SHOWN = 6
const advice = useAdviceStore()
const forecast = useForecastStore()
const swings = useSwings()
const rows = computed(() => swings.value ?? [])
const first = computed(() => rows.value.slice(0, SHOWN))
const rest = computed(() => rows.value.slice(SHOWN))
const base = computed(() => formatDays(forecast.result?.days ?? 0))
</script>

<template>
  <div data-testid="assumptions">
    <p v-if="advice.swings === null" class="min-h-24 py-3 text-soft" role="status">
      {{ advice.hasFailed ? t.sure.failed : t.sure.working }}
    </p>
    <p v-else-if="rows.length === 0" class="py-3">{{ t.sure.none }}</p>
    <template v-else>
      <p class="mt-1 text-lg font-semibold">{{ t.sure.measureFirst(first[0]!.name) }} {{ first[0]!.how }}</p>
      <p class="max-w-[75ch] text-[0.95rem] text-soft">{{ t.sure.lead }}</p>
      <ul class="mt-3">
        <li
          v-for="row in first"
          :key="row.key"
          class="grid items-center gap-x-5 border-b border-line py-2 sm:grid-cols-[minmax(0,15rem)_minmax(0,1fr)_8rem]"
          data-testid="swing"
        >
          <RouterLink :to="row.to" class="flex min-h-11 items-center leading-tight font-bold"
            ><span class="underline decoration-line decoration-2 underline-offset-4">{{
              row.name
            }}</span></RouterLink
          >
          <span class="relative block h-7" aria-hidden="true">
            <span
              class="absolute top-1 h-5 border-x-3 border-ink bg-(--faint)"
              :style="{ left: `${row.left}%`, width: `${row.width}%` }"
            />
            <span class="absolute top-0 bottom-0 border-l-2 border-dashed border-ink" style="left: 50%" />
          </span>
          <span class="figure text-lg font-bold sm:text-right">{{ row.text }}</span>
          <span class="text-[0.92rem] leading-snug text-soft sm:col-span-3"
            >{{ row.ends }} ({{ row.origin }})</span
          >
        </li>
      </ul>
      <p class="mt-1 text-[0.92rem] text-soft">{{ t.sure.middle(base) }}</p>
      <details v-if="rest.length > 0">
        <summary class="min-h-11 cursor-pointer py-2.5 font-semibold text-soft">
          {{ t.sure.all(rest.length) }}
        </summary>
        <ul>
          <li
            v-for="row in rest"
            :key="row.key"
            class="flex flex-wrap justify-between gap-x-4 border-b border-line py-1.5"
          >
            <RouterLink :to="row.to" class="underline decoration-line decoration-2 underline-offset-4">{{
              row.name
            }}</RouterLink>
            <span class="figure">{{ row.text }}</span>
          </li>
        </ul>
      </details>
    </template>
  </div>
</template>
