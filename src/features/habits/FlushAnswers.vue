<script setup lang="ts">
import { computed } from 'vue'
import FlushPlot from './FlushPlot.vue'
import { setFlushFloor, setFlushHabit, setFlushAnswer } from '@/actions/people'
import { flushKept, flushAnswers, rinsesFor } from '@/core/habits'
import { type Crew, type FlushHabits, type FlushAnswer } from '@/core/domain'
import { useAdviceStore } from '@/data/adviceStore'
import { useForecastStore } from '@/data/forecastStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { LIMITS } from '@/document'
import { chanceWords } from '@/parts/risk/chanceWords'
import QuantityField from '@/parts/fields/QuantityField.vue'
import { useAmounts } from '@/parts/useAmounts'
import { formatNumber } from '@/texts'
import * as t from '@/texts/t'
import AppChoices from '@/ui/AppChoices.vue'

const props = defineProps<{ crew: Crew }>()
const advice = useAdviceStore()
const forecast = useForecastStore()
const workspace = useWorkspaceStore()
const { volume } = useAmounts()
/** A range is not known to a centilitre. */
const rough = (litres: number) => volume(Math.round(litres * 10) / 10)
advice.follow('flush')

const points = computed(() => (forecast.stayCase ? flushAnswers(forecast.stayCase, forecast.stayParts) : []))
const kept = computed(() => flushKept(props.crew))
const now = computed(() => advice.flush.find(({ habit }) => habit === null)?.range ?? null)
const rows = computed(() =>
  advice.flush.map(({ habit, range }) => ({
    key: habit ?? '',
    name:
      habit === null ? t.flush.now : (workspace.document.habits.find(({ id }) => id === habit)?.name ?? ''),
    range: t.chart.range(rough(range.low), rough(range.high)),
    isUnder: range.likely < kept.value - 1e-9,
    mound: range.under === 0 ? t.flush.noMound : t.flush.mound(chanceWords(range.under)),
    rinses: t.flush.rinses(formatNumber(rinsesFor(props.crew, range.likely), 1)),
  })),
)
const sentence = computed(() => {
  if (!now.value) return null
  const words = now.value.likely < kept.value ? t.flush.under : t.flush.over
  return words(rough(now.value.low), rough(now.value.high), volume(kept.value))
})
const QUESTIONS = (['plenty', 'little'] as const).map((value) => ({ value, label: t.flush.schools[value] }))

function setSchool(school: FlushAnswer) {
  workspace.act(setFlushAnswer(props.crew.id, school))
}
const set = (key: Exclude<keyof FlushHabits, 'school'>) => (value: number) =>
  workspace.act(setFlushHabit(props.crew.id, key, value))
</script>

<template>
  <div v-if="points.length > 0" data-testid="flush-sides">
    <p class="mt-1 max-w-[70ch] text-lg leading-snug" data-testid="flush-floor">
      {{ sentence ?? (advice.hasFailed ? t.sure.failed : t.sure.working) }}
    </p>
    <div class="mt-3 grid gap-x-12 gap-y-5 lg:grid-cols-2">
      <FlushPlot :points="points" :crew="crew" :now="now" />
      <div class="min-w-0">
        <AppChoices
          :label="t.flush.school"
          :value="crew.flush.school"
          :options="QUESTIONS"
          @choose="setSchool"
        />
        <p class="mt-1 text-[0.95rem] leading-snug text-soft">{{ t.flush.why[crew.flush.school] }}</p>
        <table class="mt-3 w-full text-left wrap-anywhere">
          <caption class="sr-only">
            {{ t.flush.title }}
          </caption>
          <thead>
            <tr class="border-b-2 border-ink text-[0.95rem]">
              <th class="py-1 pr-3">{{ t.flush.way }}</th>
              <th class="py-1 pr-3">{{ t.flush.liquid }}</th>
              <th class="py-1">{{ t.flush.price }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="row in rows" :key="row.key" class="border-b border-line align-top leading-snug">
              <th class="py-1.5 pr-3" :class="row.key === '' ? 'font-bold' : 'font-normal'">
                {{ row.name }}
              </th>
              <td class="figure py-1.5 pr-3" :class="row.isUnder ? 'font-bold' : ''">
                {{ row.isUnder ? '▲ ' : '' }}{{ row.range }}
              </td>
              <td class="py-1.5">{{ row.rinses }}, {{ row.mound }}</td>
            </tr>
          </tbody>
        </table>
        <div class="mt-4 grid grid-cols-2 gap-4">
          <QuantityField
            :label="t.habits.floorField"
            :value="crew.flushFloor.value"
            dimension="volume"
            :min="0"
            :max="LIMITS.volumeL.max"
            :save="(litres) => workspace.act(setFlushFloor(crew.id, litres))"
          />
          <QuantityField
            :label="t.flush.plenty"
            :value="crew.flush.plenty.value"
            dimension="volume"
            :min="0"
            :max="LIMITS.volumeL.max"
            :save="set('plenty')"
          />
          <QuantityField
            :label="t.flush.rinsesAtFloor"
            :value="crew.flush.rinsesAtFloor.value"
            dimension="number"
            :min="0"
            :max="LIMITS.rinses.max"
            :save="set('rinsesAtFloor')"
          />
          <QuantityField
            :label="t.flush.rinsesAtPlenty"
            :value="crew.flush.rinsesAtPlenty.value"
            dimension="number"
            :min="0"
            :max="LIMITS.rinses.max"
            :save="set('rinsesAtPlenty')"
          />
        </div>
      </div>
    </div>
  </div>
</template>
