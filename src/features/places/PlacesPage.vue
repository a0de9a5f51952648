<script setup lang="ts">
import { computed, ref } from 'vue'
import { setSite } from '@/actions/stay'
import { addWallDays, dayZero, slotNumber } from '@/core/calendar'
import type { Place } from '@/core/domain'
import { byRoad, judgedRuns, parsePosition, showPosition } from '@/core/places'
import { useForecastStore } from '@/data/forecastStore'
import { newId } from '@/data/newId'
import { usePlacesStore } from '@/data/placesStore'
import { useSettingsStore } from '@/data/settingsStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { newPlace } from '@/document/starters'
import ChoiceField from '@/parts/fields/ChoiceField.vue'
import { refusalWords } from '@/parts/fields/refusalWords'
import TextField from '@/parts/fields/TextField.vue'
import FoldSection from '@/parts/FoldSection.vue'
import NoStay from '@/parts/NoStay.vue'
import PlaceDialog from '@/parts/places/PlaceDialog.vue'
import PlacesMap from '@/parts/places/PlacesMap.vue'
import { useOpenPlace } from '@/parts/places/openPlace'
import { usePlaceEdit } from '@/parts/places/usePlaceEdit'
import { usePlaceWords } from '@/parts/places/usePlaceWords'
import { whenOf } from '@/parts/runs/useRuns'
import { formatClock, formatDate, formatNumber, formatRoad } from '@/texts'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import PlacesIn from './PlacesIn.vue'
import PlacesOut from './PlacesOut.vue'
import PlacesRoad from './PlacesRoad.vue'

/** Where one can go: what is open when, the map and the same as a table; brought in, taken out, put in by hand. */
const forecast = useForecastStore()
const places = usePlacesStore()
places.follow()
const workspace = useWorkspaceStore()
const settings = useSettingsStore()
const open = useOpenPlace()
const edit = usePlaceEdit()
const words = usePlaceWords()

const inOrder = computed(() =>
  forecast.stayCase ? byRoad(forecast.stayCase, forecast.stayCase.stay.places) : [],
)
/** The hours one may look at: now, and that of each run. */
const moments = computed(() => {
  const { stayCase } = places
  const all = [
    { value: '', label: words.isNow.value ? t.places.now : t.places.onArrival, at: words.moment.value },
  ]
  if (!stayCase) return all
  const judged = judgedRuns(stayCase)
  const { stay } = stayCase
  for (const run of [...stay.runs].sort((a, b) => slotNumber(a) - slotNumber(b))) {
    const visit = judged.get(run.id)?.visit
    const begins = addWallDays(dayZero(stay.start), slotNumber(run) / 4)
    all.push({
      value: run.id,
      label: `${run.name}, ${whenOf(stay, run, true)}`,
      at: visit?.kind === 'fits' ? visit.fit.at : begins,
    })
  }
  return all
})
const moment = ref('')
const at = computed(() => moments.value.find(({ value }) => value === moment.value)?.at ?? words.moment.value)

const headline = computed(() => {
  const stations = inOrder.value.filter(
    (place) => !place.isHome && (place.accepts === null || place.accepts.length > 0),
  )
  if (inOrder.value.length === 0) return t.places.none
  const isOpen = stations.find((place) => words.stateAt(place, at.value) === 'open')
  const opens =
    words.isNow.value && moment.value === ''
      ? t.places.openNow
      : moment.value === ''
        ? t.places.openOnArrival
        : t.places.openThen
  if (isOpen) return opens(isOpen.name, words.road(isOpen) ?? t.places.noRoad)
  const first = stations
    .flatMap((place) => {
      const times = places.hours?.get(place.id)
      const next = times?.spans.find(({ from, isSure }) => isSure && from > at.value)
      return next ? [{ place, next }] : []
    })
    .sort((a, b) => (a.next.from < b.next.from ? -1 : 1))[0]
  return first
    ? t.places.noneOpen(first.place.name, `${formatDate(first.next.from)} ${formatClock(first.next.from)}`)
    : t.places.hoursUnknown
})

const roadAnswer = computed(() => {
  const road = forecast.crew?.road
  return road
    ? t.places.roadAnswer(formatNumber(road.factor.value, 2), formatRoad(road.speed.value, settings.units))
    : ''
})

const name = ref('')
const said = ref('')
const refused = ref('')
function add() {
  const wanted = name.value.trim()
  said.value = refused.value = ''
  if (wanted === '') {
    refused.value = t.places.nameWanted
    return
  }
  const result = edit.put(newPlace(newId('place'), wanted))
  if (!result.ok) {
    refused.value = refusalWords(result.faults)
    return
  }
  said.value = t.places.added(wanted)
  name.value = ''
}

