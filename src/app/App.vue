<script setup lang="ts">
import { onMounted, provide, watchEffect } from 'vue'
import { useRoute } from 'vue-router'
import { openWorkspace } from './openWorkspace'
import { chosenSpace, switchSpace } from './space'
import TopBar from './TopBar.vue'
import BottomBar from './BottomBar.vue'
import { useSettingsStore } from '@/data/settingsStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { SPACE } from '@/parts/space'
import { t } from '@/texts'

const settings = useSettingsStore()
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
onMounted(() => openWorkspace(space))

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
    </p>
    <p v-if="workspace.state === 'loading'" class="py-20 text-soft" role="status">{{ t.states.loading }}</p>
    <p
      v-else-if="workspace.state === 'failed'"
      class="my-10 max-w-[50ch] border-2 border-ink p-6 text-lg"
      role="alert"
    >
      {{ t.states.failed }}
    </p>
    <RouterView v-else />
  </main>
  <BottomBar />
</template>
