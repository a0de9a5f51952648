<script setup lang="ts">
import { computed } from 'vue'
import type { Card, CardQuantity, CardStep } from '@/core/cards'
import { firstSentence, useCardWords } from './useCardWords'

/** The words of a step with its numbers, or only its act, or only what follows it; numbers that may be asked for are buttons. */
const props = defineProps<{ step: CardStep; card: Card; asks?: boolean; part?: 'act' | 'rest' }>()
defineEmits<{ why: [quantity: CardQuantity] }>()
const words = useCardWords()
const pieces = computed(() => {
  const all = words.pieces(props.step, props.card)
  return props.part ? firstSentence(all)[props.part] : all
})
</script>

<template>
  <span
    ><template v-for="({ text, quantity }, k) in pieces" :key="k"
      ><button
        v-if="quantity && asks"
        type="button"
        class="figure font-bold underline decoration-2 underline-offset-[0.18em]"
        :data-testid="`number-${quantity.id}`"
        @click="$emit('why', quantity)"
      >
        {{ text }}</button
      ><b v-else-if="quantity" class="figure font-bold">{{ text }}</b
      ><template v-else>{{ text }}</template></template
    ></span
  >
</template>
