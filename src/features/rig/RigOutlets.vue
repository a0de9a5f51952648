<script setup lang="ts">
import { Trash2 } from '@lucide/vue'
import { useRouter } from 'vue-router'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { addOutlet, changeOutlet, removeOutlet, setEndValve, setJoined, setOutlet } from '@/actions/rig'
import {
  HANDLES,
  RIG_SIDES,
  isOneOf,
  TANK_KINDS,
  type Handle,
  type Outlet,
  type Rig,
  type RigSide,
} from '@/core/domain'
import { owned } from '@/core/quantities'
import { newId } from '@/data/newId'
import { LIMITS } from '@/document'
import ChoiceField from '@/parts/fields/ChoiceField.vue'
import QuantityField from '@/parts/fields/QuantityField.vue'
import TextField from '@/parts/fields/TextField.vue'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import AppSwitch from '@/ui/AppSwitch.vue'

const props = defineProps<{ rig: Rig }>()
const router = useRouter()
const workspace = useWorkspaceStore()
const tanks = () => props.rig.containers.filter(({ kind }) => isOneOf(TANK_KINDS, kind))
const nameOf = (id: string) => props.rig.containers.find((container) => container.id === id)?.name ?? id
const choices = <T extends string>(list: readonly T[], words: Record<T, string>) =>
  list.map((value) => ({ value, label: words[value] }))

const set = (outlet: Outlet, patch: Parameters<typeof changeOutlet>[2]) =>
  workspace.act(changeOutlet(props.rig.id, outlet.id, patch))
const at = (outlet: Outlet, id: string) => outlet.containers.includes(id)
const isTransferable = ({ containers, joined }: Outlet) => containers.length > 1 && joined.length === 0
/** A black tank alone has no gray to wash its hose with. */
const aloneBlack = ({ containers }: Outlet) =>
  containers.length === 1 && props.rig.containers.find(({ id }) => id === containers[0])?.kind === 'black'

function toggleEndValve(outlet: Outlet, has: boolean) {
  workspace.act(setEndValve(props.rig.id, outlet.id, has))
}
</script>

<template>
  <div>
    <p class="text-soft">{{ t.outlets.hint }}</p>
    <ul class="mt-2">
      <li
        v-for="outlet in rig.outlets"
        :key="outlet.id"
        :class="[
          'grid grid-cols-2 items-start gap-x-4 gap-y-3 border-t border-line py-4',
          'lg:grid-cols-[minmax(0,3fr)_minmax(0,5fr)_repeat(4,minmax(0,2fr))_3rem]',
        ]"
        :data-testid="`outlet-${outlet.id}`"
      >
        <TextField
          class="col-span-2 lg:col-span-1"
          :label="t.outlets.name"
          :value="outlet.name"
          :save="(name) => set(outlet, { name })"
        />
        <fieldset class="col-span-2 lg:col-span-1">
          <legend class="mb-1 text-[0.92rem] font-semibold text-soft">{{ t.outlets.tanks }}</legend>
          <div class="flex flex-wrap gap-2">
            <button
              v-for="tank in tanks()"
              :key="tank.id"
              type="button"
              role="checkbox"
              :aria-checked="at(outlet, tank.id)"
              class="min-h-11 border-2 px-3 text-[0.95rem]"
              :class="at(outlet, tank.id) ? 'border-ink bg-ink font-semibold text-paper' : 'border-line'"
              @click="workspace.act(setOutlet(rig.id, tank.id, at(outlet, tank.id) ? null : outlet.id))"
            >
              {{ tank.name }}
            </button>
          </div>
          <p v-if="aloneBlack(outlet)" class="mt-1 text-[0.95rem] text-soft">
            {{ t.outlets.alone(nameOf(outlet.containers[0]!)) }}
          </p>
        </fieldset>
        <ChoiceField
          :label="t.outlets.side"
          :value="outlet.side"
          :options="choices(RIG_SIDES, t.rigSides)"
          @choose="set(outlet, { side: $event as RigSide })"
        />
        <ChoiceField
          :label="t.outlets.handle"
          :value="outlet.handle"
          :options="choices(HANDLES, t.handles)"
          @choose="set(outlet, { handle: $event as Handle })"
        />
        <ChoiceField
          :label="t.outlets.rinses"
          :value="outlet.rinses ?? ''"
          :options="[
            { value: '', label: t.outlets.noRinse },
            ...outlet.containers.map((id) => ({ value: id, label: nameOf(id) })),
          ]"
          @choose="set(outlet, { rinses: $event === '' ? null : $event })"
        />
        <QuantityField
          :label="t.outlets.bore"
          :value="outlet.bore.value"
          dimension="length"
          :min="LIMITS.boreM.min"
          :max="LIMITS.boreM.max"
          :save="(metres) => set(outlet, { bore: owned(metres) })"
        />
        <AppButton
          kind="quiet"
          class="col-span-2 self-end justify-self-end lg:col-span-1"
          :aria-label="t.rig.remove(outlet.name)"
          @click="workspace.act(removeOutlet(rig.id, outlet.id))"
        >
          <Trash2 :size="20" aria-hidden="true" />
        </AppButton>
        <div class="col-span-2 flex flex-wrap items-center gap-x-6 gap-y-1 lg:col-span-7">
          <label class="-ml-2 flex items-center gap-1">
            <AppSwitch
              :on="outlet.endValve"
              :label="t.outlets.endValve"
              @change="toggleEndValve(outlet, $event)"
            />
            <span aria-hidden="true">{{ t.outlets.endValve }}</span>
          </label>
          <label v-if="outlet.containers.length > 1" class="-ml-2 flex items-center gap-1">
            <AppSwitch
              :on="outlet.joined.length > 0"
              :label="t.outlets.joined"
              @change="workspace.act(setJoined(rig.id, outlet.id, $event))"
            />
            <span aria-hidden="true">{{ t.outlets.joined }}</span>
          </label>
          <AppButton v-if="isTransferable(outlet)" @click="router.push('/rig/gray-to-black')">{{
            t.outlets.transfer
          }}</AppButton>
        </div>
      </li>
    </ul>
    <div class="border-t border-line pt-4">
      <AppButton @click="workspace.act(addOutlet(rig.id, newId('outlet'), t.outlets.name))">{{
        t.outlets.add
      }}</AppButton>
    </div>
  </div>
</template>
