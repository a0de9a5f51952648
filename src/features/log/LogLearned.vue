<script setup lang="ts">
import { computed } from 'vue'
import { takeOver } from '@/actions/stay'
import { LEARNED } from '@/core/learn'
import type { TakenOver } from '@/core/domain'
import { daysByTakingOver, takeOverOf } from '@/core/underway'
import { useClockStore } from '@/data/clockStore'
import { useForecastStore } from '@/data/forecastStore'
import { useUnderWayStore } from '@/data/underWayStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { useAmounts } from '@/parts/useAmounts'
import { formatDays, formatNumber } from '@/texts'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'

/** What a use costs this crew: before and after, as ranges on one scale, and what is worth counting next. */
const forecast = useForecastStore()
const underWay = useUnderWayStore()
const workspace = useWorkspaceStore()
const clock = useClockStore()
const { volume } = useAmounts()

const rows = computed(() => {
  const { learned, planCase } = underWay
  if (!learned || !planCase) return []
  return planCase.crew.activities
    .map((activity, a) => ({ activity, ...learned.activities[a]! }))
    .filter(({ prior, activity }) => prior.high80 > 0 && activity.kind !== 'bowl-seal')
    .sort((a, b) => b.cut - a.cut)
    .map(({ activity, prior, posterior, cut, logged }) => {
      const span = Math.max(prior.high80, posterior.high80) * 1.05
      const x = (litres: number) => `${(100 * litres) / span}%`
      const bar = ({ low80, high80 }: typeof prior) => ({ left: x(low80), width: x(high80 - low80) })
      return {
        activity,
        isLearned: cut >= LEARNED,
        logged,
        now: volume(posterior.median),
        range: t.learned.range(volume(posterior.low80), volume(posterior.high80)),
        beforeRange: t.learned.range(volume(prior.low80), volume(prior.high80)),
        before: bar(prior),
        after: bar(posterior),
        median: x(posterior.median),
      }
    })
})
const next = computed(() => {
  const first = underWay.learned?.next[0]
  return first ? forecast.crew?.activities[first.activity] : undefined
})
const taken = computed(() => {
  const { learned, planCase } = underWay
  return learned && planCase
    ? takeOverOf(planCase, learned, clock.utcOf(learned.at))
    : new Map<string, TakenOver>()
})
/** Nothing new since it was taken over. */
const isTaken = computed(() => {
  const activities = forecast.crew?.activities ?? []
  return [...taken.value].every(([id, { factor }]) => {
    const known = activities.find((one) => one.id === id)?.learned
    return known != null && Math.abs(known.factor - factor) < 1e-9
  })
})
const days = computed(() => {
  const { planCase } = underWay
  if (!planCase || taken.value.size === 0) return null
  const { before, after } = daysByTakingOver(planCase, taken.value)
  const horizon = formatNumber(planCase.stay.horizonDays.value, 0)
  const words = (one: number | null) => (one === null ? t.risk.beyond(horizon) : formatDays(one))
  return t.learned.days(words(before), words(after))
})
function take() {
  workspace.act(takeOver(forecast.crew!.id, new Map(taken.value)))
}
</script>

<template>
  <p v-if="rows.length === 0" class="text-soft">
    {{ underWay.phase === 'planned' ? t.log.answer.planned : t.log.answer.nothing }}
  </p>
  <template v-else>
    <p class="text-soft">{{ t.learned.text }}</p>
    <ul class="mt-2">
      <li
        v-for="row in rows"
        :key="row.activity.id"
        class="grid min-w-0 grid-cols-1 items-center gap-x-6 gap-y-1 wrap-anywhere border-b border-line py-2 sm:grid-cols-[minmax(0,11rem)_minmax(0,1fr)_minmax(0,13rem)]"
        :data-testid="`learned-${row.activity.id}`"
      >
        <p class="leading-tight">
          <span class="font-bold">{{ row.activity.name }}</span>
          <span v-if="row.logged > 0" class="block text-[0.85rem] text-soft">{{
            t.learned.logged(row.logged)
          }}</span>
        </p>
        <div class="relative h-8" aria-hidden="true">
          <span class="absolute top-0.5 h-2 bg-(--faint)" :style="row.before" />
          <span
            class="absolute top-3.5 h-4 border-2 border-ink"
            :class="row.isLearned ? 'hatch-supply' : ''"
            :style="row.after"
          />
          <span class="absolute top-2 h-7 w-1 -translate-x-1/2 bg-ink" :style="{ left: row.median }" />
        </div>
        <p class="leading-tight">
          <span class="figure text-lg font-bold">{{ row.now }}</span>
          <span class="block text-[0.85rem] text-soft">
            {{ row.isLearned ? `${row.range}; ${t.learned.before} ${row.beforeRange}` : t.learned.unlearned }}
          </span>
        </p>
      </li>
    </ul>
    <p v-if="next" class="mt-3 font-semibold" data-testid="next-to-count">{{ t.learned.next(next.name) }}</p>
    <div class="mt-3 border-l-4 border-ink pl-3">
      <p class="max-w-[60ch] leading-snug">{{ t.learned.takeText }}</p>
      <p v-if="days" class="mt-1 font-semibold" data-testid="take-over-days">{{ days }}</p>
      <p v-if="taken.size === 0" class="mt-1 text-soft">{{ t.learned.nothing }}</p>
      <p v-else-if="isTaken" class="mt-1 font-semibold" role="status">{{ t.learned.takenAll }}</p>
      <AppButton v-else kind="primary" class="mt-2" @click="take">{{ t.learned.take }}</AppButton>
    </div>
  </template>
</template>
