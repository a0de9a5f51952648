<script setup lang="ts">
import { useVirtualizer } from '@tanstack/vue-virtual'
import { computed, ref } from 'vue'
import FilePicker from '@/parts/files/FilePicker.vue'
import ChoiceField from '@/parts/fields/ChoiceField.vue'
import { usePlaceWords } from '@/parts/places/usePlaceWords'
import { useForecastStore } from '@/data/forecastStore'
import { useSettingsStore } from '@/data/settingsStore'
import { roadBetween } from '@/core/places'
import type { Place } from '@/core/domain'
import { formatRoad } from '@/texts'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import { usePlacesIn } from './usePlacesIn'

/** Places from elsewhere: what was understood of them, and what was not, before anything is added. */
const forecast = useForecastStore()
const settings = useSettingsStore()
const words = usePlaceWords()
const { found, chosen, said, refused, isAsking, heard, placesLeft, others, ...act } = usePlacesIn()
const KM = [25, 50, 100, 200]
const km = ref('100')

const ROW = 64
const list = ref<HTMLElement | null>(null)
/** Ten thousand are scrolled as ten are. */
const rows = useVirtualizer(
  computed(() => ({
    count: found.value?.fresh.length ?? 0,
    getScrollElement: () => list.value,
    estimateSize: () => ROW,
    overscan: 8,
  })),
)
const roadTo = (place: Place) => {
  const { stayCase } = forecast
  const leg = stayCase ? roadBetween(stayCase, stayCase.stay.site.position, place.position) : null
  return leg ? formatRoad(leg.kilometres, settings.units) : t.places.noRoad
}
const SHOWN_TAGS = 12
</script>

<template>
  <div>
    <div class="flex flex-wrap items-end gap-3">
      <FilePicker
        :label="t.places.file"
        accept=".gpx,.geojson,.json,application/gpx+xml,application/geo+json,application/json"
        @pick="act.readFile"
      />
      <AppButton v-if="others.length > 0" @click="act.takeOthers">{{
        t.places.others(others.length)
      }}</AppButton>
      <div class="flex items-end gap-3">
        <ChoiceField
          :label="t.places.directoryKm"
          :value="km"
          :options="KM.map((n) => ({ value: String(n), label: formatRoad(n, settings.units) }))"
          @choose="km = $event"
        />
        <AppButton v-if="!isAsking" @click="act.ask(Number(km))">{{ t.places.directory }}</AppButton>
        <AppButton v-else @click="act.stop">{{ t.places.stop }}</AppButton>
      </div>
    </div>
    <p v-if="isAsking" class="mt-2 text-soft" role="status">{{ t.places.asking }}</p>
    <p v-if="refused" class="mt-2 font-semibold" role="alert" data-testid="places-refused">{{ refused }}</p>
    <p v-if="said" class="mt-2 text-soft" role="status">{{ said }}</p>
    <div v-if="found" class="mt-4 border-2 border-ink p-4" data-testid="places-found">
      <p class="text-xl font-bold" role="status">
        {{ t.places.found(found.places.length) }}
        <span v-if="found.already > 0" class="font-normal">{{ t.places.already(found.already) }}</span>
      </p>
      <p v-if="heard" class="text-soft">{{ t.places.heard(heard) }}</p>
      <ul v-if="found.leftOut.length > 0" data-testid="left-out">
        <li v-for="one in found.leftOut" :key="one.why">
          {{ t.places.leftOut[one.why](one.n) }}{{ t.places.such(one.example) }}.
        </li>
      </ul>
      <p v-if="found.notUnderstood.length > 0" class="text-soft" data-testid="not-understood">
        {{ t.places.notUnderstood(found.notUnderstood.length) }}
        {{
          found.notUnderstood
            .slice(0, SHOWN_TAGS)
            .map(({ tag }) => tag)
            .join(', ')
        }}<template v-if="found.notUnderstood.length > SHOWN_TAGS">
          {{ t.places.moreTags(found.notUnderstood.length - SHOWN_TAGS) }}</template
        >.
      </p>
      <p v-if="found.fresh.length > placesLeft" class="font-semibold">{{ t.places.nearest(placesLeft) }}</p>
      <div
        v-if="found.fresh.length > 0"
        ref="list"
        class="mt-2 max-h-96 overflow-y-auto border-y border-line"
        tabindex="0"
        role="region"
        :aria-label="t.places.found(found.fresh.length)"
      >
        <ul class="relative" :style="{ height: `${rows.getTotalSize()}px` }">
          <li
            v-for="row in rows.getVirtualItems()"
            :key="String(row.key)"
            class="absolute inset-x-0 border-b border-line"
            :style="{ height: `${ROW}px`, transform: `translateY(${row.start}px)` }"
          >
            <label class="flex h-full cursor-pointer items-center gap-3 px-2">
              <input
                type="checkbox"
                class="h-6 w-6 flex-none accent-[var(--ink)]"
                :checked="chosen.has(found.fresh[row.index]!.id)"
                @change="act.toggle(found.fresh[row.index]!.id)"
              />
              <span class="min-w-0">
                <span class="block truncate font-bold">{{ found.fresh[row.index]!.name }}</span>
                <span class="block truncate text-[0.92rem] text-soft"
                  >{{ roadTo(found.fresh[row.index]!) }} · {{ words.takes(found.fresh[row.index]!) }} ·
                  {{ found.fresh[row.index]!.opening ?? t.places.unknownHours }}</span
                >
              </span>
            </label>
          </li>
        </ul>
      </div>
      <div class="mt-3 flex flex-wrap gap-3">
        <AppButton
          v-if="found.fresh.length > 0"
          kind="primary"
          :disabled="chosen.size === 0 || chosen.size > placesLeft"
          @click="act.add"
          >{{ t.places.choose(chosen.size) }}</AppButton
        >
        <AppButton v-if="found.fresh.length > 1" @click="act.chooseAll">{{ t.places.chooseAll }}</AppButton>
        <AppButton v-if="found.fresh.length > 1" @click="act.chooseNone">{{ t.places.chooseNone }}</AppButton>
        <AppButton @click="act.cancel">{{ t.places.cancel }}</AppButton>
      </div>
    </div>
  </div>
</template>
