<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { computed, nextTick, onMounted, provide, ref, shallowRef, watch, watchEffect } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { goOnInMemory, openWorkspace } from './openWorkspace'
import { chosenSpace, isFirstVisit, switchSpace } from './space'
import TopBar from './TopBar.vue'
import BottomBar from './BottomBar.vue'
import AppButton from '@/ui/AppButton.vue'
import { useForecastStore } from '@/data/forecastStore'
import { useJobStore } from '@/data/jobStore'
import { report } from '@/data/report'
import { useNoticeStore, type Notice } from '@/data/noticeStore'
import { useTypingStore } from '@/data/typingStore'
import { useSettingsStore } from '@/data/settingsStore'
import { useSearchStore } from '@/data/searchStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { SPACE } from '@/parts/space'
import { useWhyStore } from '@/parts/why/whyStore'
import { formatNumber } from '@/texts'
import * as t from '@/texts/t'
import { BEFORE_CLOSE } from '@/ui/backCloses'
import { later } from '@/ui/later'
import { whenNeeded } from '@/ui/whenNeeded'

const notices = useNoticeStore()
const notLoaded = () => notices.say({ kind: 'not-loaded' })
const UpdateNotice = whenNeeded(() => later().then(() => import('./UpdateNotice.vue')), notLoaded)
const WhyDialog = whenNeeded(() => import('@/parts/why/WhyDialog.vue'), notLoaded)
const AppNotices = whenNeeded(
  () => import('./AppNotices.vue'),
  () => undefined,
)
const TroubleNotice = whenNeeded(() => import('./TroubleNotice.vue'), notLoaded)
const TroubleScreen = whenNeeded(() => import('./TroubleScreen.vue'), notLoaded)
const ScreenWords = whenNeeded(
  () => later().then(() => import('@/parts/ScreenWords.vue')),
  () => undefined,
)
/** The search and the keys: loaded when they are first opened. */
const SearchAndKeys = whenNeeded(() => import('@/parts/search/SearchAndKeys.vue'), notLoaded)
const KeepingReminder = whenNeeded(() => import('./KeepingReminder.vue'), notLoaded)

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
const forecast = useForecastStore()
const jobs = useJobStore()
const search = useSearchStore()
const wasFinding = ref(false)
watch(
  () => search.open,
  (open) => {
    if (open) wasFinding.value = true
  },
)
const isField = (target: EventTarget | null) =>
  target instanceof HTMLElement && /^(INPUT|SELECT|TEXTAREA)$/.test(target.tagName)
useEventListener('keydown', (event) => {
  const { key, ctrlKey, metaKey, altKey } = event
  const finds = (ctrlKey || metaKey) && !altKey && key.toLowerCase() === 'k'
  const shows = key === '?' && !ctrlKey && !metaKey && !altKey && !isField(event.target)
  if ((!finds && !shows) || document.querySelector('[role=dialog]') !== null) return
  event.preventDefault()
  search.open = finds ? 'find' : 'keys'
})
/** How long ago a copy was made: nobody waits for it. */
const keeping = shallowRef<ReturnType<(typeof import('@/data/keepingStore'))['useKeepingStore']> | null>(null)
async function keep() {
  try {
    const { useKeepingStore } = await import('@/data/keepingStore')
    keeping.value = useKeepingStore()
    keeping.value.follow(space === 'mine')
  } catch (error) {
    report('keeping the data', error)
  }
}
const typing = useTypingStore()
provide(BEFORE_CLOSE, typing.commitAll)
const route = useRoute()
const router = useRouter()
const isNew = isFirstVisit()
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
/** The demo is on its way: there is no stay to be shown yet, and it is not that there is none. */
const isFilling = computed(
  () => space === 'demo' && !isOpen.value && ['kept', 'volatile'].includes(workspace.state),
)
const SLOW_MS = 8000
const isSlow = ref(false)
onMounted(async () => {
  setTimeout(() => (isSlow.value = true), SLOW_MS)
  // A demo that cannot be fetched is said, and what is there is shown: nobody waits for it for ever.
  await openWorkspace(space, isNew).catch((error: unknown) => {
    report('opening the data', error)
    notLoaded()
  })
  // Counted, and then drawn, each on a turn of its own.
  await later()
  void forecast.result
  await later()
  isOpen.value = true
  void later().then(keep)
})

