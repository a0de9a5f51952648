<script setup lang="ts">
import PageHead from '@/parts/PageHead.vue'
import * as t from '@/texts/t'

/** What to do for the first time, in order; each step leads to where it is done. */
const props = defineProps<{ which: keyof typeof t.firsts }>()
</script>

<template>
  <div data-testid="first">
    <PageHead :title="t.firsts[props.which].title" :lead="t.firsts[props.which].lead" />
    <ol class="max-w-3xl">
      <li
        v-for="(step, k) in t.firsts[props.which].steps"
        :key="step.what"
        class="flex gap-4 border-b border-line py-3"
      >
        <span class="figure w-8 flex-none text-3xl leading-none font-extrabold text-soft">{{ k + 1 }}</span>
        <div class="min-w-0">
          <h2 class="text-xl leading-tight font-bold">{{ step.what }}</h2>
          <p class="mt-0.5 max-w-[64ch] leading-snug">{{ step.text }}</p>
          <RouterLink
            :to="step.to"
            class="inline-flex min-h-11 items-center font-semibold underline decoration-line decoration-2 underline-offset-4"
            >{{ step.link }}</RouterLink
          >
        </div>
      </li>
    </ol>
  </div>
</template>
