<script setup lang="ts">
import { ref } from 'vue'
import { toldEnd } from '@/core/log'
import { useLogStore } from '@/data/logStore'
import PanelForm from '@/parts/log/PanelForm.vue'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import AppDialog from '@/ui/AppDialog.vue'

/** The stay ends, after one last look at the panel. */
defineProps<{ open: boolean }>()
const emit = defineEmits<{ close: [] }>()
const log = useLogStore()
const isRead = ref(false)

function end() {
  log.add([toldEnd(log.at)])
  emit('close')
}
</script>

<template>
  <AppDialog
    :open="open"
    :title="t.turns.endTitle"
    :close-label="t.levels.close"
    :unsaved="isRead ? null : t.log.unsaved"
    @close="$emit('close')"
  >
    <p class="mt-2">{{ t.turns.endText }}</p>
    <PanelForm v-if="!isRead" @done="isRead = true" />
    <AppButton :kind="isRead ? 'primary' : 'plain'" class="mt-4" @click="end">{{
      isRead ? t.turns.endNow : t.turns.endUnread
    }}</AppButton>
  </AppDialog>
</template>
