<script setup lang="ts">
import { computed } from 'vue'
import { PANEL_KINDS, panelOf, panelMarks, type PanelKind } from '@/core/domain'
import { SUPPLY_KINDS, TANK_KINDS, isOneOf } from '@/core/domain'
import { plannedTanks, type PlannedTank, type StartChoices } from '@/document/starters'
import ChoiceField from '@/parts/fields/ChoiceField.vue'
import TextField from '@/parts/fields/TextField.vue'
import { markNames } from '@/parts/levels/markNames'
import { marksOf, marksText } from '@/parts/levels/marks'
import { useAmounts } from '@/parts/useAmounts'
import * as t from '@/texts/t'
import AppChoices from '@/ui/AppChoices.vue'

/** What is in the tanks on arrival, by the panel's own steps. */
const props = defineProps<{ choices: StartChoices }>()
const emit = defineEmits<{ change: [change: Partial<StartChoices>] }>()
const { volume } = useAmounts()

const kind = computed((): PanelKind | 'own' | 'none' => {
  const { probes } = props.choices
  if (probes === null) return 'none'
  return PANEL_KINDS.find((one) => panelOf(one).probes.join() === probes.join()) ?? 'own'
})
const kinds = [
  { value: 'none', label: t.start.noPanel },
  ...[...PANEL_KINDS, 'own' as const].map((value) => ({ value, label: t.levels.panels[value] })),
]
const FIRST_OWN = [0.25, 0.6, 0.9]
function setKind(next: string) {
  const probes = next === 'none' ? null : next === 'own' ? FIRST_OWN : panelOf(next as PanelKind).probes
  emit('change', { probes, steps: {} })
}
const wrongMarks = (text: string) => (marksOf(text) === null ? t.levels.marksWrong : null)
function setMarks(text: string) {
  emit('change', { probes: marksOf(text), steps: {} })
  return { ok: true as const }
}

const tanks = computed(() => {
  const { plumbing, toilet, litres, known } = props.choices
  const planned = plannedTanks(plumbing, toilet, litres, t.starterNames.layout, known)
  return planned.filter((tank) => isOneOf([...SUPPLY_KINDS, ...TANK_KINDS], tank.kind))
})
const steps = computed(() =>
  props.choices.probes === null ? [] : panelMarks({ probes: props.choices.probes }),
)
const names = computed(() => markNames(steps.value))
const optionsOf = ({ size, kind: of }: PlannedTank) => [
  { value: '', label: isOneOf(SUPPLY_KINDS, of) ? t.start.justFilled : t.start.justEmptied },
  ...steps.value.map(({ from, to }, step) => ({
    value: String(step),
    label: t.levels.step(names.value[step]!, volume(from * size), volume(to * size)),
  })),
]
function read({ name }: PlannedTank, step: string) {
  const others = Object.entries(props.choices.steps).filter(([tank]) => tank !== name)
  const own = step === '' ? [] : [[name, Number(step)] as const]
  emit('change', { steps: Object.fromEntries([...others, ...own]) })
}
</script>

<template>
  <div class="space-y-4">
    <AppChoices :label="t.start.panel" :value="kind" :options="kinds" @choose="setKind" />
    <TextField
      v-if="kind === 'own'"
      class="max-w-xs"
      :label="t.levels.marks"
      :value="marksText(choices.probes ?? [])"
      :wrong="wrongMarks"
      :save="setMarks"
    />
    <div v-if="kind !== 'none'" class="grid gap-4 sm:grid-cols-2">
      <ChoiceField
        v-for="tank in tanks"
        :key="tank.name"
        :of="t.start.onArrival"
        :label="t.starterNames.layout.tanks[tank.name]"
        :value="String(choices.steps[tank.name] ?? '')"
        :options="optionsOf(tank)"
        @choose="(step) => read(tank, step)"
      />
    </div>
    <p class="text-soft">{{ kind === 'none' ? t.start.fullAndEmpty : t.levels.hints.panel }}</p>
  </div>
</template>
