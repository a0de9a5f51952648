<script setup lang="ts">
import { computed, ref, useId } from 'vue'
import type { LogEntry } from '@/core/log'
import { useForecastStore } from '@/data/forecastStore'
import { useLogStore } from '@/data/logStore'
import ChoiceField from '@/parts/fields/ChoiceField.vue'
import { refusalWords } from '@/parts/fields/refusalWords'
import { dayAndTime } from '@/texts'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import AppStepper from '@/ui/AppStepper.vue'
import FieldShell from '@/ui/FieldShell.vue'
import { useEntryWords } from './entryWords'
import { useLogging } from './useLogging'
import WhenField from './WhenField.vue'

/** An entry that was logged: its time, number, person and note can be changed; it can be taken out. */
const props = defineProps<{ entry: LogEntry }>()
const emit = defineEmits<{ done: [words: string] }>()
const forecast = useForecastStore()
const log = useLogStore()
const { wrongTime } = useLogging()
const { words } = useEntryWords()
const id = useId()
const at = ref(props.entry.at)
const n = ref(props.entry.kind === 'use' ? props.entry.n : 0)
const person = ref(props.entry.kind === 'use' ? (props.entry.person ?? '') : '')
const note = ref(props.entry.note)
const isOffLevel = ref(props.entry.kind === 'reading' && props.entry.isOffLevel)
const [fault, wrong] = [ref<string | null>(null), ref<string | null>(null)]
const people = computed(() => [
  { value: '', label: t.log.use.nobody },
  ...(forecast.crew?.persons ?? []).map(({ id: value, name }) => ({ value, label: name })),
])

function save() {
  // An entry that lay ahead already may stay where it is.
  fault.value = at.value === props.entry.at ? null : wrongTime(at.value)
  if (fault.value !== null) return
  const { entry } = props
  const changed = { ...entry, at: at.value, note: note.value }
  if (changed.kind === 'use')
    Object.assign(changed, { n: n.value, person: person.value === '' ? null : person.value })
  if (changed.kind === 'reading') changed.isOffLevel = isOffLevel.value
  const result = log.amend(changed)
  if (result.ok) emit('done', t.log.logged(words(changed), dayAndTime(at.value)))
  else wrong.value = refusalWords(result.faults)
}
function remove() {
  log.remove([props.entry.id])
  emit('done', t.log.list.removed)
}
</script>

<template>
  <form class="mt-3 grid gap-4" data-testid="entry-editor" @submit.prevent="save">
    <p class="text-xl font-bold">{{ words(entry) }}</p>
    <AppStepper
      v-if="entry.kind === 'use'"
      :value="n"
      :text="n === 0 ? t.log.leftOut : String(n)"
      :min="0"
      :max="100"
      :fewer="t.log.use.fewer"
      :more="t.log.use.moreOf"
      @change="n = $event"
    />
    <div class="grid grid-cols-2 items-start gap-4">
      <WhenField v-model="at" :fault="fault" />
      <ChoiceField
        v-if="entry.kind === 'use' && people.length > 2"
        :label="t.log.use.who"
        :value="person"
        :options="people"
        @choose="person = $event"
      />
    </div>
    <label v-if="entry.kind === 'reading'" class="flex min-h-11 items-center gap-2">
      <input v-model="isOffLevel" type="checkbox" class="h-6 w-6 accent-[var(--ink)]" />
      {{ t.log.reading.offLevel }}
    </label>
    <FieldShell :id="id" :label="t.log.use.note" :fault="wrong">
      <textarea
        :id="id"
        v-model="note"
        rows="2"
        maxlength="400"
        class="w-full border-b-2 border-ink bg-card px-2 py-1 text-lg"
      />
    </FieldShell>
    <div class="flex flex-wrap gap-3">
      <AppButton kind="primary" @click="save">{{ t.log.use.keep }}</AppButton>
      <AppButton @click="remove">{{ t.log.list.remove }}</AppButton>
    </div>
  </form>
</template>
