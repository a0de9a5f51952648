<script setup lang="ts">
import { newId } from '@/data/newId'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { starterDocument } from '@/document/starters'
import FileMessages from '@/parts/files/FileMessages.vue'
import FilePicker from '@/parts/files/FilePicker.vue'
import { useFiles } from '@/parts/files/useFiles'
import { useSpace } from '@/parts/space'
import { today } from '@/parts/today'
import { t } from '@/texts'
import AppButton from '@/ui/AppButton.vue'

const workspace = useWorkspaceStore()
const { message, importFile } = useFiles()
const { switchTo } = useSpace()

function start() {
  workspace.replace('start', () => starterDocument(t.starters, t.starterNames, newId, today()))
}
</script>

<template>
  <section class="max-w-[40rem] py-14">
    <h1 class="text-4xl font-extrabold tracking-tight sm:text-5xl">{{ t.camp.empty }}</h1>
    <p class="mt-4 text-xl leading-snug">{{ t.camp.emptyText }}</p>
    <div class="mt-8 flex flex-wrap gap-3">
      <AppButton kind="primary" @click="start">{{ t.camp.startOwn }}</AppButton>
      <AppButton @click="switchTo('demo')">{{ t.camp.startDemo }}</AppButton>
      <FilePicker :label="t.camp.open" @pick="importFile" />
    </div>
    <FileMessages :message="message" />
  </section>
</template>
