<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue'
import type { Id } from '@/core/domain'
import * as t from '@/texts/t'
import { useReading } from './useReading'

/** How a level was read, in a few words; leads to the one place where that is set. */
const props = defineProps<{ members: readonly Id[]; name: string }>()
const LevelDialog = defineAsyncComponent(() => import('./LevelDialog.vue'))
const { words } = useReading(() => props.members)
const isOpen = ref(false)
const wasOpened = ref(false)
const label = computed(() => t.levels.change(props.name))

function open() {
  isOpen.value = wasOpened.value = true
}
</script>

<template>
  <button
    type="button"
    class="min-h-11 text-left text-[0.95rem] leading-tight text-soft underline decoration-line decoration-2 underline-offset-4"
    :aria-label="`${words}. ${label}`"
    @click="open"
  >
    {{ words }}
  </button>
  <LevelDialog v-if="wasOpened" :open="isOpen" :members="members" :name="name" @close="isOpen = false" />
</template>
