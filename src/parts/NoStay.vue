<script setup lang="ts">
import PageHead from './PageHead.vue'
import * as t from '@/texts/t'

defineProps<{ title: string }>()
</script>

<template>
  <div>
    <PageHead :title="title" />
    <p class="mt-2 text-lg">{{ t.camp.empty }}.</p>
    <RouterLink
      to="/start"
      class="mt-6 inline-grid min-h-11 place-items-center bg-ink px-4 font-semibold text-paper"
      >{{ t.camp.startOwn }}</RouterLink
    >
  </div>
</template>
