<script setup lang="ts">
import { report } from '@/data/report'
import { ref } from 'vue'
import { useForecastStore } from '@/data/forecastStore'
import { fileName } from '@/document'
import { saveFile } from '@/parts/files/saveFile'
import { usePlaceWords } from '@/parts/places/usePlaceWords'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import { usePlan } from './usePlan'

/** The plan for the calendar, the way finder, the wall and the messenger. */
const forecast = useForecastStore()
const plan = usePlan()
const place = usePlaceWords()
const said = ref('')
const shown = ref('')
const nameOf = (end: string) => fileName(forecast.stay!.name).replace(/\.drycount\.json$/, `-runs.${end}`)
const isEmpty = () => plan.calendar.value.length === 0

async function calendar() {
  said.value = shown.value = ''
  const { runCalendar } = await import('@/document/runCalendar')
  const text = runCalendar(forecast.stay!, plan.calendar.value, Date.now())
  if (text === null) said.value = t.takeAlong.nothing
  else saveFile(text, nameOf('ics'), 'text/calendar')
}
async function gpx() {
  said.value = shown.value = ''
  const placed = plan.used.value.filter(({ position }) => position !== null)
  if (placed.length === 0) {
    said.value = t.places.noneWithPosition
    return
  }
  const [{ gpxOf }, { browserXml }] = await Promise.all([
    import('@/document/places/gpx'),
    import('@/parts/files/xml'),
  ])
  const about = (one: (typeof placed)[0]) =>
    [place.takes(one), place.hoursAt(one, place.moment.value)].join('; ')
  saveFile(gpxOf(placed, browserXml, about), nameOf('gpx'), 'application/gpx+xml')
}
async function csv() {
  said.value = shown.value = ''
  if (plan.lines.value.length === 0) {
    said.value = t.takeAlong.nothing
    return
  }
  const { scheduleToCsv } = await import('@/document/runsCsv')
  saveFile(scheduleToCsv(plan.lines.value), nameOf('csv'), 'text/csv')
}
async function copy() {
  said.value = shown.value = ''
  if (isEmpty()) {
    said.value = t.takeAlong.nothing
    return
  }
  try {
    await navigator.clipboard.writeText(plan.text.value)
    said.value = t.takeAlong.copied
  } catch (error) {
    said.value = t.takeAlong.notCopied
    report('copying the plan', error)
    shown.value = plan.text.value
  }
}
</script>

<template>
  <div data-testid="take-along">
    <div class="flex flex-wrap gap-3">
      <AppButton @click="calendar">{{ t.takeAlong.calendar }}</AppButton>
      <AppButton @click="gpx">{{ t.takeAlong.gpx }}</AppButton>
      <RouterLink
        to="/runs/print"
        class="inline-grid min-h-11 place-items-center border-2 border-ink px-4 font-semibold"
        >{{ t.takeAlong.print }}</RouterLink
      >
      <AppButton @click="csv">{{ t.takeAlong.csv }}</AppButton>
      <AppButton @click="copy">{{ t.takeAlong.copy }}</AppButton>
    </div>
    <p class="mt-2 text-[0.95rem] text-soft" role="status">{{ said || t.takeAlong.hint }}</p>
    <pre
      v-if="shown"
      class="mt-2 max-w-full border border-line bg-card p-3 text-base whitespace-pre-wrap select-all"
      tabindex="0"
      >{{ shown }}</pre>
  </div>
</template>
