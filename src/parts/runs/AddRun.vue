<script setup lang="ts">
import { Plus } from '@lucide/vue'
import { computed, ref } from 'vue'
import type { Run } from '@/core/model'
import { placesFor } from '@/core/places'
import { roundIn } from '@/core/quantities'
import { bestSlotSteps, lacks, usualRuns, type UsualErrand } from '@/core/errands'
import { useForecastStore } from '@/data/forecastStore'
import { usePlacesStore } from '@/data/placesStore'
import { useRiskStore } from '@/data/riskStore'
import { useSettingsStore } from '@/data/settingsStore'
import { refusalWords } from '@/parts/fields/refusalWords'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import { inSlices } from '@/workers/inSlices'
import { useRuns, whenOf } from './useRuns'

/** Two taps: open the list of what this rig can do, tap one; it is put where it helps. */
const forecast = useForecastStore()
const runs = useRuns()
const places = usePlacesStore()
const risk = useRiskStore()
const settings = useSettingsStore()
const isOpen = ref(false)
const refused = ref('')
const said = ref('')
const missing = computed(() => (isOpen.value && forecast.stayCase ? lacks(forecast.stayCase) : []))
const usual = computed(() => (isOpen.value && forecast.stayCase ? usualRuns(forecast.stayCase) : []))

/** By how much nine trips in ten are shorter than the average. */
const spare = computed(() => {
  const planOn = risk.risk?.planOn
  return planOn ? Math.max(0, (forecast.result?.days ?? planOn.days) - planOn.days) : 0
})

async function add(errand: UsualErrand) {
  const { stayCase } = places
  if (!stayCase) return
  const { when, usual: which, ...rest } = errand
  const name = t.runs.usual[which]
  const kilometres = { ...rest.kilometres, value: roundIn(rest.kilometres.value, settings.units.distance) }
  const bare: Run = { ...rest, kilometres, id: runs.newId(), name, place: null, day: 0, part: 'midday' }
  // The nearest place that takes it, whatever the hour; when it is open is looked at with the day.
  const run: Run = { ...bare, place: placesFor(stayCase, bare)[0]?.id ?? null }
  const found = await inSlices(bestSlotSteps(stayCase, { ...run, when }, spare.value), () => isOpen.value)
  if (!found) return
  const slot = found.value
  const result = runs.add([{ ...run, ...slot }])
  refused.value = result.ok ? '' : refusalWords(result.faults)
  if (!result.ok) return
  isOpen.value = false
  said.value = t.runs.put(name, whenOf(stayCase.stay, slot))
}
</script>

<template>
  <div data-testid="add-run">
    <AppButton :kind="isOpen ? 'quiet' : 'primary'" :aria-expanded="isOpen" @click="isOpen = !isOpen">
      <Plus v-if="!isOpen" :size="20" aria-hidden="true" />{{ isOpen ? t.runs.close : t.runs.add }}
    </AppButton>
    <div v-if="isOpen" class="mt-2 max-w-3xl">
      <p class="text-[0.95rem] text-soft">{{ t.runs.addHint }}</p>
      <ul class="mt-2 grid gap-x-6 sm:grid-cols-2">
        <li v-for="errand in usual" :key="errand.usual" class="border-t border-line">
          <button
            type="button"
            class="min-h-12 w-full py-2 text-left font-semibold underline decoration-line decoration-2 underline-offset-4"
            :data-testid="`usual-${errand.usual}`"
            @click="add(errand)"
          >
            {{ t.runs.usual[errand.usual] }}
          </button>
        </li>
      </ul>
      <template v-if="missing.length > 0">
        <p class="mt-3 font-semibold text-soft">{{ t.runs.notYet }}</p>
        <ul class="text-[0.95rem] text-soft">
          <li v-for="{ usual: name, lack } in missing" :key="name + lack" :data-testid="`lack-${name}`">
            {{ t.runs.lacking(t.runs.usual[name], t.runs.lacks[lack]) }}
          </li>
        </ul>
      </template>
    </div>
    <p v-if="refused !== ''" class="py-2 font-semibold" role="alert">{{ refused }}</p>
    <p v-else-if="said !== ''" class="sr-only" role="status">{{ said }}</p>
  </div>
</template>
