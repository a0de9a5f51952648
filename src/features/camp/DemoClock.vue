<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useClockStore } from '@/data/clockStore'
import { dayAndTime } from '@/texts'
import * as t from '@/texts/t'

/** The demo stands at a fixed moment; its clock can be moved by hour and by day. */
const clock = useClockStore()
const HOUR = 1 / 24
const STEPS: { days: number; text: string; label: string }[] = [
  { days: -1, text: '−1 d', label: t.phase.dayBack },
  { days: -HOUR, text: '−1 h', label: t.phase.earlier },
  { days: HOUR, text: '+1 h', label: t.phase.later },
  { days: 1, text: '+1 d', label: t.phase.dayOn },
]
/** On a phone the clock is a line, and what moves it a tap behind it. */
const isWide = useMediaQuery('(min-width: 40rem)')
const isOpen = ref(false)
const isShown = computed(() => isWide.value || isOpen.value)
</script>

<template>
  <div class="flex flex-wrap items-center gap-1" data-testid="demo-clock">
    <button
      v-if="!isWide"
      type="button"
      class="figure min-h-11 font-bold whitespace-nowrap underline decoration-line decoration-2 underline-offset-4"
      :aria-expanded="isOpen"
      :aria-label="`${t.phase.clock}: ${dayAndTime(clock.now)}`"
      @click="isOpen = !isOpen"
    >
      {{ dayAndTime(clock.now) }}
    </button>
    <span v-else class="mr-1 leading-tight text-soft"
      ><span class="mr-1.5">{{ t.phase.clock }}</span>
      <span class="figure font-bold whitespace-nowrap text-ink">{{ dayAndTime(clock.now) }}</span></span
    >
    <template v-if="isShown">
      <button
        v-for="step in STEPS"
        :key="step.text"
        type="button"
        class="grid min-h-11 min-w-11 place-items-center border-2 border-soft text-[0.85rem] font-semibold whitespace-nowrap"
        :aria-label="`${step.text}: ${step.label}`"
        @click="clock.move(step.days)"
      >
        {{ step.text }}
      </button>
      <button
        v-if="clock.isMoved"
        type="button"
        class="min-h-11 font-semibold whitespace-nowrap underline decoration-line decoration-2 underline-offset-4"
        @click="clock.backToStart()"
      >
        {{ t.phase.reset }}
      </button>
    </template>
  </div>
</template>
