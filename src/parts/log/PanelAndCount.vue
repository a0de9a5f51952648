<script setup lang="ts">
import { ref } from 'vue'
import { addWallDays } from '@/core/calendar'
import { oddSince } from '@/core/underway'
import { useForecastStore } from '@/data/forecastStore'
import { useLogStore } from '@/data/logStore'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import LogDialogs from './LogDialogs.vue'
import { useAgreements, type Agreed } from './useAgreements'
import { useDialogs } from './useDialogs'

/** What does not fit, and one tap to settle it each way; a probe that is held for stuck. `isWhole`: every reading of the stay. */
defineProps<{ isWhole?: boolean }>()
const forecast = useForecastStore()
const log = useLogStore()
const { rows, suspects, open: unsettled } = useAgreements()
const { shown: dialog, open } = useDialogs()
const said = ref('')
const MINUTE_D = 1 / 1440

function settle(row: Agreed, how: keyof typeof t.agreement.settles) {
  const { entry, container } = row
  if (how === 'forgotten') open({ kind: 'use', at: addWallDays(entry.at, -MINUTE_D) })
  else if (how === 'panel') log.amend({ ...entry, isOffLevel: true })
  else log.add([oddSince(how, entry, container, forecast.stay!, log.entries)])
}
</script>

<template>
  <div v-if="unsettled.length + suspects.length > 0 || isWhole" data-testid="panel-and-count">
    <div
      v-for="container in suspects"
      :key="container.id"
      class="mt-3 border-l-4 border-ink pl-3"
      :data-testid="`suspect-${container.id}`"
    >
      <p class="font-bold">{{ t.agreement.suspect(container.name) }}</p>
      <p class="leading-snug text-soft">{{ t.agreement.suspectText }} {{ t.agreement.suspectDo }}</p>
    </div>
    <div
      v-for="row in unsettled"
      :key="row.key"
      class="mt-3 border-l-4 border-oxide pl-3"
      :data-testid="`unsettled-${row.container.id}`"
    >
      <p class="leading-snug">
        <span class="font-bold">{{ row.container.name }}, {{ row.when }}.</span> {{ row.text }}
      </p>
      <p class="mt-1 font-semibold">{{ t.agreement.settle }}</p>
      <div class="flex flex-wrap gap-x-2">
        <AppButton
          v-for="(label, how) in t.agreement.settles"
          :key="how"
          kind="quiet"
          @click="settle(row, how)"
          >{{ label }}</AppButton
        >
      </div>
    </div>
    <ul v-if="isWhole" class="mt-2">
      <li v-for="row in rows" :key="row.key" class="border-b border-line py-2 leading-snug">
        <span class="font-bold">{{ row.container.name }}</span>
        <span class="text-soft"
          >, {{ row.when }}<template v-if="row.isLeftOut">, {{ t.agreement.left }}</template></span
        >
        <span class="block" :class="row.fits ? '' : 'font-semibold'">{{ row.text }}</span>
      </li>
    </ul>
    <p v-if="isWhole && rows.length === 0" class="text-soft">{{ t.log.answer.noReading }}</p>
    <p v-if="said" class="text-soft" role="status">{{ said }}</p>
    <LogDialogs v-model="dialog" @said="said = $event" />
  </div>
</template>
