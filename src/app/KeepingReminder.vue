<script setup lang="ts">
import { useKeepingStore } from '@/data/keepingStore'
import { useFiles } from '@/parts/files/useFiles'
import { formatCount } from '@/texts'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'

/** Quiet, and put away with one tap: a copy on a file is the only one that outlasts this browser. */
const keeping = useKeepingStore()
const { exportFile } = useFiles()
</script>

<template>
  <p
    v-if="keeping.isReminderDue"
    class="flex flex-wrap items-center gap-x-3 border-b border-line text-[0.95rem] text-soft"
    data-testid="reminder"
  >
    <span class="py-2">{{ t.keeping.remind(formatCount(keeping.changes)) }}</span>
    <AppButton kind="quiet" @click="exportFile">{{ t.keeping.export }}</AppButton>
    <AppButton kind="quiet" @click="keeping.notNow()">{{ t.keeping.later }}</AppButton>
  </p>
</template>
