<script setup lang="ts">
/** Supply is hatched one way, waste the other, as on the gauges; what is past its limit is red. */
const HATCHES = [
  {
    id: 'hatch-supply',
    ground: 'var(--water)',
    stroke: 'var(--water-ink)',
    path: 'M-2 11 11 -2M7 20 20 7M-2 2 2 -2',
  },
  { id: 'hatch-carrier', ground: 'var(--post)', stroke: 'var(--soft)', path: 'M0 9h18' },
  {
    id: 'hatch-waste',
    ground: 'var(--grass)',
    stroke: 'var(--grass-ink)',
    path: 'M7 -2 20 11M-2 7 11 20M-2 16 2 20',
  },
  {
    id: 'hatch-over',
    ground: 'var(--over)',
    stroke: 'var(--oxide)',
    path: 'M7 -2 20 11M-2 7 11 20M-2 16 2 20',
  },
]
</script>

<template>
  <svg width="0" height="0" class="absolute" aria-hidden="true">
    <defs>
      <pattern
        v-for="hatch in HATCHES"
        :id="hatch.id"
        :key="hatch.id"
        width="18"
        height="18"
        patternUnits="userSpaceOnUse"
      >
        <rect width="18" height="18" :fill="hatch.ground" />
        <path :d="hatch.path" :stroke="hatch.stroke" stroke-width="2" fill="none" />
      </pattern>
    </defs>
  </svg>
</template>
