<script setup lang="ts">
import type { GuideEntry } from '@/parts/guide/guideEntries'
import * as t from '@/texts/t'

/** Entries of the guide, each said in full. */
defineProps<{ entries: GuideEntry[]; isMixed?: boolean }>()
</script>

<template>
  <dl>
    <div v-for="entry in entries" :key="entry.id" class="border-b border-line py-2.5" :data-testid="entry.id">
      <dt class="leading-snug" :class="entry.text === '' ? 'text-lg' : 'text-xl font-bold'">
        <RouterLink
          v-if="entry.link"
          :to="entry.link"
          class="underline decoration-line decoration-2 underline-offset-4"
          >{{ entry.title }}</RouterLink
        >
        <template v-else>{{ entry.title }}</template>
        <span v-if="isMixed" class="ml-2 text-[0.9rem] font-normal text-soft">{{
          t.guide.kinds[entry.kind]
        }}</span>
      </dt>
      <dd v-if="entry.text !== ''" class="mt-0.5 max-w-[64ch] leading-snug">{{ entry.text }}</dd>
      <dd v-else class="sr-only">{{ t.guide.kinds[entry.kind] }}</dd>
    </div>
  </dl>
</template>
