<script setup lang="ts">
import type { Input } from '@/core/explain'
import { FLOW_ENDS, type FlowEnd } from '@/core/domain'
import { useAmounts } from '@/parts/useAmounts'
import { useWhyStore } from './whyStore'
import { formatNumber, formatShortDay, formatSource } from '@/texts'
import * as t from '@/texts/t'

const props = defineProps<{ activityId: string; inputs: readonly Input[] }>()
const why = useWhyStore()
const { volume, temperature } = useAmounts()

const VOLUMES: readonly Input['kind'][] = [
  'volume',
  'added',
  'habit-replace',
  'habit-paused',
  'flow',
  'trickle',
  'run-up',
  'heat-drinking',
]
const TEMPERATURES: readonly Input['kind'][] = ['warmest', 'warmest-usual', 'heat-above']
const SHARES: readonly Input['kind'][] = [
  'drain-share',
  'share',
  'water-factor',
  'habit-redirect',
  'habit-catch',
  'habit-reuse',
  'habit-bring',
  'heat-showers',
]
function value({ kind, quantity }: Input): string {
  if (VOLUMES.includes(kind)) return volume(quantity.value)
  if (TEMPERATURES.includes(kind)) return temperature(quantity.value)
  return SHARES.includes(kind) ? `${formatNumber(quantity.value * 100, 0)} %` : formatNumber(quantity.value)
}
function label({ kind, of }: Input): string {
  if (kind === 'warmest') return t.weather.day(formatShortDay(of!))
  return t.why.input[kind](
    (FLOW_ENDS as readonly string[]).includes(of ?? '') ? t.ends[of as FlowEnd] : (of ?? ''),
  )
}
const source = ({ quantity }: Input) => formatSource(quantity)

/** The screen and the place on it where the number can be changed. */
function place({ kind, list }: Input) {
  if (kind === 'warmest') return { path: '/stay', query: { show: 'board-weather' } }
  if (kind === 'warmest-usual' || kind.startsWith('heat-'))
    return { path: '/stay', query: { show: 'weather' } }
  if (list === 'rigs') return { path: '/rig', query: { show: 'fixtures' } }
  if (list === 'habits') return { path: '/habits', query: { show: 'habits' } }
  return { path: '/stay', query: { show: `use-${props.activityId}` } }
}
</script>

<template>
  <ul class="mb-3 border-l-4 border-line pl-4">
    <li v-for="(input, i) in inputs" :key="i" class="py-1.5">
      <p class="flex flex-wrap items-baseline gap-x-3">
        <span>{{ label(input) }}</span>
        <span class="figure font-bold">{{ value(input) }}</span>
        <RouterLink
          :to="place(input)"
          class="ml-auto grid min-h-11 place-items-center font-semibold underline underline-offset-4"
          @click="why.close()"
        >
          {{ t.why.change }}<span class="sr-only"> {{ label(input) }}</span>
        </RouterLink>
      </p>
      <p class="text-[0.95rem] leading-snug text-soft">{{ source(input) }}</p>
    </li>
  </ul>
</template>
