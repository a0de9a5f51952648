<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Card, CardQuantity, CardStep } from '@/core/cards'
import FoldSection from '@/parts/FoldSection.vue'
import * as t from '@/texts/t'
import NumberWhy from './NumberWhy.vue'
import PartSteps from './PartSteps.vue'
import { firstSentence, useCardWords } from './useCardWords'

/** A whole card at a glance: every step of every part, with the caution where it matters. */
const props = defineProps<{
  parts: Card[]
  /** Of several parts each is closed on a phone, and says how many steps it has and how it begins. */
  isFolded?: boolean
}>()
const words = useCardWords()
const asked = ref<{ quantity: CardQuantity; step: CardStep } | null>(null)
const ask = (quantity: CardQuantity, step: CardStep) => (asked.value = { quantity, step })
const titled = computed(() =>
  props.parts.map((part, p) => {
    const alike = (one: Card) => one.kind === part.kind && one.about === part.about
    const n = props.parts.filter(alike).length
    const title = words.title(part)
    const first = firstSentence(words.pieces(part.steps[0]!, part)).act.map(({ text }) => text)
    return {
      part,
      begins: t.cards.begins(part.steps.length, first.join('')),
      title: n > 1 ? `${title}, ${t.cards.part(props.parts.slice(0, p + 1).filter(alike).length, n)}` : title,
    }
  }),
)
</script>

<template>
  <div :class="isFolded && parts.length > 1 ? 'mt-6 border-t-2 border-ink' : ''">
    <template v-for="({ part, title, begins }, p) in titled" :key="p">
      <FoldSection
        v-if="isFolded && parts.length > 1"
        :id="`card-part-${p}`"
        :title="title"
        :answer="begins"
        is-open-on-wide
        :data-testid="`part-${p}`"
      >
        <PartSteps :part="part" @why="ask" />
      </FoldSection>
      <section v-else class="mt-6" :data-testid="`part-${p}`">
        <h2 class="border-b-2 border-ink pb-1 text-xl font-bold">{{ title }}</h2>
        <PartSteps :part="part" @why="ask" />
      </section>
    </template>
    <NumberWhy :quantity="asked?.quantity ?? null" :step="asked?.step ?? null" @close="asked = null" />
  </div>
</template>
