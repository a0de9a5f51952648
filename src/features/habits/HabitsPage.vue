<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { daysPerBother, neverHolds } from '@/core/habits'
import type { Habit } from '@/core/model'
import { useAdviceStore } from '@/data/adviceStore'
import { useForecastStore } from '@/data/forecastStore'
import { newId } from '@/data/newId'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { addMissingHabits, newHabit, removeHabit, setGear, setHabit } from '@/document/edits'
import { STARTER_HABIT_IDS, starterHabits } from '@/document/starters'
import NoStay from '@/parts/NoStay.vue'
import PageHead from '@/parts/PageHead.vue'
import HabitRow from '@/parts/habits/HabitRow.vue'
import { t } from '@/texts'
import AppButton from '@/ui/AppButton.vue'
import FlushSides from './FlushSides.vue'
import HabitDays from './HabitDays.vue'
import HabitDetails from './HabitDetails.vue'
import HabitEditor from './HabitEditor.vue'
import ReachPanel from './ReachPanel.vue'

const forecast = useForecastStore()
const workspace = useWorkspaceStore()
const advice = useAdviceStore()
advice.follow('worth')
const edited = ref<string | null>(null)

const stopper = computed(
  () => forecast.model?.containers.find(({ id }) => id === forecast.result?.stopper)?.name ?? null,
)
/** Most days to plan on for the bother first, as they stood when they were first known: nothing moves under the thumb. */
const order = ref<string[]>([])
const botherOf = (habit: string) =>
  workspace.document.habits.find(({ id }) => id === habit)?.bother.value ?? 0
let isOrderFinal = false
watch(
  () => forecast.stay?.id,
  () => {
    isOrderFinal = false
    order.value = [...forecast.bought]
      .sort((a, b) => daysPerBother(b.days, botherOf(b.habit)) - daysPerBother(a.days, botherOf(a.habit)))
      .map(({ habit }) => habit)
  },
  { immediate: true },
)
watch(
  () => advice.worth,
  (worth) => {
    if (isOrderFinal || worth.size === 0) return
    isOrderFinal = true
    order.value = [...worth.values()]
      .sort((a, b) => daysPerBother(b.planOn, botherOf(b.habit)) - daysPerBother(a.planOn, botherOf(a.habit)))
      .map(({ habit }) => habit)
  },
  { immediate: true },
)
const rows = computed(() => {
  const place = (id: string) => (order.value.includes(id) ? order.value.indexOf(id) : order.value.length)
  return [...forecast.bought]
    .sort((a, b) => place(a.habit) - place(b.habit))
    .map((bought) => ({
      ...bought,
      planOn: advice.worth.get(bought.habit)?.planOn ?? null,
      habit: workspace.document.habits.find(({ id }) => id === bought.habit)!,
    }))
})
const never = (habit: Habit) => forecast.stay && neverHolds(habit, forecast.stay)
const daysOf = (id: string) => forecast.stay?.habits.find(({ habit }) => habit === id)?.days ?? null
/** The habit of the same group that is on and would give way. */
function rivalOf({ id, group }: Habit): string | null {
  const isRival = (other: Habit) => group !== null && other.group === group && other.id !== id
  const on = forecast.stay?.habits.map(({ habit }) => habit) ?? []
  return workspace.document.habits.find((other) => isRival(other) && on.includes(other.id))?.name ?? null
}
const free = computed(() => rows.value.filter(({ blockedBy }) => blockedBy === null))
const blocked = computed(() => rows.value.filter(({ blockedBy }) => blockedBy !== null))
const isOwn = ({ id }: Habit) => !(STARTER_HABIT_IDS as readonly string[]).includes(id)
const missing = computed(
  () => STARTER_HABIT_IDS.filter((id) => !workspace.document.habits.some((habit) => habit.id === id)).length,
)

function toggle(habit: string, on: boolean) {
  const stayId = forecast.stay!.id
  workspace.edit('habit', (draft) => setHabit(draft, stayId, habit, on))
}
function haveGear(habit: Habit) {
  const { id } = forecast.rig!
  workspace.edit('rig', (draft) => {
    for (const item of habit.gear) setGear(draft, id, item, true)
  })
}
function add() {
  const id = newId('habit')
  workspace.edit('habit', (draft) => void draft.habits.push(newHabit(id, t.habits.own)))
  edited.value = id
}
const addCatalogue = () =>
  workspace.edit('habit', (draft) => addMissingHabits(draft, starterHabits(t.starters)))
