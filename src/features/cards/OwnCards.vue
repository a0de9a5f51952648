<script setup lang="ts">
import { computed, ref } from 'vue'
import { putCard, removeCard } from '@/actions/cards'
import { cardFile, templateStepIds, type Law } from '@/core/cards'
import type { OwnCard } from '@/core/domain'
import { useForecastStore } from '@/data/forecastStore'
import { newId } from '@/data/newId'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { readCard, writeCard } from '@/document'
import FoldSection from '@/parts/FoldSection.vue'
import { saveFile } from '@/parts/files/saveFile'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import BrokenLaws from './BrokenLaws.vue'
import OwnCardEditor from './OwnCardEditor.vue'
import { useCards } from './useCards'

/** Cards that the owner made, made from a copy: opened, changed, shared as a file, taken in from one. */
const forecast = useForecastStore()
const workspace = useWorkspaceStore()
const cards = useCards()
const own = computed(() => forecast.rig?.cards ?? [])
const fault = ref('')
/** Laws that a card from elsewhere breaks here: it is not taken in. */
const broken = ref<Law[]>([])
const editing = ref<string | null>(null)

function share(card: OwnCard) {
  const name = card.name
    .normalize('NFKD')
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .toLowerCase()
  saveFile(writeCard(cardFile(card)), `${name || 'card'}.drycount-card.json`)
}
async function take(event: Event) {
  const input = event.target as HTMLInputElement
  const [file] = input.files ?? []
  if (!file) return
  const read = readCard(await file.text(), newId('card'), templateStepIds())
  input.value = ''
  fault.value = read.ok ? '' : t.cards.own.faults[read.fault]
  broken.value = read.ok ? (cards.brokenBy(read.card) ?? []) : []
  if (!read.ok || broken.value.length > 0) return
  workspace.act(putCard(forecast.rig!.id, read.card))
}
function remove(card: OwnCard) {
  workspace.act(removeCard(forecast.rig!.id, card.id))
}
</script>

<template>
  <FoldSection
    id="own-cards"
    :title="t.cards.own.title"
    :answer="t.cards.own.answer(own.length)"
    :places="['own-']"
  >
    <p v-if="own.length === 0" class="text-soft">{{ t.cards.own.none }}</p>
    <ul>
      <li
        v-for="card in own"
        :key="card.id"
        class="border-b border-line py-2"
        :data-anchor="`own-${card.id}`"
        :data-testid="`own-${card.id}`"
      >
        <p class="flex flex-wrap items-baseline gap-x-3">
          <RouterLink
            :to="`/cards/own/${card.id}`"
            class="inline-flex min-h-11 items-center text-xl font-bold underline decoration-line decoration-2 underline-offset-4"
            >{{ card.name }}</RouterLink
          >
          <span class="text-soft">{{ t.cardNames[card.kind] }}, {{ t.cards.own.from[card.from] }}</span>
        </p>
        <p v-if="card.from === 'elsewhere'" class="text-[0.95rem] font-semibold">
          {{ t.cards.own.elsewhere }}
        </p>
        <div class="-ml-1 flex flex-wrap gap-x-4">
          <AppButton kind="quiet" @click="editing = editing === card.id ? null : card.id">{{
            t.cards.own.edit
          }}</AppButton>
          <AppButton kind="quiet" @click="share(card)">{{ t.cards.own.share }}</AppButton>
          <AppButton kind="quiet" @click="remove(card)">{{ t.cards.own.remove }}</AppButton>
        </div>
        <OwnCardEditor v-if="editing === card.id" :card="card" />
      </li>
    </ul>
    <label
      class="mt-3 inline-flex min-h-11 cursor-pointer items-center border-2 border-ink px-4 font-semibold focus-within:outline-3"
    >
      {{ t.cards.own.take }}
      <input
        type="file"
        accept=".json,application/json"
        class="sr-only"
        data-testid="take-card"
        @change="take"
      />
    </label>
    <p v-if="fault" class="mt-2 font-semibold" role="alert">{{ fault }}</p>
    <BrokenLaws :title="t.cards.own.notTaken" :laws="broken" class="mt-2" data-testid="taken-refused" />
  </FoldSection>
</template>
