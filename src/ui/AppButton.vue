<script setup lang="ts">
defineProps<{ kind?: 'primary' | 'plain' | 'quiet' | undefined; disabled?: boolean }>()
</script>

<template>
  <button
    type="button"
    :disabled="disabled"
    class="inline-flex min-h-11 items-center justify-center gap-2 font-semibold disabled:opacity-55"
    :class="{
      'bg-ink px-4 text-paper': kind === 'primary',
      'border-2 border-ink px-4': !kind || kind === 'plain',
      'min-w-11 px-1 underline decoration-line decoration-2 underline-offset-4': kind === 'quiet',
    }"
  >
    <slot />
  </button>
</template>
