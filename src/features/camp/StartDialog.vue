<script setup lang="ts">
import { computed, ref } from 'vue'
import { toldStart } from '@/core/log'
import { startNow } from '@/actions/stay'
import { logging } from '@/actions/action'
import { useClockStore } from '@/data/clockStore'
import { useForecastStore } from '@/data/forecastStore'
import { useLogStore } from '@/data/logStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { refusalWords } from '@/parts/fields/refusalWords'
import LevelButton from '@/parts/levels/LevelButton.vue'
import { useAmounts } from '@/parts/useAmounts'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import AppDialog from '@/ui/AppDialog.vue'

/** The stay begins: levels as they are, the valves seen shut. */
defineProps<{ open: boolean }>()
const emit = defineEmits<{ close: [] }>()
const forecast = useForecastStore()
const workspace = useWorkspaceStore()
const clock = useClockStore()
const log = useLogStore()
const { gauge } = useAmounts()
const areShut = ref(false)
const fault = ref<string | null>(null)
/** It takes over what the stay before leaves; what the panel says is read once it has begun. */
const isPassed = computed(() => forecast.stayCase?.passed !== undefined)
const tanks = computed(() => (forecast.model?.containers ?? []).filter(({ side }) => side !== 'carrier'))

function start() {
  const { id } = forecast.stay!
  const at = clock.now
  const entry = log.entryOf(toldStart(at, areShut.value))
  const levels = isPassed.value ? forecast.model!.containers : []
  const result = workspace.act(logging(startNow(id, at, levels), [{ op: 'put', entry }]))
  fault.value = result.ok ? null : refusalWords(result.faults)
  if (result.ok) emit('close')
}
</script>

<template>
  <AppDialog :open="open" :title="t.turns.startTitle" :close-label="t.levels.close" @close="$emit('close')">
    <p class="mt-2">{{ isPassed ? t.turns.startPassed : t.turns.startText }}</p>
    <ul class="mt-2">
      <li
        v-for="tank in tanks"
        :key="tank.id"
        class="flex items-center justify-between gap-4 border-b border-line"
      >
        <span class="font-bold">{{ tank.name }}</span>
        <span class="flex items-center gap-4">
          <span class="figure text-xl font-bold whitespace-nowrap">{{ gauge(tank.start, tank.unit) }}</span>
          <LevelButton v-if="!isPassed" :members="tank.members" :name="tank.name" />
        </span>
      </li>
    </ul>
    <label class="mt-3 flex min-h-11 items-center gap-3 font-semibold">
      <input v-model="areShut" type="checkbox" class="h-6 w-6 accent-[var(--ink)]" />
      {{ t.turns.valves }}
    </label>
    <p class="text-[0.95rem] text-soft">{{ t.turns.valvesWhy }}</p>
    <p v-if="fault" class="mt-2 font-semibold" role="alert">{{ fault }}</p>
    <AppButton kind="primary" class="mt-4" @click="start">{{ t.turns.startNow }}</AppButton>
  </AppDialog>
</template>
