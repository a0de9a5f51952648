<script setup lang="ts">
import { computed } from 'vue'
import type { RiskWords } from '@/parts/risk/useRiskWords'
import type { CountWords } from './useCountWords'
import * as t from '@/texts/t'

const props = defineProps<{
  words: CountWords
  /** What the trips say: the sentence then speaks of the days to plan on, as the figure beside it does; else of the average. */
  risk?: RiskWords | null | undefined
  /** They are on their way: no other sentence is in their place meanwhile. */
  isComing?: boolean | undefined
  /** Beside the figure on a phone. */
  isSmall?: boolean | undefined
}>()
/** How far short what is planned falls. */
const tail = computed(() => {
  const { words, risk } = props
  const { lasts, short } = risk?.plannedStop ?? words
  if (lasts) return `, ${t.count.enough}.`
  if (short === 0) return '.'
  if (props.isSmall) return `: ${t.count.short(short)}.`
  const of = words.isLeft ? t.count.ofLeft(words.nights) : t.count.of(words.nights)
  return `: ${t.count.short(short)} ${of}.`
})
</script>

<template>
  <p
    class="figure max-w-[60ch] leading-[1.18] font-semibold sm:text-[1.9rem]"
    :class="[
      isSmall ? 'min-h-[7.4rem] text-[1.2rem]' : words.isLeft ? 'text-[1.3rem]' : 'text-[1.55rem]',
      !isSmall && (isComing || risk) ? 'sm:min-h-[4.5rem]' : '',
    ]"
    data-testid="count-sentence"
  >
    <span v-if="words.startsPast" class="text-oxide">{{ t.count.startsPast(words.stopper ?? '') }}</span>
    <template v-else-if="risk?.plannedStop">
      {{ t.count.mayStop(risk.plannedStop.stopper) }}
      <span :class="risk.plannedStop.lasts ? '' : 'text-oxide'"
        >{{ risk.plannedStop.when.day }}, {{ risk.plannedStop.when.part }}</span
      >{{ tail }}
    </template>
    <template v-else-if="risk?.planOn.isBeyond">{{ t.count.nothingStopsPlan(words.horizon) }}</template>
    <span v-else-if="isComing" class="text-soft">{{ t.count.coming }}…</span>
    <template v-else-if="words.when">
      {{ t.count.onAverage }} {{ t.count.stops(words.stopper ?? '') }}
      <span :class="words.lasts ? '' : 'text-oxide'">{{ words.when.day }}, {{ words.when.part }}</span
      >{{ tail }}
    </template>
    <template v-else>{{ t.count.nothingStops(words.horizon) }}</template>
    <slot />
  </p>
</template>
