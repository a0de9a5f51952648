<script setup lang="ts">
import { useWindowVirtualizer } from '@tanstack/vue-virtual'
import { useMediaQuery } from '@vueuse/core'
import { computed, nextTick, onMounted, reactive, ref, watch } from 'vue'
import { dayAndPartOf, dayZero, addWallDays } from '@/core/calendar'
import { TEXT_KINDS, type LogEntry } from '@/core/log'
import { useClockStore } from '@/data/clockStore'
import { useForecastStore } from '@/data/forecastStore'
import { useLogStore } from '@/data/logStore'
import ChoiceField from '@/parts/fields/ChoiceField.vue'
import { useEntryWords } from '@/parts/log/entryWords'
import LogDialogs from '@/parts/log/LogDialogs.vue'
import { useDialogs } from '@/parts/log/useDialogs'
import { formatClock, formatCount, formatDate } from '@/texts'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import { matching, type LogFilter } from './filter'

/** Everything that was logged, newest first, however much it is: only what can be seen is drawn. */
const forecast = useForecastStore()
const log = useLogStore()
const clock = useClockStore()
const { words } = useEntryWords()
const { shown: dialog, open } = useDialogs()
const said = ref('')

const filter = reactive<LogFilter>({ what: '', container: '', person: '', from: '', until: '' })
const found = computed(() => matching(log.entries, filter).reverse())
/** On a phone the newest stand there, and the rest behind a tap or a choice. */
const FEW = 6
const isWide = useMediaQuery('(min-width: 64rem)')
const isAsked = ref(false)
const isWhole = computed(
  () => isWide.value || isAsked.value || Object.values(filter).some((chosen) => chosen !== ''),
)
const listed = computed(() => (isWhole.value ? found.value : found.value.slice(0, FEW)))
const ahead = computed(() => log.entries.filter(({ at }) => at > clock.now).length)

type Line = { kind: 'day'; label: string } | { kind: 'entry'; entry: LogEntry }
const lines = computed((): Line[] => {
  const { stay } = forecast
  if (!stay) return []
  let last = NaN
  // Ten thousand entries fall on few hours.
  const days = new Map<string, number>()
  const dayOf = (at: string) => {
    const hour = at.slice(0, 13)
    const known = days.get(hour) ?? dayAndPartOf(stay.start, at).day
    days.set(hour, known)
    return known
  }
  return listed.value.flatMap((entry): Line[] => {
    const day = dayOf(entry.at)
    const line: Line = { kind: 'entry', entry }
    if (day === last) return [line]
    last = day
    return [{ kind: 'day', label: formatDate(addWallDays(dayZero(stay.start), day)) }, line]
  })
})

const list = ref<HTMLElement | null>(null)
const offset = ref(0)
const measureOffset = () => {
  if (list.value) offset.value = list.value.getBoundingClientRect().top + window.scrollY
}
onMounted(measureOffset)
watch([() => log.entries.length, filter, isWhole], () => void nextTick(measureOffset))
const ROW = 64
const DAY_ROW = 44
const virtual = useWindowVirtualizer(
  computed(() => ({
    count: lines.value.length,
    estimateSize: (i: number) => (lines.value[i]?.kind === 'day' ? DAY_ROW : ROW),
    overscan: 8,
    scrollMargin: offset.value,
    getItemKey: (i: number) => {
      const line = lines.value[i]
      return line?.kind === 'entry' ? line.entry.id : `day-${i}`
    },
  })),
)
const measure = (element: unknown) => {
  if (element instanceof Element) virtual.value.measureElement(element)
}

const whats = computed(() => [
  { value: '', label: t.log.list.all },
  { value: 'use', label: t.log.list.kinds.use },
  ...(forecast.crew?.activities ?? []).map(({ id, name }) => ({
    value: `activity ${id}`,
    label: `– ${name}`,
  })),
  { value: 'reading', label: t.log.list.kinds.reading },
  { value: 'run dose', label: t.log.list.kinds.run },
  { value: TEXT_KINDS.join(' '), label: t.log.list.kinds.text },
])
const any = { value: '', label: t.log.list.any }
const tanks = computed(() => [
  any,
  ...(forecast.rig?.containers ?? []).map(({ id, name }) => ({ value: id, label: name })),
])
const people = computed(() => [
  { value: '', label: t.log.list.anybody },
  ...(forecast.crew?.persons ?? []).map(({ id, name }) => ({ value: id, label: name })),
])
const more = (entry: LogEntry) =>
  [
    entry.note,
    entry.kind === 'reading' && entry.isOffLevel ? t.log.reading.ignored : '',
    entry.at > clock.now ? t.log.list.aheadOne : '',
  ]
    .filter(Boolean)
    .join(' · ')
