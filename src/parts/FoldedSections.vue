<script setup lang="ts">
import { useFoldStore } from '@/data/foldStore'
import * as t from '@/texts/t'

/** Sections under each other; beside them on a laptop the list that opens one and goes there. */
defineProps<{ sections: { id: string; title: string; isOpenOnWide?: boolean }[] }>()
const folds = useFoldStore()

function go(id: string) {
  folds.set(id, true)
  const section = document.getElementById(id)
  section?.scrollIntoView({ block: 'start' })
  section?.querySelector('button')?.focus({ preventScroll: true })
}
</script>

<template>
  <div class="grid gap-x-10 pt-4 lg:grid-cols-[12rem_minmax(0,1fr)]">
    <nav :aria-label="t.stay.sections" class="sticky top-20 hidden self-start pt-2 lg:block">
      <ul>
        <li v-for="{ id, title, isOpenOnWide } in sections" :key="id">
          <button
            type="button"
            class="min-h-10 w-full border-l-4 px-3 py-1.5 text-left leading-tight"
            :class="folds.isOpen(id, isOpenOnWide) ? 'border-ink font-semibold' : 'border-line text-soft'"
            @click="go(id)"
          >
            {{ title }}
          </button>
        </li>
      </ul>
    </nav>
    <div><slot /></div>
  </div>
</template>
