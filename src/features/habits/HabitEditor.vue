<script setup lang="ts">
import { Trash2 } from '@lucide/vue'
import {
  OWN_EFFECTS,
  addEffect,
  changeHabit,
  putEffect,
  removeEffect,
  type OwnEffect,
} from '@/actions/habits'
import { GEAR, LAND_RULES, NEVER_RATIONED, type Gear, type Habit, type LandRule } from '@/core/domain'
import { owned } from '@/core/quantities'
import { useForecastStore } from '@/data/forecastStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { LIMITS } from '@/document'
import ChoiceField from '@/parts/fields/ChoiceField.vue'
import QuantityField from '@/parts/fields/QuantityField.vue'
import TextField from '@/parts/fields/TextField.vue'
import { quantityOf } from '@/parts/useEffectWords'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'

const props = defineProps<{ habit: Habit }>()
defineEmits<{ remove: [] }>()
const forecast = useForecastStore()
const workspace = useWorkspaceStore()

const change = (patch: Parameters<typeof changeHabit>[1]) => workspace.act(changeHabit(props.habit.id, patch))
/** Drinking and hand-washing are never rationed, so they are not offered. */
const activities = () =>
  (forecast.crew?.activities ?? [])
    .filter(({ kind }) => !NEVER_RATIONED.includes(kind))
    .map(({ id, name }) => ({ value: id, label: name }))
const add = () => workspace.act(addEffect(props.habit.id, activities()[0]?.value ?? 'shower'))
const put = (i: number, kind: OwnEffect, activity: string, value: number) =>
  workspace.act(putEffect(props.habit.id, i, kind, activity, value))
</script>

<template>
  <div class="grid gap-3 border-l-4 border-line pb-3 pl-4">
    <TextField :label="t.habits.name" :value="habit.name" :save="(name) => change({ name })" />
    <TextField :label="t.habits.note" :value="habit.note" :save="(note) => change({ note })" />
    <div
      v-for="(effect, i) in habit.effects"
      :key="i"
      class="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)_auto] items-end gap-x-3 gap-y-2 border-t border-line pt-2"
    >
      <ChoiceField
        :label="t.habits.activity"
        :value="effect.activity"
        :options="activities()"
        @choose="put(i, effect.kind as OwnEffect, $event, quantityOf(effect).value)"
      />
      <ChoiceField
        :label="t.habits.effect"
        :value="effect.kind"
        :options="OWN_EFFECTS.map((value) => ({ value, label: t.habits.kinds[value] }))"
        @choose="put(i, $event as OwnEffect, effect.activity, quantityOf(effect).value)"
      />
      <AppButton
        kind="quiet"
        :aria-label="`${t.habits.remove(t.habits.effect)} ${i + 1}`"
        @click="workspace.act(removeEffect(habit.id, i))"
      >
        <Trash2 :size="20" aria-hidden="true" />
      </AppButton>
      <QuantityField
        :label="t.habits.amount"
        :value="quantityOf(effect).value"
        :dimension="effect.kind === 'replace' ? 'volume' : effect.kind === 'redirect' ? 'percent' : 'number'"
        :min="0"
        :max="effect.kind === 'redirect' ? 1 : LIMITS.factor.max"
        :save="(value) => put(i, effect.kind as OwnEffect, effect.activity, value)"
      />
    </div>
    <AppButton class="justify-self-start" @click="add">{{ t.habits.addEffect }}</AppButton>
    <div class="grid grid-cols-2 gap-3">
      <QuantityField
        :label="t.habits.bother"
        :value="habit.bother.value"
        dimension="number"
        :min="0"
        :max="5"
        :save="(value) => change({ bother: owned(value) })"
      />
      <ChoiceField
        :label="t.habits.permission"
        :value="habit.permission ?? ''"
        :options="[
          { value: '', label: t.habits.none },
          ...LAND_RULES.map((value) => ({ value, label: t.landRules[value] })),
        ]"
        @choose="change({ permission: $event === '' ? null : ($event as LandRule) })"
      />
      <ChoiceField
        :label="t.habits.gear"
        :value="habit.gear[0] ?? ''"
        :options="[
          { value: '', label: t.habits.none },
          ...GEAR.map((value) => ({ value, label: t.gearNames[value] })),
        ]"
        @choose="change({ gear: $event === '' ? [] : [$event as Gear] })"
      />
    </div>
    <AppButton kind="quiet" class="justify-self-start" @click="$emit('remove')">{{
      t.habits.remove(habit.name)
    }}</AppButton>
  </div>
</template>
