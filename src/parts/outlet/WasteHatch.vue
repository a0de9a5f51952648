<script setup lang="ts">
/** What waste is drawn with, in every picture of where it stands. */
defineProps<{ id: string }>()
</script>

<template>
  <pattern :id="id" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
    <rect width="8" height="8" fill="var(--grass)" stroke="none" />
    <path d="M0 0V8" stroke="var(--grass-ink)" stroke-width="2.4" />
  </pattern>
</template>
