<script setup lang="ts">
import { Plus } from '@lucide/vue'
import { computed, ref } from 'vue'
import { lacks, type UsualRun } from '@/core/errands'
import { useForecastStore } from '@/data/forecastStore'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import { useOffers, useOfferWords, type OfferSet } from './useOffers'

/** Two taps: open the list of what this rig can do, tap one; it is put where it helps, just as its line says. */
const forecast = useForecastStore()
const isOpen = ref(false)
const { rows, take } = useOffers(() => isOpen.value)
const words = useOfferWords()
const said = ref<OfferSet | null>(null)
const setting = ref<UsualRun | null>(null)
const missing = computed(() => (isOpen.value && forecast.stayCase ? lacks(forecast.stayCase) : []))

async function add(usual: UsualRun) {
  if (setting.value !== null) return
  setting.value = usual
  const done = await take(usual)
  setting.value = null
  said.value = done
  if (done?.ok) isOpen.value = false
}
</script>

<template>
  <div data-testid="add-run">
    <AppButton :kind="isOpen ? 'quiet' : 'primary'" :aria-expanded="isOpen" @click="isOpen = !isOpen">
      <Plus v-if="!isOpen" :size="20" aria-hidden="true" />{{ isOpen ? t.runs.close : t.runs.add }}
    </AppButton>
    <div v-if="isOpen" class="mt-2 max-w-3xl">
      <p class="text-[0.95rem] text-soft">{{ t.runs.addHint }}</p>
      <ul class="mt-2">
        <li v-for="{ usual, offer } in rows" :key="usual" class="border-t border-line">
          <button
            type="button"
            class="grid min-h-14 w-full grid-cols-[minmax(0,1fr)_auto] items-baseline gap-x-4 py-2 text-left"
            :aria-busy="setting === usual"
            :data-testid="`usual-${usual}`"
            @click="add(usual)"
          >
            <span class="font-semibold underline decoration-line decoration-2 underline-offset-4">{{
              t.runs.usual[usual]
            }}</span>
            <span class="figure font-bold whitespace-nowrap text-sage">{{
              offer && offer.gain > 0.05 ? words.buys(offer) : ''
            }}</span>
            <span class="col-span-2 text-[0.95rem] leading-snug text-soft">{{
              offer ? `${words.where(offer)} · ${words.asks(offer)}` : t.runs.placing
            }}</span>
          </button>
        </li>
      </ul>
      <template v-if="missing.length > 0">
        <p class="mt-3 font-semibold text-soft">{{ t.runs.notYet }}</p>
        <ul class="text-[0.95rem] text-soft">
          <li v-for="{ usual: name, lack } in missing" :key="name + lack" :data-testid="`lack-${name}`">
            {{ t.runs.lacking(t.runs.usual[name], t.runs.lacks[lack]) }}
          </li>
        </ul>
      </template>
    </div>
    <p v-if="said" class="py-2 font-semibold" :role="said.ok ? 'status' : 'alert'" data-testid="run-set">
      {{ said.words }}
    </p>
  </div>
</template>
