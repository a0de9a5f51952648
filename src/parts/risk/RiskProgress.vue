<script setup lang="ts">
import { computed } from 'vue'
import { TRIALS } from '@/core/risk'
import { useRiskStore } from '@/data/riskStore'
import { formatCount } from '@/texts'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'

const chances = useRiskStore()
const trips = computed(() => t.risk.trips(formatCount(chances.risk?.trials ?? 0), formatCount(TRIALS)))
</script>

<template>
  <p class="flex min-h-11 items-center gap-3 text-[0.95rem] text-soft" data-testid="risk-progress">
    <template v-if="chances.state === 'running'">
      <span class="figure">{{ trips }}</span>
      <AppButton kind="quiet" @click="chances.stop()">{{ t.risk.stop }}</AppButton>
    </template>
    <template v-else-if="chances.state === 'stopped' || chances.state === 'failed'">
      <span>{{ chances.state === 'stopped' ? t.risk.stopped : t.risk.failed }}</span>
      <AppButton kind="quiet" @click="chances.start()">{{ t.risk.again }}</AppButton>
    </template>
    <span v-else-if="chances.risk" class="figure">{{ trips }}</span>
  </p>
</template>
