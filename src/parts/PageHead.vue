<script setup lang="ts">
defineProps<{ title: string; lead?: string }>()
</script>

<template>
  <div class="pt-6 pb-2">
    <h1 class="text-3xl font-extrabold tracking-tight sm:text-4xl">{{ title }}</h1>
    <p v-if="lead" class="mt-1 max-w-[60ch] text-soft">{{ lead }}</p>
  </div>
</template>
