<script setup lang="ts">
import { computed } from 'vue'
import type { Container, Rig } from '@/core/model'
import { owned, type Quantity } from '@/core/quantities'
import { kgPerUnit } from '@/core/weight'
import { LIMITS } from '@/document'
import { changeMedium, containerOf } from '@/document/edits'
import QuantityField from '@/parts/fields/QuantityField.vue'
import { useAmounts } from '@/parts/useAmounts'
import { useRigEdit } from '@/parts/useRigEdit'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import AppStepper from '@/ui/AppStepper.vue'
import { useLightUses } from './useLightUses'

const props = defineProps<{ rig: Rig; container: Container }>()
const { change, edit } = useRigEdit(() => props.rig)
const { mass } = useAmounts()
const lightUses = useLightUses()

/** A change of this container, refused where it has no such field. */
function set(what: string, recipe: (draft: Container) => void) {
  return change(`${what} ${props.container.id}`, (draft) => recipe(containerOf(draft, props.container.id)))
}
const put = (what: string, place: (draft: Container) => Quantity | null | undefined) => (value: number) =>
  set(what, (draft) => {
    const quantity = place(draft)
    if (!quantity) return
    // What it was assumed from goes with the assumption.
    if ('source' in quantity) delete (quantity as Partial<Record<'source', unknown>>).source
    Object.assign(quantity, owned(value))
  })

const shape = computed(() => ('shape' in props.container ? props.container.shape : null))
const light = computed(() => ('light' in props.container ? props.container.light : null))
const bin = computed(() => (props.container.kind === 'solids' ? props.container : null))
const other = computed(() => (bin.value?.medium === 'long' ? 'short' : 'long'))
const full = computed(() => {
  const { container } = props
  if (!('shell' in container)) return null
  const fill = 'safeFill' in container ? container.safeFill.value : 1
  return container.shell.value + fill * container.capacity.value * kgPerUnit(container)
})

function measure() {
  set('measure', (draft) => {
    if ('shape' in draft) draft.shape = { height: owned(0.3), bottom: owned(0), error: owned(0.03) }
  })
}
const toggleLight = () =>
  set('has light', (draft) => {
    if ('light' in draft) draft.light = draft.light ? null : owned(Math.round(draft.capacity.value * 0.75))
  })
</script>

<template>
  <div class="grid grid-cols-2 items-end gap-x-4 gap-y-3 border-l-4 border-line pb-3 pl-4 sm:grid-cols-4">
    <template v-if="'spread' in container">
      <QuantityField
        :label="t.sure.capacityOff"
        :value="container.spread.value"
        dimension="percent"
        :min="0"
        :max="1"
        :save="put('spread', (draft) => ('spread' in draft ? draft.spread : null))"
      />
      <AppButton
        v-if="container.spread.value > 0"
        kind="quiet"
        class="justify-self-start"
        @click="put('spread', (draft) => ('spread' in draft ? draft.spread : null))(0)"
        >{{ t.sure.isMetered }}</AppButton
      >
      <p v-else class="pb-2.5 text-soft">{{ t.sure.metered }}</p>
    </template>
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
    <template v-if="'shell' in container">
      <QuantityField
        :label="t.tank.shell"
        :value="container.shell.value"
        dimension="mass"
        :min="0"
        :max="LIMITS.kg.max"
        :save="put('shell', (draft) => ('shell' in draft ? draft.shell : null))"
      />
      <p v-if="full !== null" class="pb-2.5 text-soft">{{ t.tank.full(mass(full)) }}</p>
    </template>
    <template v-if="bin">
      <QuantityField
        :label="t.tank.perUse"
        :value="bin.perUse.value"
        dimension="mass"
        :min="0"
        :max="LIMITS.kg.max"
        :save="put('per use', (draft) => (draft.kind === 'solids' ? draft.perUse : null))"
      />
      <QuantityField
        :label="t.tank.other(t.media[other])"
        :value="bin.otherCapacity.value"
        dimension="number"
        :min="1"
        :max="LIMITS.binUses.max"
        :save="put('other', (draft) => (draft.kind === 'solids' ? draft.otherCapacity : null))"
      />
      <fieldset class="col-span-2">
        <legend class="text-[0.92rem] font-semibold text-soft">{{ t.tank.medium }}</legend>
        <div class="mt-1 flex gap-2">
          <button
            v-for="medium in ['long', 'short'] as const"
            :key="medium"
            type="button"
            role="radio"
            :aria-checked="bin.medium === medium"
            class="min-h-11 border-2 px-3"
            :class="bin.medium === medium ? 'border-ink bg-ink font-semibold text-paper' : 'border-line'"
            @click="bin.medium !== medium && edit(null, (draft, id) => changeMedium(draft, id, container.id))"
          >
            {{ t.media[medium] }}
          </button>
        </div>
      </fieldset>
    </template>
    <template v-if="container.kind === 'cassette'">
      <QuantityField
        v-if="light"
        :label="t.tank.light"
        :value="light.value"
        dimension="volume"
        :min="0"
        :max="container.capacity.value"
        :save="put('light', (draft) => ('light' in draft ? draft.light : null))"
      />
      <p v-if="light && lightUses(container) !== null" class="pb-2.5 text-soft">
        {{ t.tank.lightNow(String(lightUses(container))) }}
      </p>
      <AppButton kind="quiet" class="justify-self-start" @click="toggleLight">{{
        light ? t.tank.noLight : t.tank.hasLight
      }}</AppButton>
    </template>
    <template v-if="'shape' in container">
      <template v-if="shape">
        <QuantityField
          :label="t.tank.height"
          :value="shape.height.value"
          dimension="length"
          :min="LIMITS.heightM.min"
          :max="LIMITS.heightM.max"
          :save="put('height', (draft) => ('shape' in draft ? draft.shape?.height : null))"
        />
        <QuantityField
          :label="t.tank.bottom"
          :value="shape.bottom.value"
          dimension="length"
          :min="0"
          :max="LIMITS.bottomM.max"
          :save="put('bottom', (draft) => ('shape' in draft ? draft.shape?.bottom : null))"
        />
        <QuantityField
          :label="t.tank.error"
          :value="shape.error.value"
          dimension="length"
          :min="0"
          :max="LIMITS.errorM.max"
          :save="put('error', (draft) => ('shape' in draft ? draft.shape?.error : null))"
        />
      </template>
      <AppButton v-else class="col-span-2 justify-self-start" @click="measure">{{
        t.tank.measure
      }}</AppButton>
      <p class="col-span-2 text-[0.95rem] text-soft sm:col-span-4">{{ t.tank.shapeHint }}</p>
    </template>
  </div>
</template>
