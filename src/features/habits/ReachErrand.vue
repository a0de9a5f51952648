<script setup lang="ts">
import { computed, ref } from 'vue'
import { addRunAndHabits } from '@/actions/runs'
import type { ErrandSet } from '@/core/reach'
import { useForecastStore } from '@/data/forecastStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { newId } from '@/data/newId'
import { refusalWords } from '@/parts/fields/refusalWords'
import { chanceWords } from '@/parts/risk/chanceWords'
import { useOfferWords } from '@/parts/runs/useOffers'
import { formatNumber, listed } from '@/texts'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'

/** Where habits alone do not do: the least bother with one errand, in one tap. */
const props = defineProps<{ errand: ErrandSet }>()
const forecast = useForecastStore()
const workspace = useWorkspaceStore()
const offers = useOfferWords()
const said = ref('')
const isTaken = ref(false)
const name = computed(() => t.runs.usual[props.errand.offer.usual])
const habits = computed(() =>
  props.errand.habits.flatMap((id) => workspace.document.habits.find((one) => one.id === id)?.name ?? []),
)
const words = computed(() =>
  t.reach.errand(name.value, offers.where(props.errand.offer), chanceWords(props.errand.chance)),
)
const beside = computed(() =>
  habits.value.length === 0
    ? null
    : t.reach.beside(listed(habits.value), formatNumber(props.errand.bother, 1)),
)
function take() {
  if (isTaken.value) return
  const { id } = forecast.stay!
  const { offer, habits: wanted } = props.errand
  const run = { ...offer.run, id: newId('run'), name: name.value }
  const result = workspace.act(addRunAndHabits(id, run, wanted, forecast.today))
  isTaken.value = result.ok
  said.value = result.ok ? t.reach.errandSet(name.value) : refusalWords(result.faults)
}
</script>

<template>
  <div class="mt-2 max-w-[62ch] border-l-[6px] border-sage pl-3" data-testid="reach-errand">
    <p class="text-lg leading-snug font-bold">{{ words }}</p>
    <p v-if="beside">{{ beside }}</p>
    <p class="text-soft">{{ offers.asks(errand.offer) }}</p>
    <p v-if="said" class="font-semibold" role="status">{{ said }}</p>
    <AppButton v-if="!isTaken" class="mt-1" @click="take">{{ t.next.doIt }}</AppButton>
  </div>
</template>
