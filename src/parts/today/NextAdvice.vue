<script setup lang="ts">
import type { NextStep } from '@/core/advice'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'

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
  /** What its button says. */
  act: string
  isFirst?: boolean
  /** Where there is little room: what stands behind it is read out and not shown. */
  isShort?: boolean
  /** Of the stay as it was a moment ago. */
  isBehind?: boolean
}>()
defineEmits<{ take: []; decline: [] }>()
const link = 'min-h-11 font-semibold underline decoration-line decoration-2 underline-offset-4'
</script>

<template>
  <article
    class="mt-1"
    :class="isFirst ? 'border-2 bg-card p-3' : 'border-l-[6px] border-line pl-3'"
    :style="isFirst ? { borderColor: isBehind ? 'var(--line)' : 'var(--ink)' } : {}"
    :aria-busy="isBehind"
    :data-testid="`next-${id}`"
  >
    <slot name="title" />
    <h3
      class="flex items-baseline justify-between gap-3 leading-tight font-bold"
      :class="isFirst ? 'text-xl' : ''"
    >
      {{ name }}
      <span class="figure whitespace-nowrap text-sage" :aria-label="gainWords">{{ t.next.gain(gain) }}</span>
    </h3>
    <p class="figure mt-0.5 leading-snug" data-testid="next-asks">{{ asks }}</p>
    <slot />
    <p class="leading-snug" :class="isShort ? 'sr-only' : 'text-[0.95rem]'">
      <span class="font-semibold">{{ chances }}</span> <span class="text-soft">{{ reason }}</span>
    </p>
    <p class="mt-1 flex flex-wrap items-center gap-x-5">
      <AppButton v-if="isFirst" kind="primary" @click="$emit('take')">{{ act }}</AppButton>
      <button v-else type="button" :class="link" @click="$emit('take')">{{ act }}</button>
      <button type="button" :class="[link, 'text-soft']" @click="$emit('decline')">{{ t.next.notUs }}</button>
    </p>
  </article>
</template>
