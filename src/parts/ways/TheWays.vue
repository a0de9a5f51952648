<script setup lang="ts">
import { useWaysStore } from '@/data/waysStore'
import CommandPalette from './CommandPalette.vue'
import KeysDialog from './KeysDialog.vue'

/** The ways in, opened by key or by touch from anywhere. */
const ways = useWaysStore()
</script>

<template>
  <CommandPalette :open="ways.open === 'find'" @close="ways.open = null" />
  <KeysDialog :open="ways.open === 'keys'" @close="ways.open = null" />
</template>
