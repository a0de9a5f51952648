<script setup lang="ts">
import { computed } from 'vue'
import { progressOf } from '@/core/cards'
import { useWalkStore } from '@/data/walkStore'
import { formatNumber } from '@/texts'
import * as t from '@/texts/t'

/** A card that is being walked, in a line, wherever one may have gone meanwhile. */
const walk = useWalkStore()
const line = computed(() => {
  const kept = walk.current
  const card = kept?.walk.cards[Math.min(kept.walk.card, kept.walk.cards.length - 1)]
  if (!kept || !card) return null
  const { at, all } = progressOf(kept.walk)
  const name = card.own?.name ?? t.cardNames[card.kind]
  return t.cards.underWay(name, formatNumber(at, 0), formatNumber(all, 0))
})
</script>

<template>
  <p
    v-if="line"
    class="flex flex-wrap items-baseline gap-x-4 border-b border-line py-1"
    data-testid="walk-line"
  >
    <span class="font-semibold">{{ line }}</span>
    <RouterLink
      to="/walk"
      class="inline-flex min-h-11 items-center font-semibold underline decoration-line decoration-2 underline-offset-4"
      >{{ t.cards.goOn }}</RouterLink
    >
  </p>
</template>
