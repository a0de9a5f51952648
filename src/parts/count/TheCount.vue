<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core'
import { computed } from 'vue'
import * as t from '@/texts/t'
import { LEAST_WIDTH, tallyShape } from './tally'
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
    class="grid items-center gap-x-14 gap-y-3"
    :class="compact ? '' : 'lg:grid-cols-[auto_minmax(0,1fr)]'"
    aria-labelledby="the-count"
    aria-live="off"
  >
    <div>
      <h2 id="the-count" class="text-[0.95rem] font-semibold text-soft">
        {{ lead.label }}
      </h2>
      <p class="flex items-end gap-3" :aria-busy="lead.is === 'coming'">
        <span v-if="lead.isBeyond" class="figure pb-2 text-2xl font-semibold">{{ t.count.beyond('') }}</span>
        <span
          :data-testid="lead.is"
          class="figure leading-[0.86] font-extrabold tracking-[-0.045em]"
          :class="[figureSize, lead.is === 'coming' ? 'text-faint' : '']"
          >{{ lead.figure }}</span
        >
        <span
          class="figure pb-1.5 text-2xl leading-[1.05] font-semibold sm:pb-3 sm:text-[1.7rem]"
          :class="lead.is === 'make-all' || words.runs ? 'max-w-[9.5ch]' : ''"
          >{{ lead.unit }}</span
        >
      </p>
      <p v-if="!compact && !words.isLeft" class="mt-1 max-w-[34ch] text-[0.9rem] leading-snug text-soft">
        {{ words.runs ? t.count.explainedRuns : t.count.explained }}
      </p>
    </div>
    <div class="min-w-0">
      <CountSentence :words="words" is-average><slot /></CountSentence>
      <p v-if="risk" class="mt-1 text-lg leading-snug" data-testid="count-range">
        <template v-if="words.runs">
          <span class="font-semibold"
            >{{ t.risk.planOn }} <span data-testid="plan-on" class="figure font-bold">{{ risk.figure }}</span>
            {{ words.isLeft ? t.count.moreDays(risk.figure) : t.count.holds(risk.figure) }}</span
          >;
        </template>
        <span data-testid="count-days" class="figure font-bold">{{ words.figure }}</span>
        {{ t.risk.rest(risk.likely, risk.best) }}
        <span v-if="!words.runs" class="font-semibold">{{ risk.nights }}</span>
      </p>
      <!-- As much room as the chances will take, so that nothing moves when they arrive. -->
      <p v-else-if="isComing" class="invisible mt-1 text-lg leading-snug" aria-hidden="true">
        0.0 {{ t.risk.rest('0.0', '0.0') }} <span class="font-semibold">{{ roomForNights }}</span>
      </p>
      <p v-if="words.runs" class="mt-1 min-h-[1.6rem] text-lg leading-snug text-soft" data-testid="count-dry">
        {{ words.runs.dry }}
      </p>
      <TallyMarks
        :ends="words.ends"
        :days="words.days"
        :sure="risk ? risk.planOn.days : null"
        :per-row="perRow"
        :marks="words.marks"
        class="mt-3 -ml-1 h-auto"
        :class="compact ? 'max-lg:hidden' : words.isLeft ? 'max-sm:hidden' : ''"
        :style="{ width: tallyWidth }"
      />
      <slot name="below" />
    </div>
  </section>
</template>
