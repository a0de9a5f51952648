<script setup lang="ts">
/** The line an amount is typed on, its unit at the end. */
defineProps<{ id: string; text: string; unit: string; isWrong: boolean }>()
defineEmits<{ typed: [text: string]; left: []; commit: [] }>()
</script>

<template>
  <span class="flex border-b-2 border-ink bg-card focus-within:outline-3 focus-within:outline-offset-2">
    <input
      :id="id"
      :value="text"
      type="text"
      inputmode="decimal"
      autocomplete="off"
      :aria-invalid="isWrong"
      :aria-describedby="isWrong ? `${id}-fault` : undefined"
      class="figure h-11 w-full min-w-0 bg-transparent px-2 text-lg font-semibold focus:outline-none"
      @input="$emit('typed', ($event.target as HTMLInputElement).value)"
      @blur="$emit('left')"
      @keydown.enter="$emit('commit')"
    />
    <span v-if="unit" class="self-center pr-2 text-soft" aria-hidden="true">{{ unit }}</span>
  </span>
</template>
