<script setup lang="ts">
import { RadioGroup, RadioGroupLabel, RadioGroupOption } from '@headlessui/vue'
import { computed } from 'vue'
import { UNIT_SYSTEMS, systemOf, type UnitSystem } from '@/core/quantities'
import { useSettingsStore } from '@/data/settingsStore'
import { LIMITS } from '@/document'
import {
  PLUMBING_IDS,
  presetIn,
  PRESET_IDS,
  plannedTanks,
  toiletsFor,
  type PlumbingId,
  type PresetId,
  type StartChoices,
  type TankName,
  type ToiletId,
} from '@/document/starters'
import ChoiceField from '@/parts/fields/ChoiceField.vue'
import QuantityField from '@/parts/fields/QuantityField.vue'
import { useAmounts } from '@/parts/useAmounts'
import * as t from '@/texts/t'
import AppChoices from '@/ui/AppChoices.vue'
import AppStepper from '@/ui/AppStepper.vue'

const props = defineProps<{ choices: StartChoices }>()
const emit = defineEmits<{ change: [change: Partial<StartChoices>] }>()
const { volume } = useAmounts()
const settings = useSettingsStore()
const KINDS = ['fresh', 'gray', 'black'] as const
const TALLEST_L = 320

function pick(preset: PresetId) {
  const { spares } = props.choices.known
  emit('change', { preset, litres: presetIn(preset, settings.units.volume), known: { sizes: {}, spares } })
}
/** A toilet that does not fit the new plumbing gives way to the first that does. */
function plumb(plumbing: PlumbingId) {
  const fitting = toiletsFor(plumbing)
  const toilet = fitting.includes(props.choices.toilet) ? props.choices.toilet : fitting[0]!
  emit('change', { plumbing, toilet })
}
/** Each container of the plan by its name, with what was typed of it. */
const tanks = computed(() => {
  const { plumbing, toilet, litres, known } = props.choices
  return plannedTanks(plumbing, toilet, litres, t.starterNames.layout, known)
})
const hasBlack = computed(() => tanks.value.some(({ kind }) => kind === 'black'))
const RINSE_INLETS = (['no', 'yes'] as const).map((value) => ({ value, label: t.start.rinseInlets[value] }))
const hasSpares = computed(() => tanks.value.some(({ kind }) => kind === 'cassette' || kind === 'urine'))
function set(name: TankName, size: number) {
  const { known } = props.choices
  emit('change', { known: { ...known, sizes: { ...known.sizes, [name]: size } } })
  return { ok: true as const }
}
const systems = (Object.keys(UNIT_SYSTEMS) as UnitSystem[]).map((value) => ({
  value,
  label: t.start.system[value],
}))
/** A rig of the plan that nobody has touched follows into the new units' round numbers. */
function measureIn(system: UnitSystem) {
  settings.measureIn({ ...UNIT_SYSTEMS[system] })
  if (Object.keys(props.choices.known.sizes).length === 0) pick(props.choices.preset)
}
const describe = (preset: PresetId) =>
  KINDS.map((kind) => `${t.kinds[kind]} ${volume(presetIn(preset, settings.units.volume)[kind])}`).join(', ')
</script>

<template>
  <div>
    <AppChoices
      class="mb-5"
      :label="t.start.systems"
      :value="systemOf(settings.units)"
      :options="systems"
      @choose="measureIn"
    />
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
                :style="{
                  height: `${12 + (88 * presetIn(preset, settings.units.volume)[kind]) / TALLEST_L}%`,
                }"
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
        v-for="tank in tanks"
        :key="`${choices.preset} ${tank.name}`"
        :label="t.starterNames.layout.tanks[tank.name]"
        :value="tank.size"
        :dimension="tank.kind === 'solids' ? 'uses' : 'volume'"
        :min="tank.kind === 'solids' ? 1 : LIMITS.capacityL.min"
        :max="tank.kind === 'solids' ? LIMITS.binUses.max : LIMITS.capacityL.max"
        :save="(size) => set(tank.name, size)"
      />
    </div>
    <ChoiceField
      v-if="hasBlack"
      class="mt-5 sm:max-w-md"
      :label="t.start.rinseInlet"
      :value="choices.rinseInlet ? 'yes' : 'no'"
      :options="RINSE_INLETS"
      @choose="$emit('change', { rinseInlet: $event === 'yes' })"
    />
    <div v-if="hasSpares" class="mt-5">
      <p class="mb-1 text-[0.92rem] font-semibold text-soft">{{ t.start.spares }}</p>
      <AppStepper
        :value="choices.known.spares"
        :text="t.start.spareCount(choices.known.spares)"
        :min="0"
        :max="LIMITS.spares"
        :fewer="t.start.fewerSpares"
        :more="t.start.moreSpares"
        @change="$emit('change', { known: { ...choices.known, spares: $event } })"
      />
    </div>
  </div>
</template>
