<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import ReachCurve from './ReachCurve.vue'
import ReachSet from './ReachSet.vue'
import { useReach } from './useReach'
import { nightsBetween } from '@/core/calendar'
import { useForecastStore } from '@/data/forecastStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { fromSource } from '@/core/quantities'
import { stayOf } from '@/document/edits'
import { chanceWords } from '@/parts/risk/chanceWords'
import { formatDays, formatNumber, t } from '@/texts'
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
function setConfidence(value: string) {
  const { id } = forecast.stay!
  workspace.edit(
    'stay',
    (draft) => void (stayOf(draft, id).confidence = fromSource(Number(value), 'rule-of-thumb')),
  )
}

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
  const best = result.value.curve.at(-1)!
  const stopper = forecast.model?.containers.find(({ id }) => id === result.value!.stopper)?.name
  return t.reach.none(asked, formatDays(best.days), stopper ?? '')
})
</script>

<template>
  <section class="border-y-2 border-ink py-4" aria-labelledby="reach" data-testid="reach">
    <h2 id="reach" class="text-xl font-bold">{{ t.reach.title }}</h2>
    <div class="mt-2 flex flex-wrap items-end gap-x-6 gap-y-3">
      <AppStepper
        :value="nights"
        :text="t.camp.nights(nights)"
        :min="1"
        :max="60"
        :fewer="t.reach.fewer"
        :more="t.reach.more"
        @change="nights = $event"
      />
      <AppChoices
        :label="t.reach.confidence"
        :value="confidence"
        :options="options"
        @choose="setConfidence"
      />
      <AppButton v-if="search.state.value !== 'running'" kind="primary" @click="search.start(nights)">{{
        t.reach.go
      }}</AppButton>
      <AppButton v-else @click="search.stop()">{{ t.reach.stop }}</AppButton>
    </div>
    <p v-if="search.state.value === 'running'" class="mt-3 text-soft" role="status">
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
    <p v-if="search.isStale.value && search.result.value" class="mt-1 font-semibold" role="status">
      {{ t.reach.stale }}
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
        :picked="search.picked.value"
        @pick="search.pick($event)"
      />
      <ReachSet
        v-if="search.picked.value"
        :set="search.picked.value"
        :without="search.without.value"
        @refuse="search.refuse($event)"
        @allow="search.allow($event)"
      />
    </div>
  </section>
</template>
