<script setup lang="ts">
import { useCountWords } from '@/parts/count/useCountWords'
import CountSentence from '@/parts/count/CountSentence.vue'

const words = useCountWords()
</script>

<template>
  <CountSentence v-if="words" :words="words" />
</template>
