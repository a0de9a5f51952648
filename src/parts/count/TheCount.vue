<script setup lang="ts">
import { t } from '@/texts'
import TallyMarks from './TallyMarks.vue'
import { useCountWords } from './useCountWords'

const words = useCountWords()
</script>

<template>
  <section
    v-if="words"
    class="grid items-center gap-x-14 gap-y-3 lg:grid-cols-[auto_1fr]"
    aria-labelledby="the-count"
    aria-live="off"
  >
    <div>
      <h2 id="the-count" class="text-[0.95rem] font-semibold text-soft">{{ t.count.planning }}</h2>
      <p class="flex items-end gap-3">
        <span v-if="words.isBeyond" class="figure pb-2 text-2xl font-semibold">{{ t.count.beyond('') }}</span>
        <span
          data-testid="count-days"
          class="figure text-[7.4rem] leading-[0.86] font-extrabold tracking-[-0.045em] sm:text-[9.6rem]"
          >{{ words.figure }}</span
        >
        <span class="figure pb-1.5 text-2xl leading-[1.05] font-semibold sm:pb-3 sm:text-[1.7rem]">{{
          t.count.dryDays(words.figure)
        }}</span>
      </p>
    </div>
    <div class="min-w-0">
      <p class="figure max-w-[34ch] text-[1.55rem] leading-[1.18] font-semibold sm:text-[1.9rem]" data-testid="count-sentence">
        <template v-if="words.startsPast">
          <span class="text-oxide">{{ t.count.startsPast(words.stopper ?? '') }}</span>
        </template>
        <template v-else-if="words.when">
          {{ t.count.stops(words.stopper ?? '') }}
          <span :class="words.lasts ? '' : 'text-oxide'">{{ words.when.day }}, {{ words.when.part }}</span
          >,
          {{ words.lasts ? t.count.enough : t.count.short(words.short) }}
          {{ words.lasts ? '' : t.count.of(words.nights) }}.
        </template>
        <template v-else>{{ t.count.nothingStops(words.horizon) }}</template>
      </p>
      <TallyMarks :planned="words.nights" :days="words.days" :per-row="5" class="mt-4 -ml-3 h-auto max-h-24 w-full max-w-md" preserve-aspect-ratio="xMinYMid meet" />
      <slot />
    </div>
  </section>
</template>
