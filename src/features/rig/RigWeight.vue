<script setup lang="ts">
import { computed } from 'vue'
import { recordPayload, setPayload } from '@/actions/rig'
import { setLiftLimit } from '@/actions/people'
import { addWallDays, dayZero, wallDaysBetween } from '@/core/calendar'
import { partAt } from '@/core/count'
import type { Crew, Rig, Stay } from '@/core/domain'
import { aboardByDay, aboardKg, fillOnlyTo, lifts } from '@/core/rig'
import RigSize from './RigSize.vue'
import { weightWhen } from './useRigAnswers'
import { useForecastStore } from '@/data/forecastStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { LIMITS } from '@/document'
import QuantityField from '@/parts/fields/QuantityField.vue'
import { useAmounts } from '@/parts/useAmounts'
import { formatDate, formatShortDay } from '@/texts'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'

const props = defineProps<{ rig: Rig; crew: Crew; stay: Stay }>()
const forecast = useForecastStore()
const workspace = useWorkspaceStore()
const { mass, level } = useAmounts()

const room = computed(() =>
  props.rig.payload ? props.rig.payload.limit.value - props.rig.payload.other.value : null,
)
const now = computed(() => {
  const { model, result } = forecast
  return model && result ? aboardKg(model, result.ledger, -1) : 0
})
const when = computed(() => weightWhen(forecast.stayCase))
const days = computed(() => {
  const { model, result } = forecast
  if (!model || !result) return []
  const parts = partAt(model, wallDaysBetween(model.start, props.stay.leaveAt)) + 1
  const zero = dayZero(props.stay.start)
  return aboardByDay(model, result.ledger, parts).map(({ day, most }) => ({
    most,
    label: formatDate(addWallDays(zero, day)),
    short: formatShortDay(addWallDays(zero, day)),
  }))
})
const heaviest = computed(() => days.value.reduce((a, b) => (b.most > a.most ? b : a), days.value[0]!))
const scale = computed(() => Math.max(1, room.value ?? 0, ...days.value.map(({ most }) => most)) * 1.08)
const roadFills = computed(() => {
  const { model } = forecast
  if (!model || !props.rig.payload) return []
  return props.rig.containers
    .filter(({ kind }) => kind === 'fresh')
    .map(({ id, name, capacity }) => {
      const litres = fillOnlyTo(props.rig, model, id)!
      if (litres >= capacity.value) return t.weight.fillFull(name)
      return litres <= 0 ? t.weight.fillNone(name) : t.weight.fillTo(name, level(litres, 'L'))
    })
})
const lifted = computed(() =>
  lifts(props.rig, props.crew).map((lift) => {
    const { name, kind } = props.rig.containers.find(({ id }) => id === lift.container)!
    const unit = kind === 'solids' ? ('uses' as const) : ('L' as const)
    const words =
      lift.carryAt === null
        ? t.weight.light
        : lift.carryAt <= 0
          ? t.weight.tooHeavy
          : t.weight.carryAt(level(lift.carryAt, unit))
    return { ...lift, name, words }
  }),
)

const savePayload = (what: 'limit' | 'other') => (kg: number) =>
  workspace.act(setPayload(props.rig.id, what, kg))
const record = () => workspace.act(recordPayload(props.rig.id))
function setLift(kg: number) {
  return workspace.act(setLiftLimit(props.crew.id, kg))
}
</script>

<template>
  <div>
    <p class="text-soft">{{ t.weight.hint }}</p>
    <div class="mt-3 grid gap-x-12 gap-y-6 lg:grid-cols-2">
      <div class="min-w-0">
        <div v-if="rig.payload" class="grid grid-cols-2 gap-4">
          <QuantityField
            :label="t.weight.limit"
            :value="rig.payload.limit.value"
            dimension="mass"
            :min="0"
            :max="LIMITS.payloadKg.max"
            :save="savePayload('limit')"
          />
          <QuantityField
            :label="t.weight.other"
            :value="rig.payload.other.value"
            dimension="mass"
            :min="0"
            :max="LIMITS.payloadKg.max"
            :save="savePayload('other')"
          />
        </div>
        <AppButton v-else @click="record">{{ t.weight.record }}</AppButton>
        <p class="mt-3 text-lg leading-snug font-bold" data-testid="weight-now">
          {{ t.weight.now(mass(now), when) }}
          <template v-if="room !== null">{{
            now > room ? t.weight.over(mass(Math.ceil(now - room)), when) : t.weight.room(mass(room))
          }}</template>
        </p>
        <p v-for="words in roadFills" :key="words" class="mt-1" data-testid="road-fill">{{ words }}</p>
        <div v-if="days.length > 0" class="relative mt-5" aria-hidden="true">
          <div class="flex h-28 items-end gap-1 border-b-2 border-ink">
            <div
              v-for="day in days"
              :key="day.label"
              class="min-w-0 flex-1 border-2 border-b-0 border-ink"
              :class="room !== null && day.most > room ? 'hatch-over' : 'bg-post'"
              :style="{ height: `${(100 * day.most) / scale}%` }"
            />
          </div>
          <div
            v-if="room !== null"
            class="absolute inset-x-0"
            :style="{ bottom: `${1.6 + (7 * room) / scale}rem` }"
          >
            <div class="border-t-3 border-dashed border-ink" />
          </div>
          <div class="flex gap-1">
            <span
              v-for="(day, d) in days"
              :key="day.label"
              :class="[
                'figure flex h-[1.6rem] min-w-0 flex-1 justify-center text-[0.85rem]',
                'first:justify-start last:justify-end whitespace-nowrap text-soft',
              ]"
              >{{ d % Math.ceil(days.length / 7) === 0 ? day.short : '' }}</span
            >
          </div>
        </div>
        <p v-if="heaviest">{{ t.weight.heaviest(mass(heaviest.most), heaviest.label) }}</p>
        <details>
          <summary class="min-h-11 cursor-pointer py-2.5 font-semibold text-soft">
            {{ t.weight.table }}
          </summary>
          <table class="w-full max-w-sm">
            <thead>
              <tr class="border-b-2 border-ink text-left">
                <th class="py-1">{{ t.weight.day }}</th>
                <th class="py-1 text-right">{{ t.weight.kg }}</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="day in days" :key="day.label" class="border-b border-line">
                <td class="py-1">{{ day.label }}</td>
                <td class="figure py-1 text-right">{{ mass(day.most) }}</td>
              </tr>
            </tbody>
          </table>
        </details>
      </div>
      <div>
        <template v-if="lifted.length > 0">
          <h3 class="text-lg font-bold">{{ t.weight.lifts }}</h3>
          <QuantityField
            class="max-w-40"
            :label="t.weight.lift"
            :value="crew.liftLimit.value"
            dimension="mass"
            :min="1"
            :max="LIMITS.kg.max"
            :save="setLift"
          />
          <ul class="mt-2">
            <li
              v-for="lift in lifted"
              :key="lift.container"
              class="flex flex-wrap items-baseline gap-x-4 border-t border-line py-2"
              :data-testid="`lift-${lift.container}`"
            >
              <span class="grow font-bold wrap-anywhere">{{ lift.name }}</span>
              <span class="figure">{{ t.weight.liftRow(mass(lift.full)) }}</span>
              <span class="w-full" :class="lift.carryAt === null ? 'text-soft' : 'font-bold'">{{
                lift.words
              }}</span>
            </li>
          </ul>
        </template>
        <RigSize :rig="rig" />
      </div>
    </div>
  </div>
</template>
