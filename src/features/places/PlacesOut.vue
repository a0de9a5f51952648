<script setup lang="ts">
import { computed, ref } from 'vue'
import { useForecastStore } from '@/data/forecastStore'
import { fileName } from '@/document'
import { saveFile } from '@/parts/files/saveFile'
import { usePlaceWords } from '@/parts/places/usePlaceWords'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'

/** All places of the stay, for other programs and for a device that finds the way. */
const forecast = useForecastStore()
const words = usePlaceWords()
const said = ref('')
const placed = computed(() => (forecast.stay?.places ?? []).filter(({ position }) => position !== null))
const nameOf = (end: string) => fileName(forecast.stay!.name).replace(/\.drycount\.json$/, `-places.${end}`)

async function save(kind: 'geojson' | 'gpx') {
  said.value = ''
  if (placed.value.length === 0) {
    said.value = t.places.noneWithPosition
    return
  }
  if (kind === 'geojson') {
    const { geoJsonOf } = await import('@/document/places/geojson')
    return saveFile(geoJsonOf(placed.value), nameOf('geojson'), 'application/geo+json')
  }
  const [{ gpxOf }, { browserXml }] = await Promise.all([
    import('@/document/places/gpx'),
    import('@/parts/files/xml'),
  ])
  const about = (place: (typeof placed.value)[0]) =>
    [words.takes(place), words.hoursAt(place, words.moment.value)].join('; ')
  saveFile(gpxOf(placed.value, browserXml, about), nameOf('gpx'), 'application/gpx+xml')
}
</script>

<template>
  <div>
    <div class="flex flex-wrap gap-3">
      <AppButton @click="save('geojson')">{{ t.places.toGeoJson }}</AppButton>
      <AppButton @click="save('gpx')">{{ t.places.toGpx }}</AppButton>
    </div>
    <p v-if="said" class="mt-2 text-soft" role="status">{{ said }}</p>
  </div>
</template>
