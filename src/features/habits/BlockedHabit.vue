<script setup lang="ts">
import { computed } from 'vue'
import { addGear } from '@/actions/rig'
import { neverHolds } from '@/core/habits'
import { useForecastStore } from '@/data/forecastStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import HabitRow from '@/parts/habits/HabitRow.vue'
import type { useHabitRows } from '@/parts/habits/useHabitRows'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'

/** A habit that lacks gear or a rule, and how it can be had. */
const props = defineProps<{ row: ReturnType<typeof useHabitRows>['value'][0] }>()
const forecast = useForecastStore()
const workspace = useWorkspaceStore()
const never = computed(() => forecast.stay && neverHolds(props.row.habit, forecast.stay))

function haveGear() {
  workspace.act(addGear(forecast.rig!.id, props.row.habit.gear))
}
</script>

<template>
  <HabitRow v-bind="row">
    <p v-if="row.blockedBy!.gear.length > 0" class="flex flex-wrap items-center gap-x-3 font-semibold">
      {{ t.habits.needsGear(row.blockedBy!.gear.map((item) => t.gearNames[item]).join(', ')) }}
      <AppButton kind="quiet" :aria-label="`${t.habits.haveIt}: ${row.habit.name}`" @click="haveGear">{{
        t.habits.haveIt
      }}</AppButton>
    </p>
    <p v-if="row.blockedBy!.permission" class="flex flex-wrap items-center gap-x-3 font-semibold">
      {{ t.habits.needsRule(t.landRules[row.blockedBy!.permission]) }}
      <RouterLink
        :to="{ path: '/stay', query: { show: 'land' } }"
        class="inline-flex min-h-11 items-center underline decoration-2 underline-offset-4"
        >{{ t.habits.record }}</RouterLink
      >
    </p>
    <p v-if="never" class="text-[0.95rem] font-semibold">{{ t.habits.never[never] }}</p>
    <p v-if="row.habit.cautions.includes('land-rules')" class="text-[0.95rem] leading-snug">
      {{ t.cautions['land-rules'] }}
    </p>
  </HabitRow>
</template>
