<script setup lang="ts">
import { computed, ref, useId } from 'vue'
import { TEXT_KINDS, toldText } from '@/core/log'
import { useForecastStore } from '@/data/forecastStore'
import ChoiceField from '@/parts/fields/ChoiceField.vue'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import FieldShell from '@/ui/FieldShell.vue'
import { useEntryForm } from './useEntryForm'
import WhenField from './WhenField.vue'

/** A note, a treatment, a chore. */
const emit = defineEmits<{ done: [words: string] }>()
const forecast = useForecastStore()
const id = useId()
type Kind = (typeof TEXT_KINDS)[number]
const kind = ref<Kind>('note')
const container = ref('')
const note = ref('')
const { at, fault, refused, save: log } = useEntryForm(emit)
const what = ref<string | null>(null)
const tanks = computed(() => [
  { value: '', label: t.log.text.whole },
  ...(forecast.rig?.containers ?? []).map(({ id: value, name }) => ({ value, label: name })),
])
const kinds = TEXT_KINDS.map((value) => ({ value, label: t.log.text.kinds[value] }))

function save() {
  what.value = kind.value === 'note' && note.value.trim() === '' ? t.log.text.empty : null
  const of = container.value === '' ? null : container.value
  log(
    [toldText(at.value, kind.value, of, { note: note.value })],
    t.log.text.kinds[kind.value],
    what.value === null,
  )
}
</script>

<template>
  <form class="mt-3 grid gap-4" data-testid="text-form" @submit.prevent="save">
    <div class="grid grid-cols-2 items-start gap-4">
      <ChoiceField :label="t.log.text.kind" :value="kind" :options="kinds" @choose="kind = $event as Kind" />
      <ChoiceField
        :label="t.log.text.tank"
        :value="container"
        :options="tanks"
        @choose="container = $event"
      />
    </div>
    <FieldShell :id="id" :label="t.log.use.note" :fault="what ?? refused">
      <textarea
        :id="id"
        v-model="note"
        rows="3"
        maxlength="400"
        class="w-full border-b-2 border-ink bg-card px-2 py-1 text-lg"
      />
    </FieldShell>
    <WhenField v-model="at" :fault="fault" />
    <div>
      <AppButton kind="primary" @click="save">{{ t.log.text.save }}</AppButton>
    </div>
  </form>
</template>
