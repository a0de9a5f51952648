<script setup lang="ts">
import type { PendingImport } from '@/parts/files/useFiles'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import AppDialog from '@/ui/AppDialog.vue'

defineProps<{ pending: PendingImport | null }>()
defineEmits<{ choose: [how: 'replace' | 'add' | 'cancel'] }>()
</script>

<template>
  <AppDialog
    :open="pending !== null"
    :title="t.imports.title(pending?.name ?? '')"
    :close-label="t.imports.cancel"
    @close="$emit('choose', 'cancel')"
  >
    <template v-if="pending">
      <p class="mt-2">{{ t.imports.text(pending.document.stays.length, pending.document.rigs.length) }}</p>
      <div class="mt-5 flex flex-wrap gap-3">
        <AppButton kind="primary" @click="$emit('choose', 'replace')">{{ t.imports.replace }}</AppButton>
        <AppButton @click="$emit('choose', 'add')">{{ t.imports.add }}</AppButton>
        <AppButton kind="quiet" @click="$emit('choose', 'cancel')">{{ t.imports.cancel }}</AppButton>
      </div>
    </template>
  </AppDialog>
</template>
