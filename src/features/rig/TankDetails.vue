<script setup lang="ts">
import { computed } from 'vue'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { changeMedium, measureTank, setSpares, setTankNumber, toggleLight, toggleRides } from '@/actions/rig'
import type { Container, Rig } from '@/core/domain'
import { fullKg } from '@/core/rig'
import { LIMITS } from '@/document'
import QuantityField from '@/parts/fields/QuantityField.vue'
import { useAmounts } from '@/parts/useAmounts'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import AppChoices from '@/ui/AppChoices.vue'
import AppStepper from '@/ui/AppStepper.vue'
import { tankFields, type TankField } from './tankFields'
import { useLightUses } from './useLightUses'

const props = defineProps<{ rig: Rig; container: Container }>()
const workspace = useWorkspaceStore()
const { mass } = useAmounts()
const lightUses = useLightUses()

const fields = computed(() => tankFields(props.container))
const save = ({ key, of }: TankField, value: number) =>
  workspace.act(setTankNumber(props.rig.id, props.container.id, key, of, value))
const bin = computed(() => (props.container.kind === 'solids' ? props.container : null))
const media = (['long', 'short'] as const).map((value) => ({ value, label: t.media[value] }))
const full = computed(() => fullKg(props.container))
/** What stands beside a field: what it comes to. */
function wordsOf({ key }: TankField): string | null {
  const { container } = props
  if (key === 'spread' && 'spread' in container && container.spread.value === 0) return t.sure.metered
  if (key === 'shell' && full.value !== null) return t.tank.full(mass(full.value))
  if (key !== 'light' || container.kind !== 'cassette') return null
  const uses = lightUses(container)
  return uses === null ? null : t.tank.lightNow(String(uses))
}
</script>

<template>
  <div class="grid grid-cols-2 items-end gap-x-4 gap-y-3 border-l-4 border-line pb-3 pl-4 sm:grid-cols-4">
    <AppStepper
      v-if="'spares' in container"
      class="col-span-2 sm:col-span-1"
      :value="container.spares"
      :text="t.tank.spares(container.spares)"
      :min="0"
      :max="LIMITS.spares"
      :fewer="t.tank.fewer"
      :more="t.tank.moreSpares"
      @change="(to) => workspace.act(setSpares(rig.id, container.id, to))"
    />
    <template v-for="field in fields" :key="field.key">
      <QuantityField
        :label="field.label"
        :value="field.of(container)!.value"
        :dimension="field.dimension"
        :min="field.min"
        :max="field.max"
        :save="(value) => save(field, value)"
      />
      <p v-if="wordsOf(field) !== null" class="pb-2.5 text-soft">{{ wordsOf(field) }}</p>
      <AppButton
        v-else-if="field.key === 'spread'"
        kind="quiet"
        class="justify-self-start"
        @click="save(field, 0)"
        >{{ t.sure.isMetered }}</AppButton
      >
    </template>
    <AppChoices
      v-if="bin"
      class="col-span-2"
      :label="t.tank.medium"
      :value="bin.medium"
      :options="media"
      @choose="bin.medium !== $event && workspace.act(changeMedium(rig.id, container.id))"
    />
    <AppButton
      v-if="container.kind === 'cassette'"
      kind="quiet"
      class="justify-self-start"
      @click="workspace.act(toggleLight(rig.id, container.id))"
      >{{ container.light ? t.tank.noLight : t.tank.hasLight }}</AppButton
    >
    <AppButton
      v-if="'payload' in container"
      kind="quiet"
      class="justify-self-start"
      @click="workspace.act(toggleRides(rig.id, container.id))"
      >{{ container.payload ? t.tank.onTheRig : t.tank.inVehicle }}</AppButton
    >
    <template v-if="'shape' in container">
      <AppButton
        v-if="container.shape === null"
        class="col-span-2 justify-self-start"
        @click="workspace.act(measureTank(rig.id, container.id))"
        >{{ t.tank.measure }}</AppButton
      >
      <p class="col-span-2 text-[0.95rem] text-soft sm:col-span-4">{{ t.tank.shapeHint }}</p>
    </template>
  </div>
</template>
