<script setup lang="ts">
import { ArrowDown, ArrowUp, Trash2 } from '@lucide/vue'
import { computed, ref } from 'vue'
import { putCard, renameCard } from '@/actions/cards'
import { ownFaults, type Law } from '@/core/cards'
import type { OwnCard, OwnStep } from '@/core/domain'
import { useForecastStore } from '@/data/forecastStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { LIMITS } from '@/document'
import TextField from '@/parts/fields/TextField.vue'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import BrokenLaws from './BrokenLaws.vue'
import { useCards } from './useCards'
import { useCardWords } from './useCardWords'

/** Steps put earlier or later, dropped, or added in one's own words; what would break a law of the work is refused, and says which. */
const props = defineProps<{ card: OwnCard }>()
const forecast = useForecastStore()
const workspace = useWorkspaceStore()
const cards = useCards()
const words = useCardWords()
const refused = ref<Law[]>([])
const text = ref('')

const whole = computed(() => {
  const offer = cards.offers.value.find(({ kind }) => kind === props.card.kind)
  return offer ? cards.single(offer.kind, offer.about) : null
})
function wordsOf(step: OwnStep): string {
  if ('words' in step) return step.words
  const known = whole.value?.steps.find(({ id }) => id === step.step)
  return known && whole.value ? words.sentence(known, whole.value) : t.cards.own.elsewhereStep
}
/** Only what keeps to the laws on this rig is kept. */
function keep(steps: OwnStep[]) {
  const next = { ...props.card, steps }
  const faults = whole.value && forecast.rig ? ownFaults(whole.value, next, forecast.rig) : []
  refused.value = [...new Set(faults.map(({ law }) => law))]
  if (refused.value.length > 0 || steps.length === 0) return
  workspace.act(putCard(forecast.rig!.id, next))
}
function move(at: number, by: number) {
  const steps = [...props.card.steps]
  const [step] = steps.splice(at, 1)
  steps.splice(at + by, 0, step!)
  keep(steps)
}
const drop = (at: number) => {
  keep(props.card.steps.filter((_, k) => k !== at))
}
function add() {
  const said = text.value.trim().slice(0, LIMITS.noteLength).replace(/[<>]/g, '')
  if (said === '') return
  keep([...props.card.steps, { words: said }])
  if (refused.value.length === 0) text.value = ''
}
function rename(name: string) {
  return workspace.act(renameCard(forecast.rig!.id, { ...props.card, name }))
}
</script>

<template>
  <div class="mt-2 border-l-4 border-line pl-3" data-testid="own-editor">
    <TextField :label="t.cards.own.name" :value="card.name" :save="rename" class="max-w-md" />
    <BrokenLaws :title="t.cards.own.refused" :laws="refused" class="mt-2" data-testid="own-refused" />
    <ol class="mt-2">
      <li v-for="(step, k) in card.steps" :key="k" class="flex items-center gap-1 border-b border-line py-1">
        <span class="figure w-8 flex-none font-bold text-soft">{{ k + 1 }}</span>
        <span class="min-w-0 grow leading-snug" :class="'words' in step ? 'italic' : ''">{{
          wordsOf(step)
        }}</span>
        <AppButton
          kind="quiet"
          :disabled="k === 0"
          :aria-label="t.cards.own.up(wordsOf(step))"
          @click="move(k, -1)"
          ><ArrowUp :size="20" aria-hidden="true"
        /></AppButton>
        <AppButton
          kind="quiet"
          :disabled="k === card.steps.length - 1"
          :aria-label="t.cards.own.down(wordsOf(step))"
          @click="move(k, 1)"
          ><ArrowDown :size="20" aria-hidden="true"
        /></AppButton>
        <AppButton kind="quiet" :aria-label="t.cards.own.drop(wordsOf(step))" @click="drop(k)"
          ><Trash2 :size="20" aria-hidden="true"
        /></AppButton>
      </li>
    </ol>
    <form class="mt-2 flex flex-wrap items-end gap-3" @submit.prevent="add">
      <label class="min-w-0 grow">
        <span class="mb-1 block text-[0.92rem] font-semibold text-soft">{{ t.cards.own.add }}</span>
        <input
          v-model="text"
          class="h-11 w-full border-b-2 border-ink bg-card px-2 text-lg"
          :placeholder="t.cards.own.addHint"
        />
      </label>
      <AppButton @click="add">{{ t.cards.own.insert }}</AppButton>
    </form>
  </div>
</template>
