<script setup lang="ts">
import { useEventListener, useMediaQuery } from '@vueuse/core'
import { computed, ref, shallowRef, watch } from 'vue'
import { useRoute } from 'vue-router'
import { toldUse } from '@/core/log'
import type { LogEntry } from '@/core/log'
import type { Id } from '@/core/domain'
import { useLogStore } from '@/data/logStore'
import { useEntryWords } from './entryWords'
import LogDialogs from './LogDialogs.vue'
import SmallTally from './SmallTally.vue'
import { useDialogs } from './useDialogs'
import type { Key } from './keys'
import { useLogging } from './useLogging'
import { dayAndTime } from '@/texts'
import * as t from '@/texts/t'

/** One tap logs a use, in the place of one that was expected. A long press asks for more. */
const props = defineProps<{ isBig?: boolean }>()
const log = useLogStore()
const { keys: all, silent, isCounted } = useLogging()
const { activityName } = useEntryWords()
const { shown: dialog, open } = useDialogs()
const isWide = useMediaQuery('(min-width: 64rem)')
const ON_A_PHONE = 3
const ON_A_LAPTOP = 6
const keys = computed(() =>
  props.isBig ? all.value : all.value.slice(0, isWide.value ? ON_A_LAPTOP : ON_A_PHONE),
)

const OTHERS = [
  { kind: 'panel', testid: 'key-panel', label: t.log.panel, short: t.log.panelKey, letter: 'p' },
  { kind: 'choose', testid: 'key-other', label: t.log.other, short: t.log.otherKey, letter: 'e' },
] as const

/** `?do=panel` opens the panel, from wherever it was asked for. */
const route = useRoute()
watch(
  () => route.query.do,
  (asked) => {
    const other = OTHERS.find(({ kind }) => kind === asked)
    if (other) open({ kind: other.kind })
  },
  { immediate: true },
)

/** What was logged last, said in passing. */
const said = ref('')
/** What one tap logged, as long as it can be taken back or said to be one more than usual. */
const last = shallowRef<LogEntry | null>(null)
function add(activity: Id, n = 1) {
  const at = log.at
  const { result, made } = log.add([toldUse(at, activity, n)])
  last.value = result.ok ? (made[0] ?? null) : null
  said.value = result.ok ? t.log.logged(t.log.made(activityName(activity), n), dayAndTime(at)) : t.log.refused
}

/** On top of what was expected anyway: nobody is taken to have forgotten one less. */
function isMore() {
  const entry = last.value && log.find(last.value.id)
  last.value = null
  if (entry?.kind !== 'use') return
  const result = log.amend({ ...entry, isExtra: true })
  said.value = result.ok ? t.log.keptExtra(activityName(entry.activity)) : t.log.refused
}
function takeBack() {
  if (last.value) log.remove([last.value.id])
  last.value = null
  said.value = t.log.takenBack
}
function saidElsewhere(words: string) {
  last.value = null
  said.value = words
}
const SAID_MS = 60_000
watch(last, (entry) => {
  clearTimeout(forget)
  if (entry) forget = setTimeout(() => (last.value = null), SAID_MS)
})
let forget: ReturnType<typeof setTimeout> | undefined

const LONG_MS = 500
let timer: ReturnType<typeof setTimeout> | undefined
let wasLong = false
function press(key: Key) {
  wasLong = false
  clearTimeout(timer)
  timer = setTimeout(() => {
    wasLong = true
    open({ kind: 'use', activity: key.activity.id })
  }, LONG_MS)
}
const letGo = () => clearTimeout(timer)
function tap(key: Key) {
  if (!wasLong) add(key.activity.id)
  wasLong = false
}
function ask(key: Key) {
  letGo()
  wasLong = true
  open({ kind: 'use', activity: key.activity.id })
}

/** Single keys, and a digit before them for how many. */
const DIGIT_MS = 2500
let digit = 0
let digitAt = 0
useEventListener('keydown', (event) => {
  const { target } = event
  const isBusy = dialog.value !== null || document.querySelector('[role=dialog]') !== null
  if (isBusy || event.ctrlKey || event.metaKey || event.altKey || event.repeat) return
  if (target instanceof HTMLElement && /^(INPUT|SELECT|TEXTAREA)$/.test(target.tagName)) return
  if (/^[1-9]$/.test(event.key)) {
    digit = Number(event.key)
    digitAt = event.timeStamp
    return
  }
  const letter = event.key.toLowerCase()
  const other = OTHERS.find((one) => one.letter === letter)
  if (other) open({ kind: other.kind })
  else {
    const key = all.value.find((one) => one.letter !== '' && one.letter === letter)
    if (!key) return
    const isRecent = digit > 0 && event.timeStamp - digitAt < DIGIT_MS
    if (event.shiftKey) open({ kind: 'use', activity: key.activity.id })
    else add(key.activity.id, isRecent ? digit : 1)
    digit = 0
  }
  event.preventDefault()
})

