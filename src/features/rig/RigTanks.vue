<script setup lang="ts">
import { Trash2 } from '@lucide/vue'
import TankDetails from './TankDetails.vue'
import {
  addContainer,
  removeContainer,
  renameContainer,
  setCapacity,
  setReserve,
  setSafeFill,
} from '@/actions/rig'
import { newId } from '@/data/newId'
import { useForecastStore } from '@/data/forecastStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { LIMITS } from '@/document'
import {
  CARRIER_KINDS,
  SUPPLY_KINDS,
  WASTE_KINDS,
  sparesOf,
  unitOf,
  type Container,
  type ContainerKind,
  type Rig,
  type Stay,
} from '@/core/domain'
import QuantityField from '@/parts/fields/QuantityField.vue'
import LevelButton from '@/parts/levels/LevelButton.vue'
import { useAmounts } from '@/parts/useAmounts'
import TextField from '@/parts/fields/TextField.vue'
import { useWhyStore } from '@/parts/why/whyStore'
import { formatDays, formatNumber, listed } from '@/texts'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'

const props = defineProps<{ rig: Rig; stay: Stay }>()
const workspace = useWorkspaceStore()
const forecast = useForecastStore()
const why = useWhyStore()
const { level } = useAmounts()
const fullOf = (container: Container) => container.capacity.value * (1 + sparesOf(container))
const KINDS: ContainerKind[] = [...SUPPLY_KINDS, ...WASTE_KINDS, ...CARRIER_KINDS]

const levelOf = (id: string) => props.stay.levels.find(({ container }) => container === id)?.level.value ?? 0

const rename = (id: string, name: string) => workspace.act(renameContainer(props.rig.id, id, name))

function add(kind: ContainerKind) {
  const same = props.rig.containers.filter((container) => container.kind === kind).length
  const name = same === 0 ? t.kinds[kind] : `${t.kinds[kind]} ${same + 1}`
  workspace.act(addContainer(props.rig.id, kind, newId('tank'), name))
}

function remove(id: string) {
  workspace.act(removeContainer(props.rig.id, id))
}

/** Why a tank cannot go yet; null: it can. */
function heldBy({ id }: Container): string | null {
  if (props.rig.containers.length === 1) return t.rig.lastTank
  const led = props.rig.fixtures
    .filter(({ draws, drains, solids }) => draws === id || drains === id || solids === id)
    .map(({ name }) => name)
  return led.length > 0 ? t.rig.inUse(listed(led)) : null
}

/** Joined tanks are counted as one. */
const modelIdOf = (id: string) =>
  forecast.model?.containers.find(({ members }) => members.includes(id))?.id ?? id

function daysOf(id: string): string {
  const index = forecast.model?.containers.findIndex(({ members }) => members.includes(id)) ?? -1
  const days = forecast.result?.containers[index]
  return days == null
    ? t.gauge.never(formatNumber(forecast.model?.horizonDays ?? 0, 0))
    : t.gauge.days(formatDays(days))
}
</script>

<template>
  <div>
    <p class="text-soft">{{ t.rig.tanksHint }}</p>
    <ul class="mt-2">
      <li
        v-for="container in rig.containers"
        :key="container.id"
        :class="[
          'grid grid-cols-2 items-start gap-x-4 gap-y-2 border-t border-line py-4',
          'lg:grid-cols-[minmax(0,5fr)_repeat(3,minmax(0,3fr))_5rem_3rem]',
        ]"
        :data-testid="`tank-${container.id}`"
        :data-anchor="`tank-${container.id}`"
      >
        <TextField
          class="col-span-2 lg:col-span-1"
          :label="t.kinds[container.kind]"
          :value="container.name"
          :save="(name) => rename(container.id, name)"
        />
        <QuantityField
          :label="container.kind === 'solids' ? t.tank.uses : t.rig.capacity"
          :value="container.capacity.value"
          :dimension="container.kind === 'solids' ? 'uses' : 'volume'"
          :min="container.kind === 'solids' ? 1 : LIMITS.capacityL.min"
          :max="container.kind === 'solids' ? LIMITS.binUses.max : LIMITS.capacityL.max"
          :save="(litres) => workspace.act(setCapacity(rig.id, container.id, litres))"
        />
        <QuantityField
          v-if="'reserve' in container"
          :label="t.rig.reserve"
          :value="container.reserve.value"
          dimension="volume"
          :min="0"
          :max="LIMITS.levelL.max"
          :save="(litres) => workspace.act(setReserve(rig.id, container.id, litres))"
        />
        <QuantityField
          v-else-if="'safeFill' in container"
          :label="t.rig.safeFill"
          :value="container.safeFill.value"
          dimension="percent"
          :min="0.05"
          :max="1"
          :save="(share) => workspace.act(setSafeFill(rig.id, container.id, share))"
        />
        <span v-else class="max-lg:hidden" />
        <div>
          <p class="text-[0.92rem] font-semibold text-soft">{{ t.rig.start }}</p>
          <p v-if="forecast.stayCase?.passed" class="text-[0.95rem] leading-tight text-soft">
            {{ t.camp.levelsPassed }}
          </p>
          <template v-else>
            <p class="figure flex flex-wrap items-baseline gap-x-2 text-lg font-semibold">
              {{ level(levelOf(container.id), unitOf(container.kind)) }}
              <LevelButton :members="[container.id]" :name="container.name" />
            </p>
            <p v-if="levelOf(container.id) > fullOf(container)" class="mt-1 text-[0.95rem] font-semibold">
              {{ t.rig.tooFull }}
            </p>
          </template>
        </div>
        <span v-if="'shell' in container && !('safeFill' in container)" class="max-lg:hidden" />
        <button
          v-else
          type="button"
          class="figure min-h-11 self-end text-left text-xl font-bold underline decoration-line decoration-2 underline-offset-4"
          :class="modelIdOf(container.id) === forecast.result?.stopper ? 'text-oxide' : ''"
          :aria-label="`${daysOf(container.id)}. ${t.gauge.why(container.name)}`"
          @click="why.ask({ kind: 'count', container: modelIdOf(container.id) })"
        >
          {{ daysOf(container.id) }}
        </button>
        <AppButton
          kind="quiet"
          class="self-end justify-self-end max-lg:col-span-2 max-lg:-mt-3"
          :disabled="heldBy(container) !== null"
          :aria-label="t.rig.remove(container.name)"
          :title="heldBy(container) ?? undefined"
          @click="remove(container.id)"
        >
          <Trash2 :size="20" aria-hidden="true" />
        </AppButton>
        <p v-if="heldBy(container) && rig.containers.length > 1" class="sr-only">{{ heldBy(container) }}</p>
        <details class="col-span-2 lg:col-span-6">
          <summary class="min-h-11 cursor-pointer py-2.5 text-[0.95rem] font-semibold text-soft">
            {{ t.tank.more(container.name) }}
          </summary>
          <TankDetails :rig="rig" :container="container" />
        </details>
      </li>
    </ul>
    <div class="flex flex-wrap items-center gap-x-2 gap-y-2 border-t border-line pt-3">
      <span class="font-semibold text-soft">{{ t.rig.addLabel }}</span>
      <AppButton
        v-for="kind in KINDS"
        :key="kind"
        :aria-label="t.rig.add(t.kinds[kind].toLowerCase())"
        @click="add(kind)"
        >{{ t.kinds[kind] }}</AppButton
      >
    </div>
  </div>
</template>
