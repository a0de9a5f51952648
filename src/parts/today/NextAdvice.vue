<script setup lang="ts">
import type { NextStep } from '@/core/advice'
import * as t from '@/texts/t'

/** One change with what it buys, what it asks for and why; done, or not heard again. */
defineProps<{
  step: NextStep
  id: string
  name: string
  gain: string
  gainWords: string
  chances: string
  asks: string
  reason: string
  isFirst?: boolean
  /** Of the stay as it was a moment ago. */
  isBehind?: boolean
}>()
defineEmits<{ take: []; decline: [] }>()
const link = 'min-h-11 font-semibold underline decoration-line decoration-2 underline-offset-4'
</script>

<template>
  <article
    class="mt-1 border-l-[6px] pl-3"
    :class="isFirst && !isBehind ? 'border-sage' : 'border-line'"
    :aria-busy="isBehind"
    :data-testid="`next-${id}`"
  >
    <h3
      class="flex items-baseline justify-between gap-3 leading-tight font-bold"
      :class="isFirst ? 'text-xl' : ''"
    >
      {{ name }}
      <span class="figure whitespace-nowrap text-sage" :aria-label="gainWords">{{ t.next.gain(gain) }}</span>
    </h3>
    <p class="mt-0.5 leading-snug" :class="isFirst ? '' : 'text-[0.95rem]'">
      <span class="font-semibold">{{ chances }}</span> <span class="text-soft">{{ reason }}</span>
    </p>
    <p class="figure text-[0.95rem] leading-snug text-soft" data-testid="next-asks">{{ asks }}</p>
    <p class="flex gap-5">
      <button type="button" :class="link" @click="$emit('take')">{{ t.next.doIt }}</button>
      <button type="button" :class="[link, 'text-soft']" @click="$emit('decline')">{{ t.next.notUs }}</button>
    </p>
  </article>
</template>
