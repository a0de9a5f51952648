<script setup lang="ts">
import type { Id } from '@/core/domain'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import AppDialog from '@/ui/AppDialog.vue'
import LevelReader from './LevelReader.vue'

defineProps<{ open: boolean; members: readonly Id[]; name: string }>()
defineEmits<{ close: [] }>()
</script>

<template>
  <AppDialog :open="open" :title="t.levels.title(name)" :close-label="t.levels.close" @close="$emit('close')">
    <LevelReader :members="members" />
    <AppButton kind="primary" class="mt-6" @click="$emit('close')">{{ t.levels.done }}</AppButton>
  </AppDialog>
</template>
