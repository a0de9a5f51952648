<script setup lang="ts">
import { computed } from 'vue'
import { useNoticeStore } from '@/data/noticeStore'
import FoldSection from '@/parts/FoldSection.vue'
import { useChartSentence } from '@/parts/levels/useChartSentence'
import { useRiskWords } from '@/parts/risk/useRiskWords'
import * as t from '@/texts/t'
import { whenNeeded } from '@/ui/whenNeeded'

/** What is looked at less often: how sure it is, the levels day by day, and what the stay is made of. */
const notices = useNoticeStore()
const notLoaded = () => notices.say({ kind: 'not-loaded' })
const RiskPanel = whenNeeded(() => import('@/parts/risk/RiskPanel.vue'), notLoaded)
const LevelChart = whenNeeded(() => import('@/parts/levels/LevelChart.vue'), notLoaded)
const CampSetup = whenNeeded(() => import('./CampSetup.vue'), notLoaded)
const risk = useRiskWords()
const chart = useChartSentence()
const sure = computed(() => risk.value?.short ?? t.risk.working)
</script>

<template>
  <div>
    <FoldSection id="risk" :title="t.risk.title" :answer="sure"><RiskPanel /></FoldSection>
    <FoldSection id="chart" :title="t.chart.title" :answer="chart"><LevelChart /></FoldSection>
    <CampSetup class="pt-6" />
  </div>
</template>
