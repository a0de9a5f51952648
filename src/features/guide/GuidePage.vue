<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import GuideList from './GuideList.vue'
import { guideEntries, guideSearch, type EntryKind } from '@/parts/guide/guideEntries'
import FoldSection from '@/parts/FoldSection.vue'
import FoldedSections from '@/parts/FoldedSections.vue'
import PageHead from '@/parts/PageHead.vue'
import * as t from '@/texts/t'

/** The guide: looked up in, or opened by section; every word of the screens leads here. */
const route = useRoute()
const entries = guideEntries()
const search = guideSearch(entries)
const words = ref('')
watch(
  () => route.query.q,
  (asked) => {
    if (typeof asked === 'string') words.value = asked
  },
  { immediate: true },
)
const found = computed(() => (words.value.trim() === '' ? null : search(words.value)))
const SECTIONS = {
  handbook: 'handbook',
  terms: 'term',
  questions: 'question',
  cautions: 'caution',
  mishaps: 'mishap',
  cards: 'card',
  sources: 'source',
  ask: 'ask',
} as const satisfies Record<keyof typeof t.guide.sections, EntryKind>
type Section = keyof typeof SECTIONS
const sections = (Object.keys(SECTIONS) as Section[]).map((id) => ({
  id,
  title: t.guide.sections[id],
  entries: entries.filter(({ kind }) => kind === SECTIONS[id]),
}))
</script>

<template>
  <div>
    <PageHead :title="t.guide.title" :lead="t.guide.lead" />
    <label class="mt-2 block max-w-xl">
      <span class="mb-1 block font-semibold">{{ t.guide.search }}</span>
      <input
        v-model="words"
        type="search"
        autocomplete="off"
        class="h-14 w-full border-2 border-ink bg-card px-3 text-xl"
        data-testid="guide-search"
      />
    </label>
    <section v-if="found" class="mt-4 max-w-3xl" data-testid="guide-found" aria-live="polite">
      <p class="text-soft">{{ found.length === 0 ? t.guide.none(words) : t.guide.found(found.length) }}</p>
      <GuideList :entries="found.slice(0, 40)" is-mixed />
    </section>
    <ul v-if="!found" class="mt-4 flex max-w-3xl flex-wrap gap-x-8">
      <li v-for="(first, which) in t.firsts" :key="which">
        <RouterLink
          :to="`/guide/${which}`"
          class="inline-flex min-h-11 items-center text-lg font-bold underline decoration-line decoration-2 underline-offset-4"
          >{{ first.title }}</RouterLink
        >
      </li>
    </ul>
    <FoldedSections v-if="!found" :sections="sections.map(({ id, title }) => ({ id: `guide-${id}`, title }))">
      <FoldSection
        v-for="section in sections"
        :id="`guide-${section.id}`"
        :key="section.id"
        :title="section.title"
        :answer="t.guide.answer[section.id](section.entries.length)"
      >
        <RouterLink
          v-if="section.id === 'questions' || section.id === 'cards'"
          :to="section.id === 'questions' ? '/guide/questions' : '/cards'"
          class="inline-flex min-h-11 items-center font-semibold underline decoration-line decoration-2 underline-offset-4"
          >{{ section.id === 'questions' ? t.guide.toQuestions : t.guide.openCard }}</RouterLink
        >
        <GuideList :entries="section.entries" />
      </FoldSection>
    </FoldedSections>
  </div>
</template>