</script>

<template>
  <NoStay v-if="!forecast.stay || !forecast.crew" :title="t.habits.title" />
  <div v-else data-anchor="habits">
    <PageHead :title="t.habits.title" />
    <p class="text-lg">{{ stopper ? t.habits.lead(stopper) : t.habits.leadNone }}</p>
    <ReachPanel class="mt-4" />
    <h2 class="mt-8 text-xl font-bold">{{ t.habits.catalogue }}</h2>
    <p v-if="advice.hasFailed" class="text-soft" role="status">{{ t.sure.failed }}</p>
    <ul class="mt-2 grid gap-x-12 lg:grid-cols-2">
      <HabitRow
        v-for="row in free"
        :key="row.habit.id"
        v-bind="row"
        :is-behind="!advice.isWorthCurrent"
        @toggle="toggle(row.habit.id, $event)"
      >
        <p
          v-if="row.on && row.habit.cautions.length > 0"
          class="mt-1 border-l-4 border-ink pl-2 text-[0.95rem] leading-snug"
        >
          {{ row.habit.cautions.map((caution) => t.cautions[caution]).join(' ') }}
        </p>
        <p v-if="never(row.habit)" class="text-[0.95rem] font-semibold">
          {{ t.habits.never[never(row.habit)!] }}
        </p>
        <p v-if="!row.on && rivalOf(row.habit)" class="text-[0.95rem] font-semibold">
          {{ t.habits.inPlaceOf(rivalOf(row.habit)!) }}
        </p>
        <HabitDays
          v-if="row.on"
          :stay="forecast.stay"
          :habit="row.habit.id"
          :name="row.habit.name"
          :days="daysOf(row.habit.id)"
        />
        <details v-if="isOwn(row.habit)" :open="edited === row.habit.id">
          <summary class="min-h-11 cursor-pointer py-2.5 text-[0.95rem] font-semibold text-soft">
            {{ t.habits.edit(row.habit.name) }}
          </summary>
          <HabitEditor
            :habit="row.habit"
            @remove="workspace.edit('habit', (draft) => removeHabit(draft, row.habit.id))"
          />
        </details>
        <HabitDetails v-else :habit="row.habit" :on="row.on" :pushes="row.pushes" :plan-on="row.planOn" />
      </HabitRow>
    </ul>
    <FlushSides :crew="forecast.crew" />
    <section v-if="blocked.length > 0" class="pt-8" aria-labelledby="blocked">
      <h2 id="blocked" class="text-xl font-bold">{{ t.habits.needs }}</h2>
      <ul class="mt-1 grid gap-x-12 lg:grid-cols-2">
        <HabitRow v-for="row in blocked" :key="row.habit.id" v-bind="row">
          <p v-if="row.blockedBy!.gear.length > 0" class="flex flex-wrap items-center gap-x-3 font-semibold">
            {{ t.habits.needsGear(row.blockedBy!.gear.map((item) => t.gearNames[item]).join(', ')) }}
            <AppButton
              kind="quiet"
              :aria-label="`${t.habits.haveIt}: ${row.habit.name}`"
              @click="haveGear(row.habit)"
              >{{ t.habits.haveIt }}</AppButton
            >
          </p>
          <p v-if="row.blockedBy!.permission" class="flex flex-wrap items-center gap-x-3 font-semibold">
            {{ t.habits.needsRule(t.landRules[row.blockedBy!.permission]) }}
            <RouterLink
              :to="{ path: '/stay', query: { show: 'land' } }"
              class="inline-flex min-h-11 items-center underline decoration-2 underline-offset-4"
              >{{ t.habits.record }}</RouterLink
            >
          </p>
          <p v-if="never(row.habit)" class="text-[0.95rem] font-semibold">
            {{ t.habits.never[never(row.habit)!] }}
          </p>
          <p v-if="row.habit.cautions.includes('land-rules')" class="text-[0.95rem] leading-snug">
            {{ t.cautions['land-rules'] }}
          </p>
        </HabitRow>
      </ul>
    </section>
    <div class="mt-6 flex flex-wrap gap-3">
      <AppButton @click="add">{{ t.habits.add }}</AppButton>
      <AppButton v-if="missing > 0" kind="quiet" @click="addCatalogue">{{
        t.habits.missing(missing)
      }}</AppButton>
    </div>
  </div>
</template>
