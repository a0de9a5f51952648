<script setup lang="ts">
import { computed, reactive } from 'vue'
import { toldUse, type Told } from '@/core/log'
import { addWallDays, dayAndPartOf, dayZero } from '@/core/calendar'
import type { Id } from '@/core/domain'
import { useForecastStore } from '@/data/forecastStore'
import { useLogStore } from '@/data/logStore'
import { dayAndTime, formatDate } from '@/texts'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import AppStepper from '@/ui/AppStepper.vue'
import { eveningOf } from './keys'
import { useLogging } from './useLogging'

/** Yesterday's and today's counts on one screen: what is there already is counted, and what is more is logged. */
const emit = defineEmits<{ done: [words: string] }>()
const forecast = useForecastStore()
const log = useLogStore()
const { keys, silent } = useLogging()
const MOST = 60

const now = log.at
const start = forecast.stay!.start
const today = dayAndPartOf(start, now).day
const days = [today - 1, today].filter((day) => day >= 0)
const labelOf = (day: number) =>
  `${day === today ? t.log.catchUp.today : t.log.catchUp.yesterday}, ${formatDate(addWallDays(dayZero(start), day))}`
const logged = (day: number, id: Id) =>
  log.entries.reduce(
    (sum, entry) =>
      entry.kind === 'use' && entry.activity === id && dayAndPartOf(start, entry.at).day === day
        ? sum + entry.n
        : sum,
    0,
  )
const more = reactive<Record<string, number>>({})
const rows = computed(() => keys.value.map(({ activity, isCounted }) => ({ activity, isCounted })))
const at = (day: number, id: Id) => more[`${day} ${id}`] ?? 0
const set = (day: number, id: Id, n: number) => void (more[`${day} ${id}`] = n)
const told = computed(() =>
  days.flatMap((day) =>
    rows.value.flatMap(({ activity: { id } }): Told[] => {
      const n = at(day, id)
      return n > 0 ? [toldUse(eveningOf(start, day, now), id, n)] : []
    }),
  ),
)
function save() {
  const { result, made } = log.add(told.value)
  if (result.ok) emit('done', t.log.logged(t.log.list.count(String(made.length)), dayAndTime(now)))
}
</script>

<template>
  <form class="mt-1" data-testid="catch-up" @submit.prevent="save">
    <p v-if="silent" class="font-semibold" data-testid="silence">
      {{ t.log.silent(dayAndTime(silent)) }} {{ t.log.catchUp.silence }}
    </p>
    <p class="text-soft">{{ t.log.catchUp.text }}</p>
    <section v-for="day in days" :key="day" class="pt-3">
      <h3 class="text-lg font-bold">{{ labelOf(day) }}</h3>
      <ul>
        <li
          v-for="{ activity, isCounted } in rows"
          :key="activity.id"
          class="flex flex-wrap items-center justify-between gap-x-3 border-b border-line py-1"
          :data-testid="`catch-${day}-${activity.id}`"
        >
          <span>
            <span class="min-w-0 font-semibold wrap-anywhere">{{ activity.name }}</span>
            <span class="block text-[0.85rem] text-soft">{{
              isCounted ? t.learned.count : t.log.catchUp.usual
            }}</span>
          </span>
          <AppStepper
            :value="logged(day, activity.id) + at(day, activity.id)"
            :text="String(logged(day, activity.id) + at(day, activity.id))"
            :min="logged(day, activity.id)"
            :max="MOST"
            :fewer="`${t.log.use.fewer}: ${activity.name}`"
            :more="`${t.log.use.moreOf}: ${activity.name}`"
            @change="set(day, activity.id, $event - logged(day, activity.id))"
          />
        </li>
      </ul>
    </section>
    <AppButton kind="primary" class="mt-4" :disabled="told.length === 0" @click="save">{{
      told.length === 0 ? t.log.catchUp.nothing : t.log.catchUp.save
    }}</AppButton>
  </form>
</template>
