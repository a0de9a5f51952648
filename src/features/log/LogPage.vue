<script setup lang="ts">
import { computed } from 'vue'
import LogCounted from './LogCounted.vue'
import LogCsv from './LogCsv.vue'
import LogLearned from './LogLearned.vue'
import LogList from './LogList.vue'
import LogShakedown from './LogShakedown.vue'
import LogTwice from './LogTwice.vue'
import { useLogAnswers } from './useLogAnswers'
import { useForecastStore } from '@/data/forecastStore'
import { useLogStore } from '@/data/logStore'
import { useUnderWayStore } from '@/data/underWayStore'
import FoldSection from '@/parts/FoldSection.vue'
import FoldedSections from '@/parts/FoldedSections.vue'
import LogDialogs from '@/parts/log/LogDialogs.vue'
import LogKeys from '@/parts/log/LogKeys.vue'
import PanelAndCount from '@/parts/log/PanelAndCount.vue'
import NoStay from '@/parts/NoStay.vue'
import { dayAndTime, formatCount } from '@/texts'
import { useDialogs } from '@/parts/log/useDialogs'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'

/** What happened, what it cost, what was learned. */
const forecast = useForecastStore()
const underWay = useUnderWayStore()
const log = useLogStore()
const answers = useLogAnswers()
const { shown: dialog, open } = useDialogs()
const head = computed(() => {
  const last = log.entries.at(-1)
  return last ? t.log.head(formatCount(log.entries.length), dayAndTime(last.at)) : t.log.headNone
})
const sections = [
  { id: 'learned', title: t.learned.title },
  { id: 'agreement', title: t.agreement.title },
  { id: 'counted', title: t.learned.counted },
  { id: 'shakedown', title: t.shakedown.title },
  { id: 'csv', title: t.log.csv.title },
]
</script>

<template>
  <NoStay v-if="!forecast.stay || !forecast.crew" :title="t.log.title" />
  <div v-else>
    <div class="flex flex-wrap items-baseline justify-between gap-x-6 pt-5 pb-2">
      <h1 class="text-3xl font-extrabold tracking-tight sm:text-4xl">{{ t.log.title }}</h1>
      <p class="text-soft" data-testid="log-head">{{ head }}</p>
    </div>
    <p v-if="log.hasFailed" class="border-l-4 border-ink pl-3" role="alert">{{ t.log.unread }}</p>
    <LogTwice />
    <p v-if="underWay.phase === 'planned'" class="py-2 text-soft">{{ t.log.answer.planned }}.</p>
    <LogKeys v-if="underWay.phase === 'under-way'" is-big class="max-w-4xl pt-1" />
    <template v-else-if="underWay.phase === 'over'">
      <AppButton class="mt-1" @click="open({ kind: 'choose' })">{{ t.log.forgotten }}</AppButton>
      <LogDialogs v-model="dialog" />
    </template>
    <FoldedSections :sections="sections">
      <FoldSection id="learned" :title="t.learned.title" :answer="answers.learned"
        ><LogLearned
      /></FoldSection>
      <FoldSection id="agreement" :title="t.agreement.title" :answer="answers.agreement">
        <PanelAndCount is-whole />
      </FoldSection>
      <FoldSection id="counted" :title="t.learned.counted" :answer="answers.counted">
        <LogCounted :stay="forecast.stay" :crew="forecast.crew" />
      </FoldSection>
      <FoldSection id="shakedown" :title="t.shakedown.title" :answer="answers.shakedown">
        <LogShakedown :stay="forecast.stay" :crew="forecast.crew" />
      </FoldSection>
      <FoldSection id="csv" :title="t.log.csv.title" :answer="t.log.csv.answer"><LogCsv /></FoldSection>
      <LogList class="pt-6" />
    </FoldedSections>
  </div>
</template>
