<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import * as t from '@/texts/t'
import { WORDS_OF } from './screenWords'

/** The words that a screen uses and somebody may not know: each leads to the guide. */
const route = useRoute()
const words = computed(() => WORDS_OF[String(route.name)] ?? [])
</script>

<template>
  <nav
    v-if="words.length > 0"
    class="mt-10 border-t border-line pt-3"
    :aria-label="t.guide.screenWords"
    data-testid="screen-words"
  >
    <h2 class="text-[0.92rem] font-semibold text-soft">{{ t.guide.screenWords }}</h2>
    <p class="flex flex-wrap gap-x-4">
      <RouterLink
        v-for="word in words"
        :key="word"
        :to="{ path: '/guide', query: { q: t.terms[word].name } }"
        class="inline-flex min-h-11 items-center text-[0.95rem] text-soft underline decoration-line decoration-2 underline-offset-4"
        >{{ t.terms[word].name }}</RouterLink
      >
    </p>
  </nav>
</template>
