<script setup lang="ts">
import { useDecideStore } from '@/data/decideStore'
import { useDecideNotice } from './useDecideNotice'
import { useDecideWords } from './useDecideWords'

/** How long the tank that presses most can wait: a line, or nothing. */
const decide = useDecideStore()
decide.follow()
useDecideNotice()
const { pressing } = useDecideWords()
</script>

<template>
  <p v-if="pressing[0]" class="leading-snug font-semibold text-oxide" data-testid="decide-short">
    {{ pressing[0].short }}
  </p>
</template>
