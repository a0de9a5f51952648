<script setup lang="ts">
import { RadioGroup, RadioGroupLabel, RadioGroupOption } from '@headlessui/vue'
import { LIMITS } from '@/document'
import {
  PLUMBING_IDS,
  PRESETS,
  PRESET_IDS,
  toiletsFor,
  type PlumbingId,
  type PresetId,
  type StartChoices,
  type ToiletId,
} from '@/document/starters'
import ChoiceField from '@/parts/fields/ChoiceField.vue'
import QuantityField from '@/parts/fields/QuantityField.vue'
import { useAmounts } from '@/parts/useAmounts'
import { t } from '@/texts'

const props = defineProps<{ choices: StartChoices }>()
const emit = defineEmits<{ change: [change: Partial<StartChoices>] }>()
const { volume } = useAmounts()
const KINDS = ['fresh', 'gray', 'black'] as const
const TALLEST_L = 320

function pick(preset: PresetId) {
  emit('change', { preset, litres: { ...PRESETS[preset] } })
}
/** A toilet that does not fit the new plumbing gives way to the first that does. */
function plumb(plumbing: PlumbingId) {
  const fitting = toiletsFor(plumbing)
  const toilet = fitting.includes(props.choices.toilet) ? props.choices.toilet : fitting[0]!
  emit('change', { plumbing, toilet })
}
function set(kind: (typeof KINDS)[number], litres: number) {
  emit('change', { litres: { ...props.choices.litres, [kind]: litres } })
  return { ok: true as const }
}
const describe = (preset: PresetId) =>
  KINDS.map((kind) => `${t.kinds[kind]} ${volume(PRESETS[preset][kind])}`).join(', ')
</script>

<template>
  <div>
    <RadioGroup :model-value="choices.preset" @update:model-value="pick">
      <RadioGroupLabel as="span" class="text-[0.92rem] font-semibold text-soft">{{
        t.start.preset
      }}</RadioGroupLabel>
      <div class="mt-1 flex flex-wrap gap-2">
        <RadioGroupOption
          v-for="preset in PRESET_IDS"
          :key="preset"
          v-slot="{ checked }"
          :value="preset"
          :aria-label="`${t.starterNames.rigs[preset]}: ${describe(preset)}`"
        >
          <span
            class="flex min-h-11 w-[6.4rem] cursor-pointer flex-col gap-1 border-2 p-2"
            :class="checked ? 'border-ink bg-card outline-3 outline-ink' : 'border-line'"
          >
            <span class="flex h-14 items-end gap-1" aria-hidden="true">
              <span
                v-for="kind in KINDS"
                :key="kind"
                class="w-5 border-2 border-ink"
                :class="kind === 'fresh' ? 'hatch-supply' : 'hatch-waste'"
                :style="{ height: `${12 + (88 * PRESETS[preset][kind]) / TALLEST_L}%` }"
              />
            </span>
            <span class="leading-tight" :class="checked ? 'font-bold' : ''">{{
              t.starterNames.rigs[preset]
            }}</span>
          </span>
        </RadioGroupOption>
      </div>
    </RadioGroup>
    <div class="mt-5 grid gap-4 sm:grid-cols-2">
      <ChoiceField
        :label="t.map.plumbing"
        :value="choices.plumbing"
        :options="PLUMBING_IDS.map((value) => ({ value, label: t.map.plumbings[value] }))"
        @choose="plumb($event as PlumbingId)"
      />
      <ChoiceField
        :label="t.map.toilet"
        :value="choices.toilet"
        :options="toiletsFor(choices.plumbing).map((value) => ({ value, label: t.map.toilets[value] }))"
        @choose="$emit('change', { toilet: $event as ToiletId })"
      />
    </div>
    <div class="mt-5 grid gap-4 sm:grid-cols-3">
      <QuantityField
        v-for="kind in KINDS"
        :key="`${choices.preset} ${kind}`"
        :label="t.kinds[kind]"
        :value="choices.litres[kind]"
        dimension="volume"
        :min="LIMITS.capacityL.min"
        :max="LIMITS.capacityL.max"
        :save="(litres) => set(kind, litres)"
      />
    </div>
  </div>
</template>
