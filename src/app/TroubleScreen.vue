<script setup lang="ts">
import { report } from '@/data/report'
import { computed, ref } from 'vue'
import { goOnInMemory } from './openWorkspace'
import { useWorkspaceStore } from '@/data/workspaceStore'
import FileMessages from '@/parts/files/FileMessages.vue'
import FilePicker from '@/parts/files/FilePicker.vue'
import { saveFile } from '@/parts/files/saveFile'
import { useFiles } from '@/parts/files/useFiles'
import { useSpace } from '@/parts/space'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import AppDialog from '@/ui/AppDialog.vue'

/** Nothing could be read: what is known of why, and every way out. */
const workspace = useWorkspaceStore()
const { message, importFile } = useFiles()
const { space } = useSpace()
const kind = computed(() => workspace.trouble?.fault.kind ?? 'failed')
const text = computed(() => t.trouble.open[kind.value])
const isAsking = ref(false)
/** Data of a newer application is not this one's to delete. */
const canStartAfresh = computed(() => ['damaged', 'upgrade'].includes(kind.value))

async function takeOut() {
  try {
    const { salvaged } = await import('@/data/storage/salvage')
    saveFile(await salvaged(space), 'dry-count-as-kept.drycount.json')
  } catch (error) {
    message.value = { text: t.trouble.takeOutFailed, faults: [] }
    report('taking the rows out', error)
  }
}
async function openFile(file: File) {
  await goOnInMemory()
  await importFile(file)
}
async function startOver() {
  isAsking.value = false
  const { discard } = await import('@/data/storage/salvage')
  await discard(space)
  await workspace.retry()
}
function reload() {
  location.reload()
}
</script>

<template>
  <section class="my-8 max-w-[44rem] border-2 border-ink p-6" data-testid="trouble-screen">
    <h1 class="text-3xl font-extrabold">{{ t.trouble.title }}</h1>
    <p class="mt-2 text-lg" role="alert">{{ text }}</p>
    <div class="mt-4 flex flex-wrap gap-3">
      <AppButton v-if="kind === 'newer'" kind="primary" @click="reload">{{ t.trouble.reload }}</AppButton>
      <AppButton v-else kind="primary" @click="workspace.retry()">{{ t.states.tryAgain }}</AppButton>
      <AppButton @click="takeOut">{{ t.trouble.takeOut }}</AppButton>
      <FilePicker :label="t.trouble.import" @pick="openFile" />
      <AppButton @click="goOnInMemory()">{{ t.states.inMemory }}</AppButton>
      <AppButton v-if="canStartAfresh" kind="quiet" @click="isAsking = true">{{
        t.trouble.startOver
      }}</AppButton>
    </div>
    <FileMessages :message="message" />
    <AppDialog
      :open="isAsking"
      :title="t.trouble.startOverTitle"
      :close-label="t.trouble.cancel"
      @close="isAsking = false"
    >
      <p class="mt-2">{{ t.trouble.startOverText }}</p>
      <div class="mt-5 flex flex-wrap gap-3">
        <AppButton @click="takeOut">{{ t.trouble.takeOut }}</AppButton>
        <AppButton kind="primary" @click="startOver">{{ t.trouble.startOverYes }}</AppButton>
        <AppButton kind="quiet" @click="isAsking = false">{{ t.trouble.cancel }}</AppButton>
      </div>
    </AppDialog>
  </section>
</template>
