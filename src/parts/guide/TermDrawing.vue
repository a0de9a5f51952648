<script setup lang="ts">
import type { Drawing } from './drawings'

/** The thing that a word of the guide names, drawn beside what is said of it. */
defineProps<{ drawing: Drawing; label: string }>()
</script>

<template>
  <svg
    viewBox="0 0 120 72"
    class="h-[5.4rem] w-36 flex-none border border-line bg-card"
    role="img"
    :aria-label="label"
    fill="none"
    stroke="var(--ink)"
    stroke-linejoin="round"
  >
    <path :d="drawing.thin" stroke="var(--soft)" stroke-width="1.5" />
    <path v-if="drawing.thick" :d="drawing.thick" stroke-width="3.5" />
    <path v-if="drawing.full" :d="drawing.full" fill="var(--ink)" stroke-width="1.5" />
    <path v-if="drawing.flow" :d="drawing.flow" stroke="var(--water-ink)" stroke-width="2" />
  </svg>
</template>
