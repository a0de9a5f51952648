<script setup lang="ts">
import { computed, ref } from 'vue'
import { setFlow, setMetered } from '@/actions/cards'
import { BUCKET_L } from '@/core/cards'
import { useForecastStore } from '@/data/forecastStore'
import type { KeptWalk } from '@/data/walkStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { LIMITS } from '@/document/schema/limits'
import { refusalWords } from '@/parts/fields/refusalWords'
import AmountField from '@/parts/log/AmountField.vue'
import { useAmounts } from '@/parts/useAmounts'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import { useCardWords } from './useCardWords'

/** What a bucket or a meter said: from now on the cards count with it. */
const props = defineProps<{ kept: KeptWalk }>()
const emit = defineEmits<{ done: [] }>()
const forecast = useForecastStore()
const workspace = useWorkspaceStore()
const words = useCardWords()
const { volume } = useAmounts()
const card = computed(() => props.kept.walk.cards[0]!)
const isFlow = computed(() => card.value.kind === 'bucket-test')
const tank = computed(() => words.tank(card.value.about))
const seconds = ref<number | null>(null)
const litres = ref<number | null>(null)
const isWrong = ref(false)
const refused = ref('')
const SLOWEST_S = 3600
/** L a minute. */
const flow = computed(() => (seconds.value && seconds.value > 0 ? (BUCKET_L / seconds.value) * 60 : null))
const place = computed(() => forecast.stay?.places.find(({ id }) => id === props.kept.place) ?? null)

function save() {
  const stay = forecast.stay!
  const said = isFlow.value ? flow.value : litres.value
  if (said === null || said <= 0) {
    refused.value = t.field.empty
    return
  }
  const { place: placeId } = props.kept
  const result = isFlow.value
    ? workspace.act(setFlow(stay.id, placeId, said))
    : workspace.act(setMetered(stay.rig, card.value.about!, said))
  refused.value = result.ok ? '' : refusalWords(result.faults)
  if (result.ok) emit('done')
}
</script>

<template>
  <form class="grid gap-3" data-testid="measure-form" @submit.prevent="save">
    <AmountField
      v-if="isFlow"
      v-model="seconds"
      v-model:wrong="isWrong"
      :label="t.cards.field.flow(volume(BUCKET_L))"
      dimension="number"
      :max="SLOWEST_S"
    />
    <AmountField
      v-else
      v-model="litres"
      v-model:wrong="isWrong"
      :label="t.cards.field.capacity(tank?.name ?? '')"
      dimension="volume"
      :max="LIMITS.capacityL.max"
    />
    <p v-if="isFlow && flow" class="text-lg font-bold" role="status">
      {{ t.cards.flowKept(place?.name ?? t.cards.anyTap, t.cardUnits.flow(volume(flow))) }}
    </p>
    <p v-if="refused" class="font-semibold" role="alert">{{ refused }}</p>
    <AppButton
      kind="primary"
      class="justify-self-start"
      :disabled="isWrong"
      data-testid="measure-save"
      @click="save"
      >{{ t.cards.keep }}</AppButton
    >
  </form>
</template>
