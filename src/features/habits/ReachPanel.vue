<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import ReachCurve from './ReachCurve.vue'
import ReachErrand from './ReachErrand.vue'
import ReachSet from './ReachSet.vue'
import { useReach } from './useReach'
import { setConfidence } from '@/actions/stay'
import { setFlushAnswer } from '@/actions/people'
import { nightsBetween } from '@/core/calendar'
import { useForecastStore } from '@/data/forecastStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import type { HabitSet } from '@/core/reach'
import { chanceWords } from '@/parts/risk/chanceWords'
import { formatDays, formatNumber } from '@/texts'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import AppChoices from '@/ui/AppChoices.vue'
import AppStepper from '@/ui/AppStepper.vue'

const forecast = useForecastStore()
const workspace = useWorkspaceStore()
const search = useReach()
const nights = ref(1)
watch(
  () => forecast.stay?.id,
  () => {
    const { stay } = forecast
    if (stay) nights.value = Math.max(1, nightsBetween(stay.start, stay.leaveAt))
  },
  { immediate: true },
)
const CONFIDENCES = ['0.8', '0.9', '0.95'] as const
const confidence = computed(() => String(forecast.stay?.confidence.value ?? 0.9))
const options = computed(() =>
  [...new Set([...CONFIDENCES, confidence.value])].map((value) => ({
    value,
    label: t.reach.times(formatNumber(Number(value) * 100, 0)),
  })),
)
function chooseSure(value: string) {
  workspace.act(setConfidence(forecast.stay!.id, Number(value)))
}

const isRunning = computed(() => search.state.value === 'running')
/** The answer in a sentence, once it is there. */
const answer = computed(() => {
  const { result, askedNights } = search
  const goal = result.value?.goal
  if (!result.value || goal === undefined) return null
  const asked = t.camp.nights(askedNights.value)
  if (goal) {
    return goal.habits.length === 0
      ? t.reach.already(asked)
      : t.reach.found(asked, formatNumber(goal.bother, 1), chanceWords(goal.chance))
  }
  const { most } = result.value
  if (!most) return null
  const stopper = forecast.model?.containers.find(({ id }) => id === result.value!.stopper)?.name
  const words = result.value.errand ? t.reach.none : t.reach.noneAtAll
  return words(asked, formatDays(most.days), stopper ?? '')
})
/** What something held back would buy: less bother where the nights are reached either way, else days. */
const heldBack = computed(() => {
  const { goal, most, heldBack: all = [] } = search.result.value ?? {}
  if (!most) return []
  const days = (set: HabitSet) =>
    t.reach.heldDays(set.isBeyond ? t.risk.beyond(formatDays(set.days)) : formatDays(set.days))
  const bother = (set: HabitSet) => t.reach.heldBother(formatNumber(set.bother, 1))
  return all.map((held) => ({
    by: held.by,
    text:
      goal && held.goal
        ? t.reach.held[held.by](bother(goal), bother(held.goal))
        : t.reach.held[held.by](days(most), days(held.most)),
  }))
})
function saveFlush() {
  workspace.act(setFlushAnswer(forecast.crew!.id, 'little'))
}
</script>

<template>
  <div data-testid="reach">
    <div class="flex flex-wrap items-end gap-x-6 gap-y-3">
      <AppStepper
        :value="nights"
        :text="t.camp.nights(nights)"
        :min="1"
        :max="60"
        :fewer="t.reach.fewer"
        :more="t.reach.more"
        @change="nights = $event"
      />
      <AppChoices :label="t.reach.confidence" :value="confidence" :options="options" @choose="chooseSure" />
      <!-- One and the same button, so that it keeps the focus when a search ends. -->
      <AppButton
        :kind="isRunning ? 'plain' : 'primary'"
        @click="isRunning ? search.stop() : search.start(nights)"
        >{{ isRunning ? t.reach.stop : t.reach.go }}</AppButton
      >
    </div>
    <p v-if="isRunning" class="mt-3 text-soft" role="status">
      {{ t.reach.working(search.result.value?.curve.length ?? 0) }}
    </p>
    <p v-else-if="search.state.value === 'stopped'" class="mt-3 text-soft" role="status">
      {{ t.reach.stopped }}
    </p>
    <p v-else-if="search.state.value === 'failed'" class="mt-3 font-semibold" role="alert">
      {{ t.reach.failed }}
    </p>
    <p
      v-if="answer"
      class="figure mt-3 max-w-[62ch] text-[1.4rem] leading-snug font-semibold"
      data-testid="reach-answer"
    >
      {{ answer }}
    </p>
    <ReachErrand v-if="search.result.value?.errand" :errand="search.result.value.errand" />
    <p v-if="search.result.value?.isTried" class="mt-1 text-soft">{{ t.runs.tried }}</p>
    <p v-if="search.isGone.value" class="mt-3 text-soft" role="status">{{ t.reach.gone }}</p>
    <ul
      v-if="heldBack.length > 0"
      class="mt-2 max-w-[62ch]"
      :aria-label="t.reach.heldTitle"
      data-testid="held-back"
    >
      <li v-for="held in heldBack" :key="held.by" class="flex flex-wrap items-center gap-x-3">
        <span>{{ held.text }}</span>
        <AppButton kind="quiet" @click="search.allowHold(held.by, saveFlush)">{{
          t.reach.allowHold[held.by]
        }}</AppButton>
      </li>
    </ul>
    <p v-if="search.isUnderFloor.value" class="flex flex-wrap items-center gap-x-3 text-soft">
      {{ t.reach.belowFloor }}
      <AppButton kind="quiet" @click="search.keepFloor()">{{ t.reach.keepFloor }}</AppButton>
    </p>
    <div
      v-if="search.result.value && search.result.value.curve.length > 0"
      class="mt-3 grid gap-x-12 gap-y-4 lg:grid-cols-[minmax(0,6fr)_minmax(0,5fr)]"
    >
      <ReachCurve
        :curve="search.result.value.curve"
        :goal="search.result.value.goal ?? null"
        :until-days="search.askedDays.value"
        :nights="search.askedNights.value"
        :picked="search.shown.value"
        @pick="search.pick($event)"
      />
      <ReachSet
        v-if="search.shown.value"
        :set="search.shown.value"
        :without="search.without.value"
        :taking="search.taking"
        @refuse="search.refuse($event)"
        @allow="search.allow($event)"
      />
    </div>
  </div>
</template>
