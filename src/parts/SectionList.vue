<script setup lang="ts">
import { useFoldStore } from '@/data/foldStore'

/** Beside the sections on a laptop: opens one and goes there. */
defineProps<{ label: string; sections: { id: string; title: string }[] }>()
const folds = useFoldStore()

function go(id: string) {
  folds.set(id, true)
  const section = document.getElementById(id)
  section?.scrollIntoView({ block: 'start' })
  section?.querySelector('button')?.focus({ preventScroll: true })
}
</script>

<template>
  <nav :aria-label="label" class="sticky top-20 hidden self-start pt-2 lg:block">
    <ul>
      <li v-for="{ id, title } in sections" :key="id">
        <button
          type="button"
          class="min-h-10 w-full border-l-4 px-3 py-1.5 text-left leading-tight"
          :class="folds.isOpen(id) ? 'border-ink font-semibold' : 'border-line text-soft'"
          @click="go(id)"
        >
          {{ title }}
        </button>
      </li>
    </ul>
  </nav>
</template>
