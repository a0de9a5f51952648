<script setup lang="ts">
import { computed, ref } from 'vue'
import { putChore, removeChore } from '@/actions/chores'
import { CHORE_EVERY, type Chore, type ChoreEvery } from '@/core/domain'
import { owned, parseNumber } from '@/core/quantities'
import { useForecastStore } from '@/data/forecastStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import ChoiceField from '@/parts/fields/ChoiceField.vue'
import { refusalWords } from '@/parts/fields/refusalWords'
import { choreName } from '@/parts/today/choreName'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import FieldShell from '@/ui/FieldShell.vue'

/** One chore: its words, what it is about, by what it is due, and when it was done last. */
const props = defineProps<{ chore: Chore; isNew: boolean }>()
const emit = defineEmits<{ close: [] }>()
const forecast = useForecastStore()
const workspace = useWorkspaceStore()

const name = ref(props.chore.name ?? (props.isNew ? '' : choreName(props.chore)))
const container = ref(props.chore.container ?? '')
const done = ref(props.chore.done ?? '')
const every = ref<Record<ChoreEvery, string>>(
  Object.fromEntries(
    CHORE_EVERY.map((by) => [by, String(props.chore.every.find((one) => one.by === by)?.n.value ?? '')]),
  ) as Record<ChoreEvery, string>,
)
const fault = ref<string | null>(null)
const about = computed(() => [
  { value: '', label: t.chores.rig },
  ...(forecast.rig?.containers ?? []).map((one) => ({ value: one.id, label: one.name })),
])
const field = 'h-11 w-full min-w-0 border-b-2 border-ink bg-card px-2 text-lg'

function save() {
  const given = CHORE_EVERY.flatMap((by) =>
    every.value[by].trim() === '' ? [] : [{ by, text: every.value[by] }],
  )
  const read = given.map(({ by, text }) => ({ by, n: parseNumber(text) }))
  const wrong = read.findIndex(({ n }) => n === null || n < 1)
  if (wrong >= 0) return void (fault.value = t.field['not-a-number'](given[wrong]!.text))
  if (read.length === 0) return void (fault.value = t.chores.atLeastOne)
  const kindName = t.chores.kind[props.chore.kind]
  const words = name.value.trim()
  const chore: Chore = {
    ...props.chore,
    name: words === '' || words === kindName ? null : words,
    container: container.value === '' ? null : container.value,
    every: read.map(({ by, n }) => ({ by, n: owned(n!) })),
    done: done.value === '' ? null : done.value.slice(0, 16),
  }
  const result = workspace.act(putChore(forecast.rig!.id, chore))
  if (result.ok) emit('close')
  else fault.value = refusalWords(result.faults)
}
function remove() {
  workspace.act(removeChore(forecast.rig!.id, props.chore.id))
  emit('close')
}
</script>

<template>
  <form class="mt-3 grid gap-4" data-testid="chore-editor" @submit.prevent="save">
    <FieldShell id="chore-name" :label="t.chores.name" :fault="null">
      <input id="chore-name" v-model="name" :class="field" maxlength="80" autocomplete="off" />
    </FieldShell>
    <ChoiceField :label="t.chores.about" :value="container" :options="about" @choose="container = $event" />
    <fieldset>
      <legend class="text-[0.92rem] font-semibold text-soft">{{ t.chores.rhythm }}</legend>
      <div class="grid grid-cols-2 gap-x-4 gap-y-2 sm:grid-cols-3">
        <FieldShell
          v-for="by in CHORE_EVERY"
          :id="`chore-${by}`"
          :key="by"
          :label="t.chores.every[by]"
          :fault="null"
        >
          <input
            :id="`chore-${by}`"
            v-model="every[by]"
            :class="field"
            inputmode="decimal"
            autocomplete="off"
          />
        </FieldShell>
      </div>
    </fieldset>
    <FieldShell id="chore-done" :label="t.chores.lastDone" :fault="null">
      <input id="chore-done" v-model="done" type="datetime-local" :class="field" />
    </FieldShell>
    <p v-if="fault" class="font-semibold" role="alert">{{ fault }}</p>
    <div class="flex flex-wrap gap-3">
      <AppButton kind="primary" @click="save">{{ t.chores.save }}</AppButton>
      <AppButton v-if="!isNew" kind="quiet" @click="remove">{{ t.chores.remove }}</AppButton>
    </div>
  </form>
</template>
