<script setup lang="ts">
import { marked } from 'marked'
import { computed } from 'vue'
import { handbookPage } from '@/parts/guide/handbook'
import PageHead from '@/parts/PageHead.vue'
import * as t from '@/texts/t'

/** One page of the handbook, which is the same on paper, in the repository and here. */
const props = defineProps<{ page: string }>()
const page = computed(() => handbookPage(props.page))

/** Links to other pages lead through the application; those to documents it does not ship are words. */
function html(markdown: string): string {
  const linked = markdown
    .replaceAll(/\]\((\w+)\.md\)/g, '](#/guide/handbook/$1)')
    .replaceAll(/\[([^\]]*)\]\(\.\.\/[^)]*\)/g, '$1')
  return marked.parse(linked, { async: false })
}
</script>

<template>
  <div data-testid="handbook">
    <PageHead :title="page?.title ?? t.guide.title" />
    <template v-if="page">
      <!-- eslint-disable vue/no-v-html -- our own pages, which the build brings along -->
      <div class="handbook max-w-[68ch] text-lg" v-html="html(page.lead)" />
      <section
        v-for="(part, k) in page.parts"
        :key="part.title"
        :data-anchor="`part-${k}`"
        class="max-w-[68ch] border-t border-line pt-3 pb-4"
      >
        <h2 class="text-xl leading-tight font-bold">{{ part.title }}</h2>
        <div class="handbook mt-1" v-html="html(part.markdown)" />
      </section>
      <!-- eslint-enable -->
    </template>
    <p v-else class="text-lg">{{ t.guide.noPage }}</p>
    <p class="pt-4">
      <RouterLink
        to="/guide"
        class="inline-flex min-h-11 items-center font-semibold underline decoration-line decoration-2 underline-offset-4"
        >{{ t.guide.title }}</RouterLink
      >
    </p>
  </div>
</template>

<style scoped>
.handbook :deep(p) {
  margin-bottom: 0.6rem;
  line-height: 1.45;
}
.handbook :deep(ul) {
  margin-bottom: 0.6rem;
  padding-left: 1.2rem;
  list-style: disc;
}
.handbook :deep(em) {
  font-style: normal;
  font-weight: 600;
}
.handbook :deep(a) {
  text-decoration: underline;
  text-underline-offset: 3px;
}
.handbook :deep(code) {
  background: var(--card);
  padding: 0 0.3em;
}
</style>