/** Closing asks where something would be lost: what is not written yet, or not kept anywhere. */
useEventListener(window, 'pagehide', () => typing.commitAll())
useEventListener(window, 'beforeunload', (event) => {
  typing.commitAll()
  const isLost = workspace.saveState === 'saving' || workspace.saveState === 'unsaved'
  if (isLost || (workspace.saveState === 'volatile' && workspace.undoLabel !== null)) event.preventDefault()
})

/** A screen whose code cannot be loaded is said, and leads on: to try again, and if need be by loading the page again. */
const failedPath = ref<string | null>(null)
router.onError((_, to) => {
  failedPath.value = to.fullPath
  notLoaded()
})
async function loadAgain(notice: Notice) {
  const path = failedPath.value ?? route.fullPath
  failedPath.value = null
  for (const one of notices.shown) if (one.notice.kind === notice.kind) notices.dismiss(one.id)
  await router.push(path).catch(() => undefined)
  if (failedPath.value === null && path !== route.fullPath) return
  location.hash = `#${path}`
  location.reload()
}
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

/** A screen that was left takes the focus with it: it goes to the next screen, and not to nowhere. */
router.afterEach((to, from) => {
  if (to.path === from.path || shown.value !== null) return
  setTimeout(() => {
    const at = document.activeElement
    if (!at || at === document.body) toContent()
  }, 60)
})

function reload() {
  location.reload()
}
function toContent() {
  document.getElementById('content')?.focus({ preventScroll: true })
}
</script>

<template>
  <a
    href="#content"
    class="absolute -top-20 left-2 z-50 bg-ink px-4 py-3 font-semibold text-paper focus:top-2"
    @click.prevent="toContent"
    >{{ t.app.skip }}</a
  >
  <TopBar v-if="!route.meta.isBare" />
  <main
    id="content"
    tabindex="-1"
    class="mx-auto max-w-[84rem] px-4 focus:outline-none sm:px-8 print:max-w-none print:p-0"
    :class="route.meta.isBare ? '' : 'pb-28 lg:pb-10'"
  >
    <KeepingReminder v-if="keeping?.isReminderDue" />
    <TroubleNotice
      v-if="workspace.state === 'volatile' || (workspace.trouble && workspace.state === 'kept')"
    />
    <p v-if="jobs.isOnMain" class="py-2 text-[0.95rem] text-soft" role="status">{{ t.states.onMain }}</p>
    <p v-if="forecast.isCounting" class="py-2 font-semibold" role="status" data-testid="counting">
      {{ t.states.counting(formatNumber(forecast.share * 100, 0)) }}
    </p>
    <div v-if="workspace.state === 'loading' || isFilling" class="py-20 text-soft" role="status">
      <p>{{ t.states.loading }}</p>
      <p v-if="isSlow" class="mt-4 max-w-[50ch] text-ink">
        {{ t.states.slow }}
        <AppButton class="mt-3" @click="goOnInMemory()">{{ t.states.inMemory }}</AppButton>
      </p>
    </div>
    <TroubleScreen v-else-if="workspace.state === 'fault'" />
    <div
      v-else-if="workspace.state === 'outdated'"
      class="my-10 max-w-[50ch] border-2 border-ink p-6 text-lg"
      role="alert"
    >
      <p>{{ t.states.oldTab }} {{ workspace.isOnDisk ? t.states.oldTabSaved : '' }}</p>
      <TroubleNotice v-if="!workspace.isOnDisk" />
      <AppButton kind="primary" class="mt-4" @click="reload">{{ t.states.reload }}</AppButton>
    </div>
    <template v-else>
      <RouterView />
      <!-- An empty screen has none of them on it. -->
      <ScreenWords v-if="isOpen && forecast.stay && !route.meta.isBare" />
    </template>
  </main>
  <BottomBar v-if="!route.meta.isBare" />
  <UpdateNotice v-if="isOpen" />
  <AppNotices v-if="notices.shown.length > 0" v-slot="{ notice }">
    <AppButton v-if="notice.kind === 'not-loaded'" kind="quiet" @click="loadAgain(notice)">{{
      t.states.tryAgain
    }}</AppButton>
  </AppNotices>
  <WhyDialog v-if="wasAsked" />
  <SearchAndKeys v-if="wasFinding" />
</template>
