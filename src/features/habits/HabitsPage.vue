<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { wallDaysBetween } from '@/core/calendar'
import { partAt } from '@/core/count'
import { flushRatios, switched, touchesFlush } from '@/core/habits'
import type { Habit } from '@/core/model'
import { owned } from '@/core/quantities'
import { useForecastStore } from '@/data/forecastStore'
import { newId } from '@/data/newId'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { LIMITS } from '@/document'
import { addMissingHabits, crewOf, newHabit, removeHabit, setGear, stayOf } from '@/document/edits'
import { STARTER_HABIT_IDS, starterHabits } from '@/document/starters'
import NoStay from '@/parts/NoStay.vue'
import PageHead from '@/parts/PageHead.vue'
import QuantityField from '@/parts/fields/QuantityField.vue'
import HabitRow from '@/parts/habits/HabitRow.vue'
import { useAmounts } from '@/parts/useAmounts'
import { useEffectWords } from '@/parts/useEffectWords'
import { t } from '@/texts'
import AppButton from '@/ui/AppButton.vue'
import HabitEditor from './HabitEditor.vue'

const forecast = useForecastStore()
const workspace = useWorkspaceStore()
const { volume } = useAmounts()
const effectWords = useEffectWords()
const edited = ref<string | null>(null)

const stopper = computed(
  () => forecast.model?.containers.find(({ id }) => id === forecast.result?.stopper)?.name ?? null,
)
/** Most days for the bother first, as they stood when the screen opened: nothing moves under the thumb. */
const order = ref<string[]>([])
const worth = ({ days, habit }: { days: number; habit: string }) =>
  days / (0.5 + (workspace.document.habits.find(({ id }) => id === habit)?.bother.value ?? 0))
watch(
  () => forecast.stay?.id,
  () => {
    order.value = [...forecast.bought].sort((a, b) => worth(b) - worth(a)).map(({ habit }) => habit)
  },
  { immediate: true },
)
const rows = computed(() => {
  const place = (id: string) => (order.value.includes(id) ? order.value.indexOf(id) : order.value.length)
  return [...forecast.bought]
    .sort((a, b) => place(a.habit) - place(b.habit))
    .map((bought) => ({ ...bought, habit: workspace.document.habits.find(({ id }) => id === bought.habit)! }))
})
const free = computed(() => rows.value.filter(({ blockedBy }) => blockedBy === null))
const blocked = computed(() => rows.value.filter(({ blockedBy }) => blockedBy !== null))
const isOwn = ({ id }: Habit) => !(STARTER_HABIT_IDS as readonly string[]).includes(id)
const missing = computed(
  () => STARTER_HABIT_IDS.filter((id) => !workspace.document.habits.some((habit) => habit.id === id)).length,
)

/** The least liquid per solid use up to the end of the stay, against what the crew keeps. */
const flush = computed(() => {
  const { model, result, stay, crew } = forecast
  if (!model || !result || !stay || !crew) return null
  const parts = partAt(model, wallDaysBetween(stay.start, stay.leaveAt)) + 1
  const least = flushRatios(model, result.ledger, parts).flatMap((ratio) =>
    ratio.least === null ? [] : [ratio.least],
  )
  if (least.length === 0) return null
  const floor = crew.flushFloor.value
  const now = Math.min(...least)
  return {
    floor,
    words: (now < floor ? t.habits.floorUnder : t.habits.floor)(volume(now), volume(floor)),
    isUnder: now < floor,
  }
})

function toggle(habit: string, on: boolean) {
  const stayId = forecast.stay!.id
  workspace.edit('habit', (draft) => {
    const stay = stayOf(draft, stayId)
    stay.habits = switched(draft, stay.habits, habit, on)
  })
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
function setFloor(litres: number) {
  const { id } = forecast.crew!
  return workspace.edit('crew', (draft) => void (crewOf(draft, id).flushFloor = owned(litres)), `floor ${id}`)
}
</script>

<template>
  <NoStay v-if="!forecast.stay || !forecast.crew" :title="t.habits.title" />
  <div v-else data-anchor="habits">
    <PageHead :title="t.habits.title" />
    <p class="text-lg">{{ stopper ? t.habits.lead(stopper) : t.habits.leadNone }}</p>
    <div
      v-if="flush"
      class="mt-3 flex flex-wrap items-center gap-x-6 gap-y-2 border-y border-line py-3"
      data-testid="flush-floor"
    >
      <p class="grow text-lg" :class="flush.isUnder ? 'font-bold' : ''">
        {{ flush.isUnder ? '▲ ' : '' }}{{ flush.words }}
      </p>
      <QuantityField
        class="w-40"
        :label="t.habits.floorField"
        :value="flush.floor"
        dimension="volume"
        :min="0"
        :max="LIMITS.volumeL.max"
        :save="setFloor"
      />
    </div>
    <ul class="mt-2 grid gap-x-12 lg:grid-cols-2">
      <HabitRow v-for="row in free" :key="row.habit.id" v-bind="row" @toggle="toggle(row.habit.id, $event)">
        <p
          v-if="row.on && row.habit.cautions.length > 0"
          class="mt-1 border-l-4 border-ink pl-2 text-[0.95rem] leading-snug"
        >
          {{ row.habit.cautions.map((caution) => t.cautions[caution]).join(' ') }}
        </p>
        <details v-if="isOwn(row.habit)" :open="edited === row.habit.id">
          <summary class="min-h-11 cursor-pointer py-2.5 text-[0.95rem] font-semibold text-soft">
            {{ t.habits.edit(row.habit.name) }}
          </summary>
          <HabitEditor
            :habit="row.habit"
            @remove="workspace.edit('habit', (draft) => removeHabit(draft, row.habit.id))"
          />
        </details>
        <details v-else>
          <summary class="min-h-11 cursor-pointer py-2.5 text-[0.95rem] font-semibold text-soft">
            {{ t.habits.effects }}
          </summary>
          <ul class="pb-2 text-[0.95rem] leading-snug">
            <li v-for="(effect, i) in row.habit.effects" :key="i">{{ effectWords(effect) }}</li>
            <li v-if="touchesFlush(row.habit, forecast.crew)">▲ {{ t.habits.touches }}</li>
            <li v-for="caution in row.habit.cautions" :key="caution">
              {{ t.habits.cautions }}: {{ t.cautions[caution] }}
            </li>
          </ul>
        </details>
      </HabitRow>
    </ul>
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
