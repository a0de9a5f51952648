<script setup lang="ts">
import { useRouter } from 'vue-router'
import { useClockStore } from '@/data/clockStore'
import { useDecideStore } from '@/data/decideStore'
import { useForecastStore } from '@/data/forecastStore'
import NoStay from '@/parts/NoStay.vue'
import { usePlaceWords } from '@/parts/places/usePlaceWords'
import { dayAndTime, formatClock, formatDate } from '@/texts'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import { usePlan } from './usePlan'

/** The plan of a stay on one sheet: what has to be decided when, the runs, the places they go to. */
const forecast = useForecastStore()
const clock = useClockStore()
const router = useRouter()
useDecideStore().follow()
const plan = usePlan()
const words = usePlaceWords()
const print = () => {
  window.print()
}
</script>

<template>
  <NoStay v-if="!forecast.stay" :title="t.runs.title" />
  <div
    v-else
    class="mx-auto max-w-[50rem] py-4 wrap-anywhere print:py-0 print:text-[10.5pt]"
    data-testid="plan"
  >
    <div class="flex gap-3 pb-4 print:hidden">
      <AppButton kind="quiet" @click="router.push('/runs')">{{ t.takeAlong.back }}</AppButton>
      <AppButton kind="primary" @click="print">{{ t.takeAlong.printNow }}</AppButton>
    </div>
    <h1 class="text-2xl font-extrabold print:text-xl">{{ t.takeAlong.plan(forecast.stay.name) }}</h1>
    <p class="text-soft">
      {{ formatDate(forecast.stay.start) }} – {{ formatDate(forecast.stay.leaveAt, clock.now) }}.
      {{ t.takeAlong.printed(dayAndTime(clock.now)) }}.
    </p>
    <ul class="mt-2 text-lg leading-snug font-semibold print:text-[11pt]" data-testid="plan-decide">
      <li v-for="one in plan.pressing.value" :key="one.id">
        {{ one.short }} <span class="font-normal">{{ one.after }}</span>
      </li>
    </ul>
    <p v-if="plan.rows.value.length === 0" class="mt-3">{{ t.takeAlong.noRuns }}</p>
    <ol v-else class="mt-3 border-t-2 border-ink">
      <li
        v-for="row in plan.rows.value"
        :key="row.run.id"
        class="grid break-inside-avoid gap-x-4 border-b border-line py-1.5 print:py-1"
        :class="'sm:grid-cols-[11rem_minmax(0,1fr)] print:grid-cols-[9rem_minmax(0,1fr)]'"
      >
        <p class="font-semibold">
          {{ row.when }}
          <span v-if="row.leave" class="figure block font-normal"
            >{{ t.takeAlong.leave }} {{ formatClock(row.leave) }}</span
          >
        </p>
        <div>
          <p class="font-bold">
            {{ row.run.name }}<template v-if="row.place">, {{ row.place.name }}</template
            ><template v-if="row.there">, {{ formatClock(row.there) }}</template>
          </p>
          <p v-if="row.does" class="figure leading-snug">{{ row.does }}</p>
          <p class="text-soft">{{ row.takes }}</p>
          <p v-for="trouble in row.troubles" :key="trouble" class="font-semibold text-oxide">{{ trouble }}</p>
        </div>
      </li>
    </ol>
    <template v-if="plan.used.value.length > 0">
      <h2 class="mt-4 font-bold print:mt-2">{{ t.takeAlong.placesTitle }}</h2>
      <ul class="figure leading-snug">
        <li v-for="place in plan.used.value" :key="place.id" class="border-b border-line py-1">
          <strong>{{ place.name }}</strong>: {{ words.road(place) ?? t.places.noRoad }};
          {{ place.opening ?? t.places.unknownHours }}; {{ t.places.takes(words.takes(place)) }};
          {{ t.places.waterOf(words.water(place)) }}<template v-if="place.note">; {{ place.note }}</template>
        </li>
      </ul>
    </template>
    <p class="mt-3 text-[0.95rem] text-soft print:text-[9pt]">{{ t.runs.safety }}</p>
  </div>
</template>
