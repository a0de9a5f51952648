<script setup lang="ts">
import { useSearchStore } from '@/data/searchStore'
import CommandPalette from './CommandPalette.vue'
import KeysDialog from './KeysDialog.vue'

/** The search in, opened by key or by touch from anywhere. */
const search = useSearchStore()
</script>

<template>
  <CommandPalette :open="search.open === 'find'" @close="search.open = null" />
  <KeysDialog :open="search.open === 'keys'" @close="search.open = null" />
</template>