function wrongSite(text: string): string | null {
  const read = parsePosition(text)
  return read.ok ? null : t.places[read.code](read.found)
}
function setSitePosition(text: string) {
  const read = parsePosition(text)
  return workspace.act(setSite(forecast.stay!.id, { position: read.ok ? read.value : null }))
}
const cells = (place: Place) => [
  {
    key: 'road',
    label: t.places.columns.road,
    words: [words.road(place) ?? t.places.noRoad, words.drive(place)]
      .filter((one) => one !== null)
      .join(', '),
  },
  { key: 'hours', label: t.places.columns.hours, words: words.hoursAt(place, at.value) },
  { key: 'takes', label: t.places.columns.takes, words: t.places.takes(words.takes(place)) },
  { key: 'water', label: t.places.columns.water, words: t.places.waterOf(words.water(place)) },
  { key: 'fee', label: t.places.columns.fee, words: words.fee(place) },
]
</script>

<template>
  <NoStay v-if="!forecast.stay" :title="t.places.title" />
  <div v-else class="wrap-anywhere">
    <h1 class="pt-6 text-[0.95rem] font-semibold text-soft">{{ t.places.title }}</h1>
    <p
      class="font-display text-[1.6rem] leading-[1.14] font-extrabold sm:text-[2.1rem]"
      data-testid="places-headline"
    >
      {{ headline }}
    </p>
    <p v-if="places.hasFailed" class="mt-1 font-semibold" role="status">{{ t.places.notRead }}</p>
    <div class="mt-4 grid gap-x-10 gap-y-6 lg:grid-cols-[minmax(0,6fr)_minmax(0,7fr)]">
      <div class="lg:order-2">
        <PlacesMap :at="at" @open="open.open" />
        <p v-if="forecast.stay.site.position === null" class="mt-2 text-soft">{{ t.places.noSite }}</p>
        <div class="mt-3 grid items-start gap-4 sm:grid-cols-2">
          <ChoiceField
            :label="t.places.atHour"
            :value="moment"
            :options="moments.map(({ value, label }) => ({ value, label }))"
            @choose="moment = $event"
          />
          <TextField
            :label="t.places.siteAt(forecast.stay.name)"
            :value="forecast.stay.site.position ? showPosition(forecast.stay.site.position) : ''"
            :wrong="wrongSite"
            :save="setSitePosition"
          />
        </div>
      </div>
      <div>
        <form class="flex items-end gap-3" @submit.prevent="add">
          <label class="grow">
            <span class="mb-1 block text-[0.92rem] font-semibold text-soft">{{ t.places.addLabel }}</span>
            <input
              v-model="name"
              type="text"
              autocomplete="off"
              class="h-11 w-full border-b-2 border-ink bg-card px-2 text-lg"
            />
          </label>
          <AppButton type="submit">{{ t.places.add }}</AppButton>
        </form>
        <p v-if="refused" class="mt-1 font-semibold" role="alert">{{ refused }}</p>
        <p v-else-if="said" class="mt-1 text-soft" role="status">{{ said }}</p>
        <ul class="mt-3 border-t-2 border-ink" data-testid="places-list">
          <li
            v-for="place in inOrder"
            :key="place.id"
            class="relative border-b border-line py-2.5"
            :data-testid="`place-${place.id}`"
          >
            <button
              type="button"
              class="min-h-11 text-left text-xl leading-tight font-bold underline decoration-line decoration-2 underline-offset-4"
              :aria-label="t.places.change(place.name)"
              @click="open.open(place.id)"
            >
              {{ place.name }}
            </button>
            <dl class="figure flex flex-wrap gap-x-4 leading-snug">
              <div
                v-for="cell in cells(place)"
                :key="cell.key"
                :class="cell.key === 'hours' ? 'font-semibold' : 'text-soft'"
              >
                <dt class="sr-only">{{ cell.label }}</dt>
                <dd>{{ cell.words }}</dd>
              </div>
            </dl>
          </li>
        </ul>
      </div>
    </div>
    <div class="mt-6 border-t border-line">
      <FoldSection id="places-in" :title="t.places.from" :answer="t.places.fromAnswer">
        <PlacesIn />
      </FoldSection>
      <FoldSection v-if="forecast.crew" id="places-road" :title="t.places.roadTitle" :answer="roadAnswer">
        <PlacesRoad :crew="forecast.crew" />
      </FoldSection>
      <FoldSection id="places-out" :title="t.places.out" :answer="t.places.outAnswer">
        <PlacesOut />
      </FoldSection>
    </div>
    <PlaceDialog />
  </div>
</template>
