<script setup lang="ts">
import { computed } from 'vue'
import type { Assumption, Swing } from '@/core/advice'
import { useAdviceStore } from '@/data/adviceStore'
import { useForecastStore } from '@/data/forecastStore'
import { useSettingsStore } from '@/data/settingsStore'
import { useAmounts } from '@/parts/useAmounts'
import { formatDays, formatQuantity, t } from '@/texts'

const advice = useAdviceStore()
const forecast = useForecastStore()
const settings = useSettingsStore()
const { level, volume } = useAmounts()
advice.follow('sensitivity')

const SHOWN = 6
const nameOf = (list: { id: string; name: string }[] | undefined, id: string) =>
  list?.find((entry) => entry.id === id)?.name ?? ''

function nameFor(assumption: Assumption): string {
  if (assumption.kind === 'activity') return t.sure.activity(nameOf(forecast.crew?.activities, assumption.activity))
  if (assumption.kind === 'weather') return t.sure.weather
  return t.sure[assumption.kind](nameOf(forecast.rig?.containers, assumption.container))
} // prettier-ignore

function amount({ assumption }: Swing, value: number): string {
  if (assumption.kind === 'weather') return formatQuantity(value, 'temperature', settings.units)
  if (assumption.kind === 'activity') return volume(value)
  const kind = forecast.rig?.containers.find(({ id }) => id === assumption.container)?.kind
  return level(Math.max(0, value), kind === 'solids' ? 'uses' : 'L')
}

/** Where the number is put in. */
function placeOf(assumption: Assumption): { path: string; query: { show: string } } {
  if (assumption.kind === 'activity') return { path: '/stay', query: { show: `use-${assumption.activity}` } }
  if (assumption.kind === 'weather') return { path: '/stay', query: { show: 'weather' } }
  if (assumption.kind === 'capacity') return { path: '/rig', query: { show: `tank-${assumption.container}` } }
  return { path: '/', query: { show: 'level-errors' } }
} // prettier-ignore

const rows = computed(() => {
  const swings = advice.swings ?? []
  const base = forecast.result?.days ?? forecast.model?.horizonDays ?? 0
  const reach = Math.max(1e-6, ...swings.map(({ low, high }) => Math.max(base - low, high - base)))
  const share = (days: number) => 50 + (50 * (days - base)) / reach
  return swings.map((swing) => ({
    key: JSON.stringify(swing.assumption),
    name: nameFor(swing.assumption),
    text: t.sure.swing(formatDays(swing.low), swing.isBeyond ? t.risk.beyond(formatDays(swing.high)) : formatDays(swing.high)),
    ends: t.sure.ends(amount(swing, swing.atLow), amount(swing, swing.atHigh)),
    left: share(swing.low),
    width: Math.max(0.8, share(swing.high) - share(swing.low)),
    middle: 50,
    how: t.sure.how[swing.assumption.kind],
    to: placeOf(swing.assumption),
    origin: t.origins[swing.origin],
  }))
}) // prettier-ignore
const first = computed(() => rows.value.slice(0, SHOWN))
const rest = computed(() => rows.value.slice(SHOWN))
const base = computed(() => formatDays(forecast.result?.days ?? 0))
</script>

<template>
  <section class="pt-8" aria-labelledby="sure" data-testid="assumptions">
    <h2 id="sure" class="text-xl font-bold">{{ t.sure.title }}</h2>
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
  </section>
</template>
