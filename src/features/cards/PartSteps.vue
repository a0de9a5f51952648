<script setup lang="ts">
import type { Card, CardQuantity, CardStep } from '@/core/cards'
import * as t from '@/texts/t'
import CardWords from './CardWords.vue'

/** The steps of one part of a card, each with its cautions. */
defineProps<{ part: Card }>()
defineEmits<{ why: [quantity: CardQuantity, step: CardStep] }>()
</script>

<template>
  <ol>
    <li
      v-for="(step, k) in part.steps"
      :key="k"
      class="grid grid-cols-[2.4rem_minmax(0,1fr)] gap-x-2 border-b border-line py-2"
    >
      <span class="figure text-lg font-bold text-soft">{{ k + 1 }}</span>
      <div>
        <p v-if="step.by" class="text-[0.95rem] font-bold text-soft">{{ t.cards.whose[step.by] }}</p>
        <CardWords
          :step="step"
          :card="part"
          asks
          class="text-lg leading-snug"
          @why="$emit('why', $event, step)"
        />
        <p v-for="caution in step.cautions" :key="caution" class="text-[0.95rem] leading-snug text-soft">
          {{ t.cardCautions[caution] }}
        </p>
      </div>
    </li>
  </ol>
</template>
