<script setup lang="ts">
import type { CountWords } from './useCountWords'
import * as t from '@/texts/t'

defineProps<{
  words: CountWords
  /** Says that it speaks of the average, where what to plan on stands beside it. */
  isAverage?: boolean
}>()
</script>

<template>
  <p
    class="figure max-w-[60ch] leading-[1.18] font-semibold sm:text-[1.9rem]"
    :class="words.isLeft ? 'text-[1.3rem]' : 'text-[1.55rem]'"
    data-testid="count-sentence"
  >
    <span v-if="words.startsPast" class="text-oxide">{{ t.count.startsPast(words.stopper ?? '') }}</span>
    <template v-else-if="words.when">
      {{ isAverage ? t.count.onAverage : '' }} {{ t.count.stops(words.stopper ?? '') }}
      <span :class="words.lasts ? '' : 'text-oxide'">{{ words.when.day }}, {{ words.when.part }}</span>,
      {{ words.lasts ? t.count.enough : t.count.short(words.short)
      }}{{ words.lasts ? '' : ` ${words.isLeft ? t.count.ofLeft(words.nights) : t.count.of(words.nights)}` }}.
    </template>
    <template v-else>{{ t.count.nothingStops(words.horizon) }}</template>
    <slot />
  </p>
</template>
