<script setup lang="ts">
import { computed, ref } from 'vue'
import { setPanel, setReading } from '@/actions/levels'
import { PANEL_KINDS, panelOf, readAs, type PanelKind, type Reading } from '@/core/domain'
import type { Id, Panel } from '@/core/domain'
import { useForecastStore } from '@/data/forecastStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { LIMITS } from '@/document'
import QuantityField from '@/parts/fields/QuantityField.vue'
import TextField from '@/parts/fields/TextField.vue'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import AppChoices from '@/ui/AppChoices.vue'
import { marksOf, marksText } from './marks'
import { markNames } from './markNames'
import { useReading } from './useReading'

/** The one method to say what is in a tank, and how that was read. */
const props = defineProps<{ members: readonly Id[] }>()
const { first, unit, full, panel, reading, steps, amount } = useReading(() => props.members)
const forecast = useForecastStore()
const workspace = useWorkspaceStore()

function save(read: Reading) {
  return workspace.act(setReading(forecast.stay!.id, [...props.members], read))
}
function savePanel(next: Panel) {
  return workspace.act(setPanel(forecast.rig!.id, [...props.members], next))
}

const hasPanel = computed(() => first.value !== null && 'panel' in first.value)
const methods = computed(() =>
  (['panel', 'about', 'measured', 'known'] as const)
    .filter((method) => method !== 'panel' || hasPanel.value)
    .map((value) => ({ value, label: t.levels.methods[value] })),
)
/** A panel is asked for before its first step can be read. */
const isAsking = ref(false)
const method = computed(() => (isAsking.value ? 'panel' : (reading.value?.method ?? 'known')))
const level = computed(() => {
  const read = reading.value
  if (!read) return 0
  if (read.method !== 'panel') return read.level
  const { from, to } = steps.value[read.mark]!
  return ((from + to) / 2) * full.value
})

function choose(next: Reading['method']) {
  isAsking.value = next === 'panel' && panel.value === null
  if (!isAsking.value) save(readAs(next, level.value, full.value, panel.value))
}

const isOwn = ref(false)
const kind = computed((): PanelKind | 'own' | '' => {
  if (isOwn.value) return 'own'
  if (panel.value === null) return ''
  const probes = panel.value.probes.join()
  return PANEL_KINDS.find((one) => panelOf(one).probes.join() === probes) ?? 'own'
})
const kinds = [...PANEL_KINDS, 'own' as const].map((value) => ({ value, label: t.levels.panels[value] }))
function setKind(next: string) {
  isOwn.value = next === 'own'
  if (isOwn.value) return
  takePanel(panelOf(next as PanelKind).probes)
}
function takePanel(probes: number[]) {
  const result = savePanel({ probes, by: 'owner' })
  if (!result.ok) return result
  isAsking.value = false
  return save(readAs('panel', level.value, full.value, { probes, by: 'owner' }))
}
const wrongMarks = (text: string) => (marksOf(text) === null ? t.levels.marksWrong : null)
const options = computed(() =>
  markNames(steps.value).map((name, step) => {
    const { from, to } = steps.value[step]!
    const [low, high] = [from, to].map((share) => amount(share * full.value, unit.value)) as [string, string]
    return { value: String(step), label: from === to ? `${name}: ${low}` : t.levels.step(name, low, high) }
  }),
)
</script>

<template>
  <div class="grid gap-4 pt-2">
    <AppChoices :label="t.levels.how" :value="method" :options="methods" @choose="choose" />
    <p class="text-soft">{{ t.levels.hints[method] }}</p>
    <template v-if="method === 'panel'">
      <AppChoices
        :label="panel === null ? t.levels.noPanel : t.levels.panel"
        :value="kind"
        :options="kinds"
        @choose="setKind"
      />
      <TextField
        v-if="kind === 'own'"
        :label="t.levels.marks"
        :value="marksText(panel?.probes ?? [])"
        :wrong="wrongMarks"
        :save="(text) => takePanel(marksOf(text)!)"
      />
      <AppChoices
        v-if="panel !== null && reading?.method === 'panel'"
        :label="t.levels.lit"
        :value="String(reading.mark)"
        :options="options"
        @choose="(step) => save({ method: 'panel', mark: Number(step) })"
      />
    </template>
    <div v-else class="grid grid-cols-2 items-end gap-4">
      <QuantityField
        :label="t.levels.level"
        :value="level"
        :dimension="unit === 'L' ? 'volume' : 'uses'"
        :min="0"
        :max="LIMITS.levelL.max"
        :whole="full"
        :save="(litres) => save({ ...(reading as Exclude<Reading, { method: 'panel' }>), level: litres })"
      />
      <QuantityField
        v-if="reading?.method === 'about'"
        :label="t.levels.within"
        :value="reading.within"
        :dimension="unit === 'L' ? 'volume' : 'uses'"
        :min="0"
        :max="LIMITS.levelL.max"
        :save="(within) => save({ method: 'about', level, within })"
      />
      <QuantityField
        v-else-if="reading?.method === 'measured'"
        :label="t.levels.deviation"
        :value="reading.deviation"
        :dimension="unit === 'L' ? 'volume' : 'uses'"
        :min="0"
        :max="LIMITS.levelL.max"
        :save="(deviation) => save({ method: 'measured', level, deviation })"
      />
      <div v-else class="flex gap-2">
        <AppButton @click="save({ method: 'known', level: full })">{{ t.levels.fullNow }}</AppButton>
        <AppButton @click="save({ method: 'known', level: 0 })">{{ t.levels.emptyNow }}</AppButton>
      </div>
    </div>
  </div>
</template>
