<script setup lang="ts">
import { ref } from 'vue'
import type { Card, CardQuantity, CardStep } from '@/core/cards'
import * as t from '@/texts/t'
import CardWords from './CardWords.vue'
import NumberWhy from './NumberWhy.vue'
import { useCardWords } from './useCardWords'

/** A whole card at a glance: every step of every part, with the caution where it matters. */
defineProps<{ parts: Card[] }>()
const words = useCardWords()
const asked = ref<{ quantity: CardQuantity; step: CardStep } | null>(null)
</script>

<template>
  <div>
    <section v-for="(part, p) in parts" :key="p" class="mt-6" :data-testid="`part-${p}`">
      <h2 class="border-b-2 border-ink pb-1 text-xl font-bold">
        {{ words.title(part)
        }}<span
          v-if="parts.filter((one) => one.kind === part.kind && one.about === part.about).length > 1"
          class="font-normal text-soft"
          >,
          {{
            t.cards.part(
              parts.slice(0, p + 1).filter((one) => one.kind === part.kind && one.about === part.about)
                .length,
              parts.filter((one) => one.kind === part.kind && one.about === part.about).length,
            )
          }}</span
        >
      </h2>
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
              @why="asked = { quantity: $event, step }"
            />
            <p v-for="caution in step.cautions" :key="caution" class="text-[0.95rem] leading-snug text-soft">
              {{ t.cardCautions[caution] }}
            </p>
          </div>
        </li>
      </ol>
    </section>
    <NumberWhy :quantity="asked?.quantity ?? null" :step="asked?.step ?? null" @close="asked = null" />
  </div>
</template>
