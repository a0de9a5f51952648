<script setup lang="ts">
import { computed } from 'vue'
import { changeHeater, setGear, setHeater } from '@/actions/rig'
import { GEAR, type Gear, type Rig } from '@/core/domain'
import { owned } from '@/core/quantities'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { LIMITS } from '@/document'
import ChoiceField from '@/parts/fields/ChoiceField.vue'
import QuantityField from '@/parts/fields/QuantityField.vue'
import * as t from '@/texts/t'
import AppSwitch from '@/ui/AppSwitch.vue'

const props = defineProps<{ rig: Rig }>()
const workspace = useWorkspaceStore()
const change = (patch: Parameters<typeof changeHeater>[1]) => workspace.act(changeHeater(props.rig.id, patch))
/** What run cards ask for, whatever the habits. */
const FOR_CARDS: readonly Gear[] = ['flow-meter', 'rinse-wand', 'macerator']
/** That, what some habit of the catalogue needs, and what the rig lists from before. */
const items = computed(() =>
  GEAR.filter(
    (item) =>
      FOR_CARDS.includes(item) ||
      props.rig.gear.includes(item) ||
      workspace.document.habits.some(({ gear }) => gear.includes(item)),
  ),
)
const supplies = () => props.rig.containers.filter(({ kind }) => kind === 'fresh')

const toggle = (gear: Gear) => workspace.act(setGear(props.rig.id, gear, !props.rig.gear.includes(gear)))

function toggleHeater(has: boolean) {
  const supply = supplies()[0]?.id
  if (supply === undefined) return
  workspace.act(setHeater(props.rig.id, has ? supply : null))
}
</script>

<template>
  <div>
    <p class="text-soft">{{ t.gear.hint }}</p>
    <div class="mt-3 flex flex-wrap gap-2">
      <button
        v-for="item in items"
        :key="item"
        type="button"
        role="checkbox"
        :aria-checked="rig.gear.includes(item)"
        class="min-h-11 border-2 px-3"
        :class="rig.gear.includes(item) ? 'border-ink bg-ink font-semibold text-paper' : 'border-line'"
        @click="toggle(item)"
      >
        {{ t.gearNames[item] }}
      </button>
    </div>
    <div v-if="supplies().length > 0" class="mt-4 flex flex-wrap items-end gap-x-6 gap-y-2">
      <div class="-ml-2 flex items-center gap-1">
        <AppSwitch :on="rig.heater !== null" :label="t.gear.hasHeater" @change="toggleHeater" />
        <span aria-hidden="true">{{ t.gear.hasHeater }}</span>
      </div>
      <template v-if="rig.heater">
        <QuantityField
          :label="t.gear.heaterVolume"
          :value="rig.heater.volume.value"
          dimension="volume"
          :min="0"
          :max="LIMITS.volumeL.max"
          :save="(litres) => change({ volume: owned(litres) })"
        />
        <ChoiceField
          :label="t.gear.heaterSupply"
          :value="rig.heater.supply"
          :options="supplies().map(({ id, name }) => ({ value: id, label: name }))"
          @choose="change({ supply: $event })"
        />
        <div class="-ml-2 flex items-center gap-1">
          <AppSwitch :on="rig.heater.counted" :label="t.gear.counted" @change="change({ counted: $event })" />
          <span aria-hidden="true">{{ t.gear.counted }}</span>
        </div>
      </template>
    </div>
  </div>
</template>
