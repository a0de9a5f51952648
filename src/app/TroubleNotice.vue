<script setup lang="ts">
import { computed } from 'vue'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { useFiles } from '@/parts/files/useFiles'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'

/** What stands between the screen and the disk while the work goes on: in words, with a way out. */
const workspace = useWorkspaceStore()
const { exportFile } = useFiles()
const text = computed(() => {
  const { trouble, state } = workspace
  if (trouble) return t.trouble[trouble.during][trouble.fault.kind]
  return state === 'volatile' ? t.states.volatile : t.update.oldTabUnsaved
})
const retry = computed(() =>
  workspace.trouble?.fault.kind === 'deleted' ? t.trouble.keepAgain : t.states.tryAgain,
)
</script>

<template>
  <div class="my-3 border-2 border-ink px-4 py-3" role="alert" data-testid="trouble">
    <p class="font-semibold">{{ text }}</p>
    <p class="flex flex-wrap gap-x-3">
      <AppButton v-if="workspace.trouble" kind="quiet" @click="workspace.retry()">{{ retry }}</AppButton>
      <AppButton kind="quiet" @click="exportFile">{{ t.trouble.export }}</AppButton>
    </p>
  </div>
</template>
