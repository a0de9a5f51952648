<script setup lang="ts">
import { useSpeechSynthesis } from '@vueuse/core'
import { computed, onBeforeUnmount, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { isRunning, progressOf, stepAt, stopWalk, walked } from '@/core/cards'
import { useWalkStore } from '@/data/walkStore'
import PageHead from '@/parts/PageHead.vue'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import AppDialog from '@/ui/AppDialog.vue'
import { useHold } from '@/ui/useHold'
import CardParts from './CardParts.vue'
import FinishForm from './FinishForm.vue'
import { firstSentence, useCardWords } from './useCardWords'
import { useStayAwake } from '@/ui/useStayAwake'
import WalkStep from './WalkStep.vue'
import WalkTally from './WalkTally.vue'

/** One step at a time: the next one anywhere on the screen, a hold where it matters, and three ways out. */
const router = useRouter()
const walk = useWalkStore()
const words = useCardWords()
const kept = computed(() => walk.current)
const card = computed(() => kept.value?.walk.cards[kept.value.walk.card] ?? null)
const step = computed(() => (kept.value ? stepAt(kept.value.walk) : null))
const isOver = computed(() => kept.value !== null && step.value === null)
const isFinishing = ref(false)
const isStopping = computed(() => kept.value?.walk.stoppedAt != null && !isFinishing.value)
const mishap = ref<keyof typeof t.mishaps | null>(null)
const isWhole = ref(false)
const surface = ref<HTMLElement | null>(null)
const next = () => {
  mishap.value = null
  walk.act({ do: 'next', at: Date.now() })
}
const { share, press } = useHold(surface, () => step.value?.holds ?? false, next)
const spoken = computed(() => (step.value && card.value ? words.sentence(step.value, card.value) : ''))
const speech = useSpeechSynthesis(spoken, { lang: 'en' })
/** Each step is read aloud as it comes; off until somebody asks for it. */
const isSpoken = ref(false)
function speak(on: boolean) {
  isSpoken.value = on
  speech.stop()
  if (on) speech.speak()
}
onBeforeUnmount(() => speech.isSupported.value && speech.stop())
const { isHeld } = useStayAwake(() => kept.value !== null && isRunning(kept.value.walk))
watch(step, () => {
  mishap.value = null
  window.scrollTo({ top: 0 })
  if (isSpoken.value) speak(step.value !== null)
})
const safe = computed(() =>
  (kept.value ? stopWalk(kept.value.walk) : []).map(({ safe: one, tank }) => {
    const say = t.safeSteps[one]
    return typeof say === 'string' ? say : say(words.tank(tank)?.name ?? '')
  }),
)
/** How far through all parts. */
const place = computed(() => {
  if (!kept.value || !card.value) return null
  const { at, all } = progressOf(kept.value.walk)
  return { at, all, share: (at - 1) / all }
})
/** What comes after this step, in its first words. */
const then = computed(() => {
  if (!kept.value) return ''
  const after = walked(kept.value.walk, { do: 'next', at: 0 })
  const coming = stepAt(after)
  const of = after.cards[after.card]
  if (!coming || !of) return t.cards.doneTitle
  return firstSentence(words.pieces(coming, of))
    .act.map(({ text }) => text)
    .join('')
})
function stop() {
  isFinishing.value = false
  walk.act({ do: 'stop', at: Date.now() })
}
/** What it came to, and the new count, stand on Camp. */
function leave(isLogged: boolean) {
  if (isLogged) walk.ended()
  else walk.discard()
  void router.push(isLogged ? '/' : '/cards')
}
</script>

<template>
  <div v-if="!kept && !walk.isRead" class="min-h-dvh" aria-busy="true" />
  <div v-else-if="!kept">
    <PageHead :title="t.cards.title" :lead="t.cards.lead" />
    <RouterLink
      to="/cards"
      class="inline-grid min-h-11 place-items-center bg-ink px-4 font-semibold text-paper"
      >{{ t.cards.back }}</RouterLink
    >
  </div>
  <FinishForm
    v-else-if="isOver || isFinishing"
    :kept="kept"
    @leave="leave"
    @back="((isFinishing = false), walk.act({ do: 'back' }))"
  />
  <div v-else-if="isStopping" class="max-w-2xl py-6" data-testid="stopped">
    <h1 class="text-3xl leading-tight font-extrabold">{{ t.cards.stopTitle }}</h1>
    <ol v-if="safe.length > 0" class="mt-4 border-t-2 border-ink">
      <li
        v-for="(line, k) in safe"
        :key="k"
        class="grid grid-cols-[2.2rem_minmax(0,1fr)] border-b border-line py-3 text-2xl leading-snug font-bold"
      >
        <span class="figure text-soft">{{ k + 1 }}</span><span>{{ line }}</span>
      </li>
    </ol>
    <p v-else class="mt-4 text-2xl">{{ t.cards.stopNothing }}</p>
    <div class="mt-6 flex flex-wrap gap-3">
      <AppButton kind="primary" class="min-h-14 px-6" @click="walk.act({ do: 'go-on' })">{{
        t.cards.goOn
      }}</AppButton>
      <AppButton class="min-h-14" @click="isFinishing = true">{{ t.cards.finishHere }}</AppButton>
    </div>
  </div>
  <div
    v-else-if="step && card && place"
    ref="surface"
    class="flex min-h-dvh touch-manipulation flex-col select-none"
    data-testid="walk"
    :data-step="step.id"
  >
    <div class="flex flex-wrap items-start justify-between gap-x-3 border-b-2 border-ink pt-3 pb-2">
      <h1 class="text-lg leading-tight font-bold">{{ words.title(card) }}</h1>
      <AppButton kind="quiet" class="-mt-2 -mr-1 flex-none" @click="isWhole = true">{{
        t.cards.glance
      }}</AppButton>
    </div>
    <div class="mt-3 flex items-end justify-between gap-3">
      <WalkTally :at="place.at" :all="place.all" />
      <p class="figure flex-none font-bold text-soft" data-testid="walk-place">
        {{ t.cards.step(place.at, place.all) }}
      </p>
    </div>
    <WalkStep
      :kept="kept"
      :card="card"
      :step="step"
      :is-awake="isHeld"
      class="max-w-3xl grow pt-4 pb-4 lg:max-w-6xl"
    />
    <div class="-ml-1 flex flex-wrap gap-x-4 pb-2">
      <AppButton v-for="one in step.mishaps" :key="one" kind="quiet" @click="mishap = one">{{
        t.mishaps[one].ask
      }}</AppButton>
      <AppButton kind="quiet" data-testid="stop-safely" @click="stop">{{ t.cards.stop }}</AppButton>
      <AppButton
        v-if="speech.isSupported.value"
        kind="quiet"
        :aria-pressed="isSpoken"
        data-testid="read-aloud"
        @click="speak(!isSpoken)"
        >{{ isSpoken ? t.cards.readingAloud : t.cards.readAloud }}</AppButton
      >
      <AppButton v-if="place.at > 1" kind="quiet" @click="walk.act({ do: 'back' })">{{
        t.cards.previous
      }}</AppButton>
    </div>
    <button
      type="button"
      :class="[
        'sticky bottom-0 min-h-[min(6rem,25dvh)] max-w-none overflow-hidden bg-ink pt-3 pb-4 text-left text-paper',
        '-mx-4 w-[calc(100%+2rem)] px-5 sm:-mx-8 sm:w-[calc(100%+4rem)] sm:px-8',
      ]"
      data-testid="walk-next"
      v-on="press"
    >
      <span
        v-if="step.holds"
        class="absolute inset-y-0 left-0 bg-paper/30"
        :style="{ width: `${share * 100}%` }"
        aria-hidden="true"
      />
      <span class="font-display relative block text-[min(1.875rem,10vw)] leading-tight font-bold">{{
        step.holds ? t.cards.hold : t.cards.tap
      }}</span>
      <span v-if="then" class="relative line-clamp-2 text-[min(1.125rem,6vw)] leading-snug opacity-85">{{
        t.cards.then(then)
      }}</span>
    </button>
    <AppDialog :open="isWhole" :title="words.title(card)" :close-label="t.why.close" @close="isWhole = false">
      <CardParts :parts="[card]" />
    </AppDialog>
    <AppDialog
      :open="mishap !== null"
      :title="mishap ? t.mishaps[mishap].ask : ''"
      :close-label="t.why.close"
      @close="mishap = null"
    >
      <ol v-if="mishap" class="mt-2" data-testid="mishap-steps">
        <li
          v-for="(line, k) in t.mishaps[mishap].do"
          :key="k"
          class="grid grid-cols-[2rem_minmax(0,1fr)] border-b border-line py-2.5 text-xl leading-snug font-semibold"
        >
          <span class="figure text-soft">{{ k + 1 }}</span><span>{{ line }}</span>
        </li>
      </ol>
    </AppDialog>
  </div>
</template>
