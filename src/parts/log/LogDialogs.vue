<script setup lang="ts">
import { computed } from 'vue'
import CatchUp from './CatchUp.vue'
import DoneForm from './DoneForm.vue'
import EntryEditor from './EntryEditor.vue'
import OddForm from './OddForm.vue'
import PanelForm from './PanelForm.vue'
import TextForm from './TextForm.vue'
import UseForm from './UseForm.vue'
import type { LogDialog } from './useDialogs'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import AppDialog from '@/ui/AppDialog.vue'

/** Everything that can be logged, one dialog at a time. */
const shown = defineModel<LogDialog | null>({ required: true })
const emit = defineEmits<{ said: [words: string] }>()

const TITLES: Record<LogDialog['kind'], string> = {
  choose: t.log.choose.title,
  use: t.log.use.title,
  panel: t.log.reading.title,
  done: t.log.done.title,
  text: t.log.text.title,
  odd: t.log.odd.title,
  'catch-up': t.log.catchUp.title,
  edit: t.log.use.title,
}
const title = computed(() => (shown.value ? TITLES[shown.value.kind] : ''))
const CHOICES: [LogDialog['kind'], string][] = [
  ['use', t.log.choose.use],
  ['panel', t.log.choose.panel],
  ['done', t.log.choose.done],
  ['catch-up', t.log.choose.catchUp],
  ['text', t.log.choose.note],
  ['odd', t.log.choose.odd],
]
function done(words: string) {
  shown.value = null
  emit('said', words)
}
</script>

<template>
  <AppDialog
    :open="shown !== null"
    :title="title"
    :close-label="t.levels.close"
    :unsaved="t.log.unsaved"
    @close="shown = null"
  >
    <ul v-if="shown?.kind === 'choose'" class="mt-4 grid gap-3 sm:grid-cols-2">
      <li v-for="[kind, label] in CHOICES" :key="kind">
        <AppButton class="w-full !justify-start py-3 text-left" @click="shown = { kind } as LogDialog">{{
          label
        }}</AppButton>
      </li>
    </ul>
    <UseForm
      v-else-if="shown?.kind === 'use'"
      :activity="shown.activity ?? null"
      :at="shown.at ?? null"
      @done="done"
    />
    <PanelForm v-else-if="shown?.kind === 'panel'" @done="done" />
    <DoneForm v-else-if="shown?.kind === 'done'" @done="done" />
    <TextForm v-else-if="shown?.kind === 'text'" @done="done" />
    <OddForm v-else-if="shown?.kind === 'odd'" @done="done" />
    <CatchUp v-else-if="shown?.kind === 'catch-up'" @done="done" />
    <EntryEditor v-else-if="shown?.kind === 'edit'" :entry="shown.entry" @done="done" />
  </AppDialog>
</template>
