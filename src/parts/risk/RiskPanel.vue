<script setup lang="ts">
import { computed } from 'vue'
import CountSpread from './CountSpread.vue'
import RiskProgress from './RiskProgress.vue'
import RiskStory from './RiskStory.vue'
import StopperShares from './StopperShares.vue'
import { useRiskWords } from './useRiskWords'
import { useRiskStore } from '@/data/riskStore'
import * as t from '@/texts/t'

defineProps<{
  /** Beside each other where there is room. */
  isWide?: boolean
}>()
const chances = useRiskStore()
const words = useRiskWords()
const isEmpty = computed(() => chances.risk === null)
</script>

<template>
  <div data-testid="risk">
    <RiskProgress class="justify-end" />
    <p v-if="isEmpty" class="min-h-40 py-4 text-soft" role="status">
      {{ chances.state === 'failed' ? t.risk.failed : t.risk.working }}
    </p>
    <div v-else class="mt-1 grid gap-x-12 gap-y-5" :class="isWide ? 'lg:grid-cols-2' : ''">
      <div class="min-w-0">
        <p class="text-lg leading-snug" data-testid="risk-sentence">{{ words!.sentence }}</p>
        <CountSpread class="mt-2" />
      </div>
      <div class="grid min-w-0 content-start gap-5">
        <StopperShares />
        <RiskStory />
      </div>
    </div>
  </div>
</template>
