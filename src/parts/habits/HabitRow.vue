<script setup lang="ts">
import { computed } from 'vue'
import type { Blocked } from '@/core/habits'
import type { Habit } from '@/core/domain'
import { useSettingsStore } from '@/data/settingsStore'
import BotherMarks from '@/parts/BotherMarks.vue'
import { useWhyStore } from '@/parts/why/whyStore'
import { formatQuantity, formatSigned } from '@/texts'
import * as t from '@/texts/t'
import AppSwitch from '@/ui/AppSwitch.vue'

const props = defineProps<{
  habit: Habit
  on: boolean
  days: number
  /** Days bought to plan on, where they are known: they are what counts, and the average stands below. */
  planOn?: number | null
  /** What it buys to plan on is of the stay before the newest edit, and on its way. */
  isBehind?: boolean
  /** What it buys to plan on could not be worked out. */
  isLost?: boolean
  atLeast: boolean
  blockedBy: Blocked | null
}>()
defineEmits<{ toggle: [on: boolean] }>()
const why = useWhyStore()
const settings = useSettingsStore()

const shown = computed(() => props.planOn ?? props.days)
/** Never an average where days to plan on will stand. */
const isComing = computed(() => props.planOn === null)
const gain = computed(() => {
  if (isComing.value) return props.isLost ? '–' : t.count.comingFigure
  const text = formatSigned(shown.value)
  return props.atLeast && shown.value !== 0 ? t.camp.atLeast(text) : text
})
/** When in the day it can be kept up, in a few words. */
const limits = computed(() => {
  const { parts, daylight, lowest } = props.habit.when
  return [
    ...(parts ?? []).map((part) => t.parts[part]),
    ...(daylight ? [t.habitRow.daylight] : []),
    ...(lowest ? [t.habitRow.lowest(formatQuantity(lowest.value, 'temperature', settings.units))] : []),
  ].join(', ')
})
</script>

<template>
  <li
    :data-anchor="`habit-${habit.id}`"
    class="grid grid-cols-[2.75rem_minmax(0,1fr)_auto] items-start gap-x-2 border-b border-line py-2"
    :data-testid="`habit-${habit.id}`"
  >
    <AppSwitch
      v-if="blockedBy === null"
      :on="on"
      :label="habit.name"
      :described-by="`note-${habit.id}`"
      class="-ml-2"
      @change="$emit('toggle', $event)"
    />
    <svg v-else viewBox="0 0 28 28" class="mt-2 h-7 w-7" role="img" :aria-label="t.habitRow.blocked">
      <rect
        x="2"
        y="2"
        width="24"
        height="24"
        fill="none"
        stroke="var(--soft)"
        stroke-width="2.5"
        stroke-dasharray="4 4"
      />
      <path d="M8 14h12" stroke="var(--soft)" stroke-width="3" />
    </svg>
    <div class="pt-1.5">
      <p class="leading-tight font-bold">{{ habit.name }}</p>
      <p :id="`note-${habit.id}`" class="text-[0.95rem] leading-snug text-soft">
        {{ habit.note }}<template v-if="limits !== ''"> ({{ limits }})</template>
      </p>
      <slot />
    </div>
    <div class="pt-1.5 text-right">
      <button
        type="button"
        :aria-label="`${gain} d. ${t.habitRow.why(habit.name)}`"
        class="figure min-h-8 text-xl leading-tight font-bold whitespace-nowrap"
        :class="!isComing && shown > 0.05 && !(isBehind && planOn != null) ? 'text-sage' : 'text-soft'"
        :aria-busy="isBehind && planOn != null"
        @click="why.ask({ kind: 'habit', habit: habit.id })"
      >
        {{ gain }} <span class="text-base font-semibold">d</span>
      </button>
      <p v-if="planOn !== undefined" class="text-[0.85rem] leading-tight text-soft">
        {{ t.habitRow.average(formatSigned(days)) }}
      </p>
      <BotherMarks :bother="habit.bother.value" class="mt-0.5 ml-auto" />
    </div>
  </li>
</template>
