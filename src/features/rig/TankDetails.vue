<script setup lang="ts">
import { computed } from 'vue'
import type { Container, Rig } from '@/core/model'
import { owned } from '@/core/quantities'
import { fullKg } from '@/core/weight'
import { LIMITS } from '@/document'
import { changeMedium, containerOf, measureTank, toggleLight } from '@/document/edits'
import QuantityField from '@/parts/fields/QuantityField.vue'
import { useAmounts } from '@/parts/useAmounts'
import { useRigEdit } from '@/parts/useRigEdit'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import AppChoices from '@/ui/AppChoices.vue'
import AppStepper from '@/ui/AppStepper.vue'
import { tankFields, type TankField } from './tankFields'
import { useLightUses } from './useLightUses'

const props = defineProps<{ rig: Rig; container: Container }>()
const { change, edit } = useRigEdit(() => props.rig)
const { mass } = useAmounts()
const lightUses = useLightUses()

const fields = computed(() => tankFields(props.container))
/** A change of this container, refused where it has no such field. */
function set(what: string, recipe: (draft: Container) => void) {
  return change(`${what} ${props.container.id}`, (draft) => recipe(containerOf(draft, props.container.id)))
}
function save({ key, of }: TankField, value: number) {
  return set(key, (draft) => {
    const quantity = of(draft)
    if (!quantity) return
    // What it was assumed from goes with the assumption.
    if ('source' in quantity) delete (quantity as Partial<Record<'source', unknown>>).source
    Object.assign(quantity, owned(value))
  })
}
/** kg that a vehicle may carry, to be typed over. */
const FIRST_PAYLOAD_KG = 100
function toggleRides(draft: Container) {
  if ('payload' in draft) draft.payload = draft.payload ? null : owned(FIRST_PAYLOAD_KG)
}
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
      @change="(to) => set('spares', (draft) => void ('spares' in draft && (draft.spares = to)))"
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
      @choose="bin.medium !== $event && edit(null, (draft, id) => changeMedium(draft, id, container.id))"
    />
    <AppButton
      v-if="container.kind === 'cassette'"
      kind="quiet"
      class="justify-self-start"
      @click="edit(null, (draft, id) => toggleLight(draft, id, container.id))"
      >{{ container.light ? t.tank.noLight : t.tank.hasLight }}</AppButton
    >
    <AppButton
      v-if="'payload' in container"
      kind="quiet"
      class="justify-self-start"
      @click="set('payload', toggleRides)"
      >{{ container.payload ? t.tank.onTheRig : t.tank.inVehicle }}</AppButton
    >
    <template v-if="'shape' in container">
      <AppButton
        v-if="container.shape === null"
        class="col-span-2 justify-self-start"
        @click="edit(null, (draft, id) => measureTank(draft, id, container.id))"
        >{{ t.tank.measure }}</AppButton
      >
      <p class="col-span-2 text-[0.95rem] text-soft sm:col-span-4">{{ t.tank.shapeHint }}</p>
    </template>
  </div>
</template>
