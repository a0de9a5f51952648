<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core'
import { computed } from 'vue'
import * as t from '@/texts/t'
import { LEAST_WIDTH, tallyShape } from './tally'
import CountRange from './CountRange.vue'
import CountSentence from './CountSentence.vue'
import TallyMarks from './TallyMarks.vue'
import type { CountWords } from './useCountWords'
import type { RiskWords } from '@/parts/risk/useRiskWords'

const props = defineProps<{
  words: CountWords
  /** What the trips say: the figure is then what to plan on, and the average stands beside it. */
  risk?: RiskWords | null
  /** They are on their way: no other figure stands in their place meanwhile. */
  isComing?: boolean
  /** One column, for a place beside something else. */
  compact?: boolean
  /** The figure and its sentence alone, beside each other: for a phone. */
  isShort?: boolean
}>()
const roomForNights = computed(() => t.risk.nights(props.words.nights, t.risk.of100(50)))
/** With runs the chance to make all nights leads, and what to plan on stands second: it jumps with a run, the chance does not. */
const lead = computed(() => {
  const { runs, nights, isLeft, figure } = props.words
  const daysWord = (days: string) => (isLeft ? t.count.moreDays(days) : t.count.dryDays(days))
  if (props.risk && runs)
    return {
      label: t.count.chanceWith(runs.count),
      figure: props.risk.of100,
      unit: t.count.makeAll(nights, isLeft),
      isBeyond: false,
      is: 'make-all',
    }
  if (props.risk)
    return {
      label: t.risk.planOn,
      figure: props.risk.figure,
      unit: daysWord(props.risk.figure),
      isBeyond: props.risk.planOn.isBeyond,
      is: 'plan-on',
    }
  if (props.isComing) {
    const label = runs ? t.count.chanceWith(runs.count) : t.risk.planOn
    const unit = runs ? t.count.makeAll(nights, isLeft) : daysWord('2')
    return { label, figure: t.count.comingFigure, unit, isBeyond: false, is: 'coming' }
  }
  return {
    label: runs ? t.count.averageWith(runs.count) : t.count.onAverageYouHave,
    figure,
    unit: daysWord(figure),
    isBeyond: props.words.isBeyond,
    is: 'count-days',
  }
})
/** Under way the levels and the keys want their room on a phone. */
const figureSize = computed(() => {
  if (props.isShort) return 'text-[5.2rem]'
  if (props.compact) return 'text-[5rem] lg:text-[9.6rem]'
  return props.words.isLeft ? 'text-[5.4rem] sm:text-[9.6rem]' : 'text-[7.4rem] sm:text-[9.6rem]'
})
const wide = useMediaQuery('(min-width: 40rem)')
const perRow = computed(() => (wide.value ? 6 : 3))
/** A stroke is as large for three nights as for twelve; only long stays shrink. */
const tallyWidth = computed(() => {
  const { width } = tallyShape(props.words.ends, null, perRow.value)
  return `min(100%, ${(Math.max(LEAST_WIDTH, width) * (wide.value ? 1.25 : 1.1)) / 17}rem)`
})
</script>

<template>
  <section
    class="items-center"
    :class="
      isShort
        ? 'flex flex-wrap gap-x-4'
        : ['grid gap-x-14 gap-y-3', compact ? '' : 'lg:grid-cols-[auto_minmax(0,1fr)]']
    "
    aria-labelledby="the-count"
    aria-live="off"
  >
    <div>
      <h2 id="the-count" class="text-[0.95rem] font-semibold text-soft">
        {{ lead.label }}
      </h2>
      <p :class="isShort ? '' : 'flex flex-wrap items-end gap-x-3'" :aria-busy="lead.is === 'coming'">
        <span v-if="lead.isBeyond" class="figure pb-2 text-2xl font-semibold">{{ t.count.beyond('') }}</span>
        <span
          :data-testid="lead.is"
          class="figure leading-[0.86] font-extrabold tracking-[-0.045em]"
          :class="[figureSize, lead.is === 'coming' ? 'inline-block min-w-[1.45em] text-faint' : '']"
          >{{ lead.figure }}</span
        >
        <span
          class="figure font-semibold"
          :class="
            isShort
              ? 'block max-w-[9rem] pt-1 text-base leading-tight'
              : [
                  'pb-1.5 text-2xl leading-[1.05] sm:pb-3 sm:text-[1.7rem]',
                  lead.is === 'make-all' || words.runs ? 'max-w-[9.5ch]' : '',
                ]
          "
          >{{ lead.unit }}</span
        >
      </p>
      <p
        v-if="!compact && !isShort && !words.isLeft"
        class="mt-1 max-w-[34ch] text-[0.9rem] leading-snug text-soft"
      >
        {{ words.runs ? t.count.explainedRuns : t.count.explained }}
      </p>
    </div>
    <div class="min-w-0" :class="isShort ? 'grow basis-40' : ''">
      <CountSentence :words="words" :risk="risk" :is-coming="isComing" :is-small="isShort"
        ><slot
      /></CountSentence>
      <CountRange v-if="risk && !isShort" :words="words" :risk="risk" class="mt-1" />
      <!-- As much room as the chances will take, so that nothing moves when they arrive. -->
      <p v-else-if="isComing && !isShort" class="invisible mt-1 text-lg leading-snug" aria-hidden="true">
        0.0 {{ t.risk.rest('0.0', '0.0') }} <span class="font-semibold">{{ roomForNights }}</span>
      </p>
      <p
        v-if="words.runs && !isShort"
        class="mt-1 min-h-[1.6rem] text-lg leading-snug text-soft"
        data-testid="count-dry"
      >
        {{ words.runs.dry }}
      </p>
      <TallyMarks
        v-if="!isShort"
        :ends="words.ends"
        :days="risk ? (risk.planOn.isBeyond ? null : risk.planOn.days) : words.days"
        :sure="!risk && isComing ? 0 : null"
        :per-row="perRow"
        :marks="risk ? { ...words.marks, stop: risk.plannedStop?.mark ?? null } : words.marks"
        class="mt-3 -ml-1 h-auto"
        :class="compact ? 'max-lg:hidden' : words.isLeft ? 'max-sm:hidden' : ''"
        :style="{ width: tallyWidth }"
      />
      <slot name="below" />
    </div>
  </section>
</template>
