<script setup lang="ts">
defineProps<{
  /** Words of a tick and where it stands along the axis, in the drawing's units. */
  ticks: { value: string | number; at: number }[]
  /** below: along the foot of the drawing at `foot`; left: up its side, with a line across it of `across` or none. */
  side: 'below' | 'left'
  foot?: number
  across?: number
}>()
</script>

<template>
  <g v-for="tick in ticks" :key="tick.value">
    <template v-if="side === 'below'">
      <path :d="`M${tick.at} ${foot}v6`" stroke="var(--ink)" stroke-width="1.5" />
      <text
        :x="tick.at"
        :y="(foot ?? 0) + 22"
        text-anchor="middle"
        fill="var(--soft)"
        class="figure text-[14px]"
      >
        {{ tick.value }}
      </text>
    </template>
    <template v-else>
      <path v-if="across" :d="`M0 ${tick.at}H${across}`" stroke="var(--line)" stroke-width="1" />
      <path v-else :d="`M0 ${tick.at}h-6`" stroke="var(--ink)" stroke-width="1.5" />
      <text x="-10" :y="tick.at + 5" text-anchor="end" fill="var(--soft)" class="figure text-[14px]">
        {{ tick.value }}
      </text>
    </template>
  </g>
</template>
