<script setup lang="ts">
import { computed, ref } from 'vue'
import { setNights } from '@/actions/stay'
import { nightsBetween } from '@/core/calendar'
import { useForecastStore } from '@/data/forecastStore'
import { useUnderWayStore } from '@/data/underWayStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import * as t from '@/texts/t'
import { whenNeeded } from '@/ui/whenNeeded'

/** One more night, or one less, in one tap: the count says at once whether it holds. */
const forecast = useForecastStore()
const workspace = useWorkspaceStore()
const underWay = useUnderWayStore()
const EndDialog = whenNeeded(
  () => import('./EndDialog.vue'),
  () => undefined,
)
const isEnding = ref(false)
const wasEnding = ref(false)
const nights = computed(() => (forecast.stay ? nightsBetween(forecast.stay.start, forecast.stay.leaveAt) : 0))
const most = computed(() => (forecast.stay?.horizonDays.value ?? 60) - 1)

function change(by: number) {
  workspace.act(setNights(forecast.stay!.id, nights.value + by))
}
</script>

<template>
  <div class="flex flex-wrap items-center gap-x-4" data-testid="more-nights">
    <span class="font-semibold">{{ t.camp.nights(nights) }}</span>
    <button
      type="button"
      class="min-h-11 font-semibold underline decoration-line decoration-2 underline-offset-4 disabled:opacity-35"
      :disabled="nights >= most"
      @click="change(1)"
    >
      {{ t.camp.oneMore }}
    </button>
    <button
      type="button"
      class="min-h-11 text-soft underline decoration-line decoration-2 underline-offset-4 disabled:opacity-35"
      :disabled="nights <= 1"
      @click="change(-1)"
    >
      {{ t.camp.oneLess }}
    </button>
    <button
      v-if="underWay.phase === 'under-way'"
      type="button"
      class="min-h-11 text-soft underline decoration-line decoration-2 underline-offset-4"
      @click="isEnding = wasEnding = true"
    >
      {{ t.phase.end }}
    </button>
    <EndDialog v-if="wasEnding" :open="isEnding" @close="isEnding = false" />
  </div>
</template>
