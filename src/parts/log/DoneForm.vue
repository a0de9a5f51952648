<script setup lang="ts">
import { computed, ref } from 'vue'
import { RUN_WHATS, toldMove } from '@/core/log'
import { sparesOf, unitOf } from '@/core/domain'
import { useForecastStore } from '@/data/forecastStore'
import { roundIn } from '@/core/quantities'
import { useSettingsStore } from '@/data/settingsStore'
import ChoiceField from '@/parts/fields/ChoiceField.vue'
import { useAmounts } from '@/parts/useAmounts'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import AppChoices from '@/ui/AppChoices.vue'
import AmountField from './AmountField.vue'
import { useEntryForm } from './useEntryForm'
import WhenField from './WhenField.vue'

/** What was done to a tank: emptied, filled, so many litres in or out. */
const emit = defineEmits<{ done: [words: string] }>()
const forecast = useForecastStore()
const settings = useSettingsStore()
const { level } = useAmounts()

const tanks = computed(() => forecast.rig?.containers ?? [])
const id = ref(tanks.value[0]?.id ?? '')
const tank = computed(() => tanks.value.find((one) => one.id === id.value) ?? null)
const isSupply = computed(() => tank.value?.kind === 'fresh' || tank.value?.kind === 'flush')
type What = (typeof RUN_WHATS)[number]
const what = ref<What>(isSupply.value ? 'filled' : 'emptied')
const litres = ref<number | null>(null)
const isWrong = ref(false)
const { at, fault, refused, save: log } = useEntryForm(emit)
const missing = ref<string | null>(null)
const needsLitres = computed(() => what.value === 'put-in' || what.value === 'took-out')
const full = computed(() => (tank.value ? (1 + sparesOf(tank.value)) * tank.value.capacity.value : 0))
/** What a jug holds, round in the owner's unit. */
const JUG_L = 20
const twenty = computed(() => roundIn(JUG_L, settings.units.volume))

function chooseTank(next: string) {
  id.value = next
  what.value = isSupply.value ? 'filled' : 'emptied'
}
function save(did: What, amount: number | null) {
  missing.value = (did === 'put-in' || did === 'took-out') && amount === null ? t.field.empty : null
  if (!tank.value) return
  const litres = amount === null ? '' : level(amount, unitOf(tank.value.kind))
  log(
    [toldMove(at.value, id.value, did, amount)],
    t.log.done.words[did](tank.value.name, litres),
    missing.value === null && !isWrong.value,
  )
}
</script>

<template>
  <form class="mt-3 grid gap-4" data-testid="done-form" @submit.prevent="save(what, litres)">
    <ChoiceField
      :label="t.log.done.tank"
      :value="id"
      :options="tanks.map(({ id, name }) => ({ value: id, label: name }))"
      @choose="chooseTank"
    />
    <AppChoices
      :label="t.log.done.title"
      :value="what"
      :options="RUN_WHATS.map((value) => ({ value, label: t.log.done[value] }))"
      @choose="what = $event"
    />
    <p v-if="what === 'filled'" class="border-l-4 border-ink pl-2 text-[0.95rem]">{{ t.shakedown.care }}</p>
    <div class="grid grid-cols-2 items-start gap-4">
      <AmountField
        v-if="needsLitres || what === 'emptied'"
        v-model="litres"
        v-model:wrong="isWrong"
        :label="t.log.done.litres"
        :dimension="tank && unitOf(tank.kind) === 'L' ? 'volume' : 'uses'"
        :max="needsLitres ? 20000 : full"
      />
      <WhenField v-model="at" :fault="fault" />
    </div>
    <p v-if="missing ?? refused" class="font-semibold" role="alert">{{ missing ?? refused }}</p>
    <div class="flex flex-wrap gap-3">
      <AppButton kind="primary" @click="save(what, litres)">{{ t.log.done.save }}</AppButton>
      <AppButton v-if="isSupply" @click="save('put-in', twenty)">{{
        t.log.done.twenty(level(twenty, 'L'))
      }}</AppButton>
    </div>
  </form>
</template>