/** What is known of today: counted, as usual, or logged with what probably was not. */
const sub = ({ isCounted: counted, today, unlogged, isLeftOut }: Key) => {
  if (isLeftOut) return t.log.leftOut
  if (counted) return t.log.counted
  if (unlogged === null) return today > 0 ? t.log.today(today) : t.log.usual
  const open = Math.round(unlogged)
  return open === 0 ? t.log.today(today) : t.log.notLogged(today, open)
}
</script>

<template>
  <section aria-labelledby="keys" data-testid="log-keys">
    <h2 id="keys" class="text-[0.95rem] font-semibold text-soft" :class="isBig ? '' : 'max-lg:sr-only'">
      {{ t.log.keys }}
    </h2>
    <div
      class="grid border-ink lg:mt-1 lg:border-2"
      :class="
        isBig
          ? 'mt-1 grid-cols-3 border-2 lg:grid-cols-5'
          : 'auto-cols-fr border-t-2 max-lg:grid-flow-col lg:grid-cols-4'
      "
    >
      <button
        v-for="key in keys"
        :key="key.activity.id"
        type="button"
        class="-mr-px -mb-px flex flex-col items-start border border-soft bg-card pt-1.5 pb-1 text-left select-none active:bg-select"
        :class="isBig ? 'min-h-20 px-2.5' : 'min-h-16 px-1.5 text-[0.9rem] lg:px-2.5 lg:text-base'"
        :data-testid="`key-${key.activity.id}`"
        @pointerdown="press(key)"
        @pointerup="letGo"
        @pointerleave="letGo"
        @pointercancel="letGo"
        @contextmenu.prevent="ask(key)"
        @click="tap(key)"
      >
        <span class="flex w-full items-baseline gap-1 leading-tight font-bold wrap-anywhere">
          {{ key.activity.name }}
          <kbd v-if="key.letter" class="ml-auto hidden text-[0.8rem] font-normal text-soft lg:inline">{{
            key.letter
          }}</kbd>
        </span>
        <span class="mt-auto flex min-h-6 items-center gap-2 text-[0.85rem] text-soft">
          <SmallTally v-if="key.isCounted && key.today > 0" :n="key.today" class="text-ink" />
          <template v-else-if="isBig || isWide">{{ sub(key) }}</template>
          <span v-else class="sr-only">{{ sub(key) }}</span>
        </span>
      </button>
      <button
        v-for="one in OTHERS"
        :key="one.kind"
        type="button"
        :class="[
          '-mr-px -mb-px flex min-h-16 items-start border border-soft bg-card pt-1.5',
          'text-left leading-tight font-bold active:bg-select',
          isBig ? 'px-2.5' : 'px-1.5 text-[0.9rem] lg:px-2.5 lg:text-base',
        ]"
        :data-testid="one.testid"
        @click="open({ kind: one.kind })"
      >
        {{ isBig || isWide ? one.label : one.short }}
        <kbd class="ml-auto hidden text-[0.8rem] font-normal text-soft lg:inline">{{ one.letter }}</kbd>
      </button>
    </div>
    <p
      class="text-[0.9rem] text-soft"
      :class="isBig || isWide ? 'min-h-6 pt-0.5' : said === '' ? '' : 'border-t border-line px-2.5 py-0.5'"
      role="status"
      data-testid="log-said"
    >
      {{ said }}
      <template v-if="last">
        <button
          type="button"
          class="min-h-11 px-1 font-semibold text-ink underline decoration-line decoration-2 underline-offset-4"
          data-testid="log-undo"
          @click="takeBack"
        >
          {{ t.edits.undo }}
        </button>
        <button
          v-if="!isCounted(last.kind === 'use' ? last.activity : '')"
          type="button"
          class="min-h-11 px-1 font-semibold text-ink underline decoration-line decoration-2 underline-offset-4"
          data-testid="log-extra"
          @click="isMore"
        >
          {{ t.log.onlyMore }}
        </button>
      </template>
    </p>
    <p v-if="silent && isBig" class="text-[0.95rem]" data-testid="log-silent">
      {{ t.log.silent(dayAndTime(silent)) }}
      <button
        type="button"
        class="min-h-11 font-semibold underline decoration-line decoration-2 underline-offset-4"
        @click="open({ kind: 'catch-up' })"
      >
        {{ t.log.choose.catchUp }}
      </button>
    </p>
    <p v-if="isBig" class="text-[0.9rem] text-soft">
      {{ t.log.hold }} <span class="max-lg:hidden">{{ t.log.holdNumber }}</span>
    </p>
    <LogDialogs v-model="dialog" @said="saidElsewhere" />
  </section>
</template>
