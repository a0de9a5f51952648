<script setup lang="ts">
import { computed, defineAsyncComponent, nextTick, onMounted, provide, ref, watch, watchEffect } from 'vue'
import { useRoute } from 'vue-router'
import { openWorkspace } from './openWorkspace'
import { chosenSpace, switchSpace } from './space'
import TopBar from './TopBar.vue'
import BottomBar from './BottomBar.vue'
import AppButton from '@/ui/AppButton.vue'
import { useSettingsStore } from '@/data/settingsStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { SPACE } from '@/parts/space'
import { useWhyStore } from '@/parts/why/whyStore'
import { t } from '@/texts'
import { later } from '@/ui/later'

const UpdateNotice = defineAsyncComponent(() => later().then(() => import('./UpdateNotice.vue')))
const WhyDialog = defineAsyncComponent(() => import('@/parts/why/WhyDialog.vue'))

const settings = useSettingsStore()
const why = useWhyStore()
/** Loaded with the first question; stays then, so that closing it gives the focus back. */
const wasAsked = ref(false)
watch(
  () => why.question,
  (question) => {
    if (question) wasAsked.value = true
  },
)
const workspace = useWorkspaceStore()
const route = useRoute()
const space = chosenSpace()

provide(SPACE, { space, switchTo: switchSpace })
watchEffect(() => {
  document.documentElement.dataset.theme = settings.shownTheme
})
watchEffect(() => {
  const name =
    route.name === 'camp' || route.name === undefined ? null : t.app.nav[route.name as keyof typeof t.app.nav]
  document.title = name ? `${name} · ${t.app.name}` : t.app.name
})
/** The stay is read, and the demo filled: from now on there is time for the rest. */
const isOpen = ref(false)
onMounted(async () => {
  await openWorkspace(space)
  isOpen.value = true
})

/** `?show=…` leads to the place on a screen where a number can be changed. */
const shown = computed(() => (typeof route.query.show === 'string' ? route.query.show : null))
watch(
  [shown, () => workspace.state],
  async () => {
    if (shown.value === null || workspace.state === 'loading') return
    await nextTick()
    setTimeout(() => focusAnchor(shown.value ?? ''), 150)
  },
  { immediate: true },
)
function focusAnchor(name: string) {
  const place = document.querySelector<HTMLElement>(`[data-anchor="${CSS.escape(name)}"]`)
  place?.scrollIntoView({ block: 'center' })
  place?.querySelector<HTMLElement>('input, select, button')?.focus({ preventScroll: true })
}

function reload() {
  location.reload()
}
function toContent() {
  document.getElementById('content')?.focus()
}
</script>

<template>
  <a
    href="#content"
    class="absolute -top-20 left-2 z-50 bg-ink px-4 py-3 font-semibold text-paper focus:top-2"
    @click.prevent="toContent"
    >{{ t.app.skip }}</a
  >
  <TopBar />
  <main
    id="content"
    tabindex="-1"
    class="mx-auto max-w-[84rem] px-4 pb-28 focus:outline-none sm:px-8 lg:pb-10"
  >
    <p
      v-if="workspace.state === 'volatile'"
      class="my-3 border-2 border-ink px-4 py-3 font-semibold"
      role="alert"
    >
      {{ t.states.volatile }}
    </p>
    <p v-if="workspace.writeFailed" class="my-3 border-2 border-ink px-4 py-3 font-semibold" role="alert">
      {{ t.states.writeFailed }}
      <AppButton kind="quiet" @click="workspace.retry()">{{ t.states.tryAgain }}</AppButton>
    </p>
    <p v-if="workspace.state === 'loading'" class="py-20 text-soft" role="status">{{ t.states.loading }}</p>
    <p
      v-else-if="workspace.state === 'failed'"
      class="my-10 max-w-[50ch] border-2 border-ink p-6 text-lg"
      role="alert"
    >
      {{ t.states.failed }}
    </p>
    <div
      v-else-if="workspace.state === 'outdated'"
      class="my-10 max-w-[50ch] border-2 border-ink p-6 text-lg"
      role="alert"
    >
      <p>{{ t.update.oldTab }}</p>
      <AppButton kind="primary" class="mt-4" @click="reload">{{ t.update.reload }}</AppButton>
    </div>
    <RouterView v-else />
  </main>
  <BottomBar />
  <UpdateNotice v-if="isOpen" />
  <WhyDialog v-if="wasAsked" />
</template>
