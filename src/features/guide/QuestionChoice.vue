<script setup lang="ts">
import { computed } from 'vue'
import { listed } from '@/texts'
import * as t from '@/texts/t'

/** One question with its answers, each with its reason. */
const props = defineProps<{
  question: string
  ask: string
  why: string
  changes: string
  /** Names of the cards that follow it. */
  cards: string[]
  answers: Record<string, { name: string; reason: string }>
  /** The answer that holds until the owner takes one. */
  first: string
  chosen: string
}>()
defineEmits<{ take: [chosen: string] }>()
const inOrder = computed(() =>
  Object.entries(props.answers).sort(([a], [b]) => Number(b === props.first) - Number(a === props.first)),
)
</script>

<template>
  <section class="border-t border-line py-3" :data-testid="`question-${question}`">
    <h3 :id="`ask-${question}`" class="text-lg leading-tight font-bold">{{ ask }}</h3>
    <div
      role="radiogroup"
      :aria-labelledby="`ask-${question}`"
      class="mt-2 grid gap-2 sm:grid-cols-2 lg:grid-cols-3"
    >
      <button
        v-for="[id, { name, reason }] in inOrder"
        :key="id"
        type="button"
        role="radio"
        :aria-checked="chosen === id"
        class="min-h-14 border-2 px-3 py-2 text-left leading-snug"
        :class="chosen === id ? 'border-ink bg-ink text-paper' : 'border-line'"
        @click="$emit('take', id)"
      >
        <span class="block font-semibold"
          >{{ name }}<span v-if="id === first" class="font-normal">, {{ t.questions.isDefault }}</span></span
        >
        <span class="block text-[0.95rem]">{{ reason }}</span>
      </button>
    </div>
    <p class="mt-1 text-[0.95rem] text-soft">
      {{ t.questions.why(why) }} {{ t.questions.changes(changes, listed(cards), cards.length) }}
    </p>
  </section>
</template>
