<script setup lang="ts">
import type { GuideEntry } from '@/parts/guide/guideEntries'
import { DRAWINGS, type Drawing } from '@/parts/guide/drawings'
import TermDrawing from '@/parts/guide/TermDrawing.vue'
import * as t from '@/texts/t'

/** Entries of the guide, each said in full. */
defineProps<{ entries: GuideEntry[]; isMixed?: boolean }>()
const drawingOf = ({ kind, id }: GuideEntry): Drawing | undefined =>
  kind === 'term' ? DRAWINGS[id.replace('term-', '')] : undefined
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
      <dd v-if="entry.text !== ''" class="mt-0.5 flex max-w-[64ch] items-start gap-4 leading-snug">
        <span class="min-w-0 grow">{{ entry.text }}</span>
        <TermDrawing
          v-if="drawingOf(entry)"
          :drawing="drawingOf(entry)!"
          :label="t.guide.drawing(entry.title)"
        />
      </dd>
      <dd v-else class="sr-only">{{ t.guide.kinds[entry.kind] }}</dd>
    </div>
  </dl>
</template>
