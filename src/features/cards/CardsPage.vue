<script setup lang="ts">
import { computed } from 'vue'
import OwnCards from './OwnCards.vue'
import { useForecastStore } from '@/data/forecastStore'
import { useWalkStore } from '@/data/walkStore'
import NoStay from '@/parts/NoStay.vue'
import PageHead from '@/parts/PageHead.vue'
import { whenOf } from '@/parts/runs/useRuns'
import { listed } from '@/texts'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import { GROUPS, useCards, type Offer } from './useCards'
import { useCardWords } from './useCardWords'

/** Which card for the job in hand: those of the runs that are set first, then all that this rig can use. */
const forecast = useForecastStore()
const walk = useWalkStore()
const cards = useCards()
const words = useCardWords()

const groups = computed(() =>
  (Object.keys(GROUPS) as (keyof typeof GROUPS)[])
    .map((id) => ({
      id,
      offers: cards.offers.value.filter(({ kind }) => (GROUPS[id] as readonly string[]).includes(kind)),
    }))
    .filter(({ offers }) => offers.length > 0),
)
const link = ({ kind, about }: Offer) => `/cards/${kind}${about === null ? '' : `/${about}`}`
const runs = computed(() => forecast.stay?.runs ?? [])
</script>

<template>
  <NoStay v-if="!forecast.stay" :title="t.cards.title" />
  <div v-else>
    <PageHead :title="t.cards.title" :lead="t.cards.lead" />
    <p v-if="cards.owed.value.length > 0" class="mt-1 text-lg font-bold" data-testid="owed">
      {{ t.cards.owedOf(listed(cards.owed.value.map(({ name }) => name))) }}
    </p>
    <div v-if="walk.current" class="mt-2 border-2 border-ink p-4" data-testid="walk-kept">
      <p class="text-lg font-bold">{{ words.title(walk.current.walk.cards[0]!) }}</p>
      <div class="mt-2 flex flex-wrap gap-3">
        <RouterLink
          to="/walk"
          class="inline-grid min-h-11 place-items-center bg-ink px-4 font-semibold text-paper"
          >{{ t.cards.again }}</RouterLink
        >
        <AppButton kind="quiet" @click="walk.discard()">{{ t.cards.discard }}</AppButton>
      </div>
    </div>
    <ul v-if="runs.length > 0" class="mt-4">
      <li v-for="run in runs" :key="run.id" class="border-b border-line">
        <RouterLink :to="`/cards/run/${run.id}`" class="flex min-h-14 flex-wrap items-baseline gap-x-3 py-3">
          <span class="text-xl font-bold underline decoration-line decoration-2 underline-offset-4">{{
            run.name
          }}</span>
          <span class="text-soft">{{ whenOf(forecast.stay, run, true) }}</span>
        </RouterLink>
      </li>
    </ul>
    <RouterLink
      v-if="runs.length > 0"
      to="/cards/print"
      class="inline-flex min-h-11 items-center font-semibold underline decoration-line decoration-2 underline-offset-4"
      >{{ t.cards.booklet }}</RouterLink
    >
    <div class="mt-2 gap-x-10 lg:columns-2">
      <section v-for="group in groups" :key="group.id" class="mb-6 break-inside-avoid">
        <h2 class="border-b-2 border-ink pb-1 text-lg font-bold text-soft">{{ t.cards.groups[group.id] }}</h2>
        <ul>
          <li
            v-for="offer in group.offers"
            :key="`${offer.kind} ${offer.about}`"
            class="border-b border-line"
            :data-testid="`offer-${offer.kind}`"
          >
            <RouterLink :to="link(offer)" class="block min-h-14 py-2.5">
              <span class="flex flex-wrap items-baseline gap-x-2">
                <span class="text-xl leading-tight font-bold">{{ offer.name }}</span>
                <span v-if="offer.of" class="text-soft">{{ offer.of }}</span>
              </span>
              <span class="mt-0.5 block leading-snug text-soft">{{ t.cardFor[offer.kind] }}</span>
            </RouterLink>
          </li>
        </ul>
      </section>
    </div>
    <OwnCards />
  </div>
</template>
