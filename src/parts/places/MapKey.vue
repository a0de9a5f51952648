<script setup lang="ts">
import * as t from '@/texts/t'

/** What the marks of the map mean. */
const KEYS = ['open', 'shut', 'unknown', 'tap', 'town', 'home'] as const
</script>

<template>
  <ul class="flex flex-wrap gap-x-4 px-2 pb-1 text-[0.9rem] text-soft">
    <li v-for="key in KEYS" :key="key" class="flex items-center gap-1.5">
      <svg viewBox="-14 -14 28 28" class="h-5 w-5" aria-hidden="true">
        <g
          stroke="var(--ink)"
          stroke-width="3"
          :fill="key === 'open' ? 'var(--ink)' : 'var(--card)'"
          :stroke-dasharray="key === 'unknown' ? '4 3' : undefined"
        >
          <circle v-if="key === 'tap'" r="9" />
          <path v-else-if="key === 'town'" d="M0 -12 12 0 0 12 -12 0 z" />
          <path v-else-if="key === 'home'" d="M-10 10 V-2 L0 -12 10 -2 V10 z" />
          <rect v-else x="-9" y="-9" width="18" height="18" />
        </g>
      </svg>
      {{ t.places.key[key] }}
    </li>
  </ul>
</template>
