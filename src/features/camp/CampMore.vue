<script setup lang="ts">
import { computed } from 'vue'
import { useNoticeStore } from '@/data/noticeStore'
import { useUnderWayStore } from '@/data/underWayStore'
import CountRange from '@/parts/count/CountRange.vue'
import { useCountWords } from '@/parts/count/useCountWords'
import FoldSection from '@/parts/FoldSection.vue'
import { useChartSentence } from '@/parts/levels/useChartSentence'
import { useRiskWords } from '@/parts/risk/useRiskWords'
import SinceLine from '@/parts/today/SinceLine.vue'
import * as t from '@/texts/t'
import { whenNeeded } from '@/ui/whenNeeded'

/** What is looked at less often: how sure it is, the levels day by day, and what the stay is made of. */
const notices = useNoticeStore()
const notLoaded = () => notices.say({ kind: 'not-loaded' })
const RiskPanel = whenNeeded(() => import('@/parts/risk/RiskPanel.vue'), notLoaded)
const LevelChart = whenNeeded(() => import('@/parts/levels/LevelChart.vue'), notLoaded)
const CampSetup = whenNeeded(() => import('./CampSetup.vue'), notLoaded)
const props = defineProps<{
  /** On a phone: the average and what moved since yesterday are here. */
  isShort?: boolean
}>()
const risk = useRiskWords()
const words = useCountWords()
const underWay = useUnderWayStore()
const chart = useChartSentence()
const sure = computed(() => risk.value?.short ?? t.risk.working)
</script>

<template>
  <div>
    <FoldSection id="risk" :title="t.risk.title" :answer="sure">
      <template v-if="props.isShort">
        <CountRange v-if="words && risk" :words="words" :risk="risk" />
        <p v-if="words?.runs" class="mt-1 text-lg leading-snug text-soft">{{ words.runs.dry }}</p>
        <SinceLine v-if="underWay.phase === 'under-way'" class="mt-2" />
      </template>
      <RiskPanel />
    </FoldSection>
    <FoldSection id="chart" :title="t.chart.title" :answer="chart"><LevelChart /></FoldSection>
    <CampSetup class="pt-6" />
  </div>
</template>
