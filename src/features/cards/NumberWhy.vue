<script setup lang="ts">
import { computed } from 'vue'
import type { CardQuantity, CardStep } from '@/core/cards'
import * as t from '@/texts/t'
import AppDialog from '@/ui/AppDialog.vue'
import { useCardWords } from './useCardWords'

/** Where a number on a card comes from: what it is made of, and whose each of those is. */
const props = defineProps<{ quantity: CardQuantity | null; step: CardStep | null }>()
defineEmits<{ close: [] }>()
const words = useCardWords()
const terms = computed(() => props.quantity?.why ?? [])
</script>

<template>
  <AppDialog
    :open="quantity !== null"
    :title="quantity ? words.quantity(quantity, step) : ''"
    :close-label="t.why.close"
    @close="$emit('close')"
  >
    <dl v-if="quantity" class="mt-3" data-testid="number-why">
      <div
        v-for="(term, k) in terms"
        :key="k"
        class="flex min-h-12 items-baseline justify-between gap-4 border-b border-line py-2"
      >
        <dt>
          <span class="font-semibold">{{ t.cardTerms[term.term] }}</span>
          <span class="text-soft">, {{ t.cardOrigins[term.from] }}</span>
        </dt>
        <dd class="figure text-lg font-bold whitespace-nowrap">{{ words.term(term, step) }}</dd>
      </div>
    </dl>
  </AppDialog>
</template>
