<script setup lang="ts">
import { useStyleTag } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import type { Card } from '@/core/cards'
import { CARD_KINDS, isOneOf } from '@/core/domain'
import CardSheet from './CardSheet.vue'
import { useForecastStore } from '@/data/forecastStore'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import AppChoices from '@/ui/AppChoices.vue'
import { useCards } from './useCards'

/** Cards on paper, a page each: one card, the cards of a run, or the set for the stay. */
const route = useRoute()
const router = useRouter()
const forecast = useForecastStore()
const cards = useCards()
type Paper = 'a4' | 'letter'
const paper = ref<Paper>('a4')
const asked = (key: string) => (typeof route.query[key] === 'string' ? route.query[key] : null)

const sheets = computed((): Card[] => {
  const [, , first = '', second = null] = (asked('of') ?? '').split('/')
  const place = asked('place')
  if (first === '') return (forecast.stay?.runs ?? []).flatMap((run) => cards.ofRun(run, run.place, false))
  if (first === 'run') {
    const run = forecast.stay?.runs.find(({ id }) => id === second)
    return run ? cards.ofRun(run, place, false) : []
  }
  if (first === 'own') {
    const own = forecast.rig?.cards.find(({ id }) => id === second)
    return own ? cards.own(own) : []
  }
  if (first === 'all')
    return cards.offers.value.flatMap(({ kind, about }) => cards.parts(cards.single(kind, about)!))
  const whole = isOneOf(CARD_KINDS, first) ? cards.single(first, second, place) : null
  return whole ? cards.parts(whole) : []
})
/** Which part of its card each sheet is. */
function partOf(k: number): [number, number] {
  const same = (one: Card) => one.kind === sheets.value[k]!.kind && one.about === sheets.value[k]!.about
  let first = k
  while (first > 0 && same(sheets.value[first - 1]!)) first -= 1
  let last = k
  while (last + 1 < sheets.value.length && same(sheets.value[last + 1]!)) last += 1
  return [k - first + 1, last - first + 1]
}
/** How many steps of its card are on the sheets before. */
const fromOf = (k: number) =>
  sheets.value.slice(k - partOf(k)[0] + 1, k).reduce((sum, { steps }) => sum + steps.length, 0)
/** Steps of all parts of its card. */
const wholeOf = (k: number) => {
  const [at, of] = partOf(k)
  return sheets.value.slice(k - at + 1, k - at + 1 + of).flatMap(({ steps }) => steps)
}
useStyleTag(computed(() => `@page { size: ${paper.value === 'a4' ? 'A4' : 'letter'}; margin: 0 }`))
const print = () => {
  window.print()
}
</script>

<template>
  <div>
    <div class="flex flex-wrap items-end gap-x-6 gap-y-3 py-4 print:hidden">
      <AppButton kind="quiet" @click="router.back()">{{ t.cards.previous }}</AppButton>
      <AppChoices
        :label="t.cards.paper"
        :value="paper"
        :options="[
          { value: 'a4', label: 'A4' },
          { value: 'letter', label: 'Letter' },
        ]"
        @choose="paper = $event"
      />
      <AppButton kind="primary" :disabled="sheets.length === 0" @click="print">{{
        t.cards.printNow(sheets.length)
      }}</AppButton>
    </div>
    <p v-if="sheets.length === 0" class="text-lg">{{ t.cards.nothingToPrint }}</p>
    <CardSheet
      v-for="(card, k) in sheets"
      :key="k"
      :card="card"
      :part="partOf(k)"
      :from="fromOf(k)"
      :whole="wholeOf(k)"
      :paper="paper"
    />
  </div>
</template>
