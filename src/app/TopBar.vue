<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { Redo2, Search, Undo2 } from '@lucide/vue'
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { APART, NAVIGATION } from './navigation'
import { useForecastStore } from '@/data/forecastStore'
import { useTypingStore } from '@/data/typingStore'
import { useSearchStore } from '@/data/searchStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import CountStrip from '@/parts/count/CountStrip.vue'
import { useSpace } from '@/parts/space'
import * as t from '@/texts/t'

const workspace = useWorkspaceStore()
const typing = useTypingStore()
const forecast = useForecastStore()
const search = useSearchStore()
const route = useRoute()
const { space } = useSpace()

const SAVED = { saved: t.app.saved, saving: t.app.saving, unsaved: t.app.notSaved, volatile: t.app.notKept }
/** A field that is being typed into is not in the document yet. */
const savedText = computed(() =>
  workspace.saveState === 'saved' && typing.isTyping ? t.app.saving : SAVED[workspace.saveState],
)
const labelOf = (label: keyof typeof t.edits.labels | null) => (label === null ? '' : t.edits.labels[label])

/** Kinds of input without a text of their own to take back. */
const NO_TEXT = ['button', 'checkbox', 'radio', 'range', 'file']
function isTextField(target: EventTarget | null): boolean {
  if (target instanceof HTMLInputElement) return !NO_TEXT.includes(target.type)
  return target instanceof HTMLTextAreaElement || (target instanceof HTMLElement && target.isContentEditable)
}
useEventListener('keydown', (event) => {
  if (!(event.ctrlKey || event.metaKey) || event.altKey || event.key.toLowerCase() !== 'z') return
  // Inside a text field it is the field's.
  if (isTextField(event.target)) return
  event.preventDefault()
  void (event.shiftKey ? workspace.redo() : workspace.undo())
})
</script>

<template>
  <header class="sticky top-0 z-40 border-b-2 border-ink bg-paper">
    <div
      class="mx-auto flex min-h-15 max-w-[84rem] items-center gap-x-3 px-4 sm:px-8"
      :class="route.path === '/' ? 'flex-wrap' : ''"
    >
      <RouterLink
        to="/"
        class="flex items-center gap-3 py-2"
        :aria-label="`${t.app.name}: ${t.app.nav.camp}`"
      >
        <svg
          viewBox="0 0 50 40"
          class="h-8 w-10"
          fill="none"
          stroke="var(--ink)"
          stroke-width="4.5"
          stroke-linecap="round"
          aria-hidden="true"
        >
          <path d="M9 6v28M19 6v28M29 6v28M39 20v14" />
          <path d="M3 30 45 9" />
          <path d="M34 20h10" stroke="var(--oxide)" />
        </svg>
        <span
          class="figure hidden whitespace-nowrap text-[1.35rem] font-extrabold tracking-tight sm:inline lg:hidden"
          :class="route.path === '/' ? 'max-lg:!inline xl:!inline' : ''"
          >{{ t.app.name }}</span
        >
      </RouterLink>
      <nav class="ml-3 hidden self-stretch lg:flex" :aria-label="t.app.name">
        <RouterLink
          v-for="item in NAVIGATION.slice(0, -1)"
          :key="item.to"
          :to="item.to"
          class="flex items-center border-b-4 border-transparent px-2 pt-1 font-semibold whitespace-nowrap text-soft"
          exact-active-class="!border-ink !text-ink"
          >{{ t.app.nav[item.screen] }}</RouterLink
        >
        <RouterLink
          v-for="(item, i) in APART"
          :key="item.to"
          :to="item.to"
          class="flex items-center border-b-4 border-transparent px-2 pt-1 whitespace-nowrap text-soft"
          :class="i === 0 ? 'ml-4' : ''"
          exact-active-class="!border-ink !text-ink font-semibold"
          >{{ t.app.nav[item.screen] }}</RouterLink
        >
      </nav>
      <div class="ml-auto flex min-w-0 items-center gap-1 sm:gap-3">
        <RouterLink
          v-if="space === 'demo'"
          to="/settings"
          class="grid min-h-11 place-items-center text-[0.95rem] font-semibold"
          :class="route.path === '/' ? '' : 'max-sm:hidden'"
          ><span class="border-2 border-ink px-2 py-0.5 whitespace-nowrap">{{ t.app.demo }}</span></RouterLink
        >
        <CountStrip v-if="!['/', '/start'].includes(route.path)" />
        <p v-else-if="route.path === '/'" class="hidden truncate text-[0.95rem] text-soft md:block">
          {{ forecast.stay?.name }}
        </p>
        <span class="hidden text-[0.95rem] text-soft sm:inline" role="status" data-testid="saved">{{
          savedText
        }}</span>
        <button
          class="grid h-11 w-11 place-items-center max-sm:hidden"
          :aria-label="t.app.find"
          data-testid="find"
          @click="search.open = 'find'"
        >
          <Search :size="22" aria-hidden="true" />
        </button>
        <button
          class="grid h-11 w-11 place-items-center disabled:opacity-35"
          :disabled="workspace.undoLabel === null"
          :aria-label="
            workspace.undoLabel === null ? t.edits.undo : t.edits.undoOf(labelOf(workspace.undoLabel))
          "
          @click="workspace.undo()"
        >
          <Undo2 :size="22" aria-hidden="true" />
        </button>
        <button
          class="grid h-11 w-11 place-items-center disabled:opacity-35"
          :disabled="workspace.redoLabel === null"
          :aria-label="
            workspace.redoLabel === null ? t.edits.redo : t.edits.redoOf(labelOf(workspace.redoLabel))
          "
          @click="workspace.redo()"
        >
          <Redo2 :size="22" aria-hidden="true" />
        </button>
      </div>
    </div>
  </header>
</template>