</script>

<template>
  <section aria-labelledby="log-list" data-testid="log-list">
    <div class="flex flex-wrap items-baseline justify-between gap-x-4">
      <h2 id="log-list" class="text-xl font-bold">{{ t.log.list.title }}</h2>
      <p class="text-soft" data-testid="log-found">
        {{ found.length === 1 ? t.log.list.one : t.log.list.count(formatCount(found.length)) }}
      </p>
    </div>
    <details class="mt-1">
      <summary class="min-h-11 cursor-pointer py-2.5 font-semibold text-soft">
        {{ t.log.list.filter }}
      </summary>
      <div class="grid grid-cols-2 gap-3 pb-3 sm:grid-cols-3 xl:grid-cols-5">
        <ChoiceField
          :label="t.log.list.filter"
          :value="filter.what"
          :options="whats"
          @choose="filter.what = $event"
        />
        <ChoiceField
          :label="t.log.list.container"
          :value="filter.container"
          :options="tanks"
          @choose="filter.container = $event"
        />
        <ChoiceField
          :label="t.log.list.person"
          :value="filter.person"
          :options="people"
          @choose="filter.person = $event"
        />
        <label class="block">
          <span class="text-[0.92rem] font-semibold text-soft">{{ t.log.list.from }}</span>
          <input
            v-model="filter.from"
            type="date"
            class="h-11 w-full border-b-2 border-ink bg-card px-2 text-lg"
          />
        </label>
        <label class="block">
          <span class="text-[0.92rem] font-semibold text-soft">{{ t.log.list.until }}</span>
          <input
            v-model="filter.until"
            type="date"
            class="h-11 w-full border-b-2 border-ink bg-card px-2 text-lg"
          />
        </label>
      </div>
    </details>
    <p v-if="ahead > 0" class="mt-1 border-l-4 border-ink pl-2" data-testid="log-ahead">
      {{ t.log.list.ahead(ahead) }}
    </p>
    <p v-if="said" class="mt-1 text-soft" role="status">{{ said }}</p>
    <p v-if="found.length === 0" class="mt-2 text-soft">
      {{ log.entries.length === 0 ? t.log.list.none : t.log.list.noneOf }}
    </p>
    <div ref="list" class="relative mt-2" :style="{ height: `${virtual.getTotalSize()}px` }" role="list">
      <div
        v-for="row in virtual.getVirtualItems()"
        :key="String(row.key)"
        :ref="measure"
        :data-index="row.index"
        class="absolute inset-x-0 top-0"
        :style="{ transform: `translateY(${row.start - offset}px)` }"
        role="listitem"
      >
        <template v-for="(line, k) in [lines[row.index]!]" :key="k">
          <h3 v-if="line.kind === 'day'" class="figure border-b-2 border-ink pt-3 pb-1 font-bold">
            {{ line.label }}
          </h3>
          <button
            v-else
            type="button"
            class="flex min-h-14 w-full items-baseline gap-4 border-b border-line py-2.5 text-left"
            :data-testid="`entry-${line.entry.id}`"
            @click="open({ kind: 'edit', entry: line.entry })"
          >
            <span class="figure w-14 flex-none text-soft">{{ formatClock(line.entry.at) }}</span>
            <span class="min-w-0 grow">
              <span class="leading-snug font-semibold wrap-anywhere">{{ words(line.entry) }}</span>
              <span class="sr-only">, {{ t.log.list.edit(formatDate(line.entry.at)) }}</span>
              <span
                v-if="more(line.entry)"
                class="block text-[0.9rem] leading-snug text-soft wrap-anywhere"
                >{{ more(line.entry) }}</span
              >
            </span>
          </button>
        </template>
      </div>
    </div>
    <AppButton
      v-if="listed.length < found.length"
      class="mt-3"
      data-testid="log-all"
      @click="isAsked = true"
      >{{ t.log.list.showAll(formatCount(found.length)) }}</AppButton
    >
    <LogDialogs v-model="dialog" @said="said = $event" />
  </section>
</template>
