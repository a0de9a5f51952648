<script setup lang="ts">
import { useDecideStore } from '@/data/decideStore'
import { useDecideNotice } from './useDecideNotice'
import { useDecideWords } from './useDecideWords'
import * as t from '@/texts/t'

/** The most pressing thing to decide, in a line, in room that is kept for it. */
const decide = useDecideStore()
decide.follow()
useDecideNotice()
const { nothing, pressing } = useDecideWords()
</script>

<template>
  <div data-testid="decide-line" class="min-h-[7rem] leading-snug sm:min-h-[3.6rem]">
    <p v-if="decide.answers === null" class="text-soft" role="status">
      {{ decide.hasFailed ? t.decide.failed : t.decide.working }}
    </p>
    <p v-else-if="!pressing[0]" class="text-lg font-semibold">{{ nothing }}</p>
    <p v-else class="text-lg font-semibold">
      <span v-if="pressing[0].state === 'too-late'" class="text-oxide">{{ pressing[0].short }}</span>
      <template v-else
        >{{ t.decide.wait(pressing[0].name) }}
        <span class="text-oxide">{{ pressing[0].until }}</span>.</template
      >
    </p>
    <p v-if="pressing[0]" class="text-soft">
      {{ pressing[0].planned ?? pressing[0].after }}
      <RouterLink
        to="/runs"
        class="-my-2.5 inline-flex min-h-11 items-center font-semibold underline decoration-line decoration-2 underline-offset-4"
        >{{ t.decide.link }}</RouterLink
      >
    </p>
  </div>
</template>
