<script setup lang="ts">
import type { Law } from '@/core/cards'
import * as t from '@/texts/t'

/** Which laws of the work a card would break, and what follows from it. */
defineProps<{ title: string; laws: readonly Law[] }>()
</script>

<template>
  <div v-if="laws.length > 0" class="border-2 border-ink p-3" role="alert">
    <p class="font-bold">{{ title }}</p>
    <p v-for="law in laws" :key="law">{{ t.laws[law] }}</p>
  </div>
</template>
