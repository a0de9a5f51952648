<script setup lang="ts">
import { computed, ref } from 'vue'
import {
  cassetteAt,
  isAtCassette,
  isAtOutlet,
  keyOf,
  outletAt,
  underHand,
  type Card,
  type CardQuantity,
  type CardStep,
} from '@/core/cards'
import { useForecastStore } from '@/data/forecastStore'
import { useWalkStore, type KeptWalk } from '@/data/walkStore'
import CassettePicture from '@/parts/outlet/CassettePicture.vue'
import OutletPicture from '@/parts/outlet/OutletPicture.vue'
import PanelMarks from './PanelMarks.vue'
import * as t from '@/texts/t'
import AppStepper from '@/ui/AppStepper.vue'
import CardWords from './CardWords.vue'
import NumberWhy from './NumberWhy.vue'
import { useCardWords } from './useCardWords'
import WalkTimer from './WalkTimer.vue'

/** One step in the largest type: the act, its numbers, the caution, its clock and its tally. */
const props = defineProps<{ kept: KeptWalk; card: Card; step: CardStep; isAwake: boolean }>()
const walk = useWalkStore()
const words = useCardWords()
const asked = ref<CardQuantity | null>(null)
const usual = computed(() => props.step.numbers.find(({ id }) => id === props.step.tally) ?? null)
const count = computed(() => props.kept.walk.tallies[keyOf(props.kept.walk.card, props.kept.walk.step)] ?? 0)
const DIALS = ['rinse.meter', 'top-up.hose', 'fresh.fill']
const dial = computed(() =>
  DIALS.includes(props.step.id)
    ? (props.step.numbers.find(({ unit }) => unit === 'volume' || unit === 'level') ?? null)
    : null,
)
const forecast = useForecastStore()
const outlet = computed(() => {
  const now = underHand(props.kept.walk)
  return forecast.rig && now && isAtOutlet(props.step) ? outletAt(now.card, forecast.rig, now.upTo) : null
})
const cassette = computed(() => {
  const now = underHand(props.kept.walk)
  return forecast.rig && now && isAtCassette(props.step) ? cassetteAt(now.card, forecast.rig, now.upTo) : null
})
const isPanel = computed(() => props.step.acts.some(({ act }) => act === 'read-before'))
</script>

<template>
  <!-- On a wide screen the picture stands beside the words. -->
  <div
    class="content-start"
    :class="{ 'lg:grid lg:grid-cols-[minmax(0,1fr)_28rem] lg:gap-x-10': outlet || cassette }"
  >
    <div>
      <p v-if="step.by" class="mb-2" data-testid="whose">
        <span class="border-2 border-ink px-2 py-0.5 text-lg font-bold">{{ t.cards.whose[step.by] }}</span>
      </p>
      <p
        class="font-display text-[min(2.5rem,13vw)] leading-[1.04] font-extrabold tracking-tight sm:text-5xl"
        data-testid="step-words"
      >
        <CardWords :step="step" :card="card" part="act" asks @why="asked = $event" />
      </p>
      <p class="mt-3 max-w-[36rem] text-[min(1.35rem,9vw)] leading-snug">
        <CardWords :step="step" :card="card" part="rest" asks @why="asked = $event" />
      </p>
      <ul
        v-if="step.cautions.length > 0"
        class="mt-4 grid max-w-[36rem] gap-2 border-2 border-ink bg-card p-3"
      >
        <li
          v-for="caution in step.cautions"
          :key="caution"
          class="grid grid-cols-[1.4rem_minmax(0,1fr)] text-[min(1.125rem,8vw)] leading-snug"
        >
          <span class="figure text-2xl leading-none font-extrabold" aria-hidden="true">!</span
          ><span>{{ t.cardCautions[caution] }}</span>
        </li>
      </ul>
    </div>
    <OutletPicture v-if="outlet" :state="outlet" class="mt-4 lg:col-start-2 lg:row-span-2 lg:row-start-1" />
    <CassettePicture
      v-if="cassette"
      :state="cassette"
      class="mt-4 lg:col-start-2 lg:row-span-2 lg:row-start-1"
    />
    <div>
      <p v-if="dial" class="mt-5 flex items-baseline gap-3" data-testid="dial">
        <span class="text-lg font-semibold text-soft">{{ t.cards.meter }}</span>
        <span class="figure text-6xl leading-none font-extrabold">{{ words.quantity(dial, step) }}</span>
      </p>
      <WalkTimer
        v-if="step.timer"
        :key="step.id"
        :kept="kept"
        :step="step"
        :is-awake="isAwake"
        class="mt-5"
      />
      <div v-if="usual" class="mt-5" data-testid="tally">
        <AppStepper
          :value="count"
          :text="t.cards.tally(count, words.quantity(usual, step))"
          :min="0"
          :max="60"
          :fewer="t.cards.oneLess"
          :more="t.cards.oneMore"
          @change="walk.act({ do: 'tally', by: $event > count ? 1 : -1 })"
        />
      </div>
      <PanelMarks
        v-if="isPanel"
        :seen="kept.before"
        class="mt-5"
        @choose="(tank, lit) => walk.readBefore(tank, lit)"
      />
      <NumberWhy :quantity="asked" :step="step" @close="asked = null" />
    </div>
  </div>
</template>
