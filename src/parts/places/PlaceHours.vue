<script setup lang="ts">
import { computed, ref, useId, watch } from 'vue'
import { addWallDays, type WallTime } from '@/core/calendar'
import type { Place } from '@/core/domain'
import { openingOf, plainHoursOf, type PlainHours } from '@/core/places'
import { useClockStore } from '@/data/clockStore'
import { useForecastStore } from '@/data/forecastStore'
import { usePlacesStore } from '@/data/placesStore'
import ChoiceField from '@/parts/fields/ChoiceField.vue'
import { formatClock, formatDate } from '@/texts'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import FieldShell from '@/ui/FieldShell.vue'
import { usePlaceEdit } from './usePlaceEdit'

/** The common hours as a plain form, any others as text; what they come to in the next days stands below. */
const props = defineProps<{ place: Place }>()
const edit = usePlaceEdit()
const places = usePlacesStore()
const clock = useClockStore()
const forecast = useForecastStore()
places.follow()
const id = useId()

const FIRST: PlainHours = {
  days: [true, true, true, true, true, false, false],
  from: '08:00',
  until: '18:00',
  months: null,
}
const plain = computed(() => (props.place.opening === null ? null : plainHoursOf(props.place.opening)))
const set = (opening: string | null) => edit.put({ ...props.place, opening }, 'opening')
const setPlain = (next: Partial<PlainHours>) => set(openingOf({ ...(plain.value ?? FIRST), ...next }))
const toggleDay = (day: number) =>
  setPlain({ days: (plain.value ?? { days: FIRST.days }).days.map((isOn, i) => (i === day ? !isOn : isOn)) })
function setClock(which: 'from' | 'until', event: Event) {
  const clockText = (event.target as HTMLInputElement).value
  if (/^\d{2}:\d{2}$/.test(clockText)) setPlain({ [which]: clockText })
}
const months = t.places.monthNames.map((label, i) => ({ value: String(i + 1), label }))
const season = (which: 0 | 1, value: string) => {
  if (value === '') return setPlain({ months: null })
  const was = plain.value?.months ?? [Number(value), Number(value)]
  const next: [number, number] = [was[0], was[1]]
  next[which] = Number(value)
  return setPlain({ months: next })
}

/** What is typed stands until it can be read; what cannot is said, and nothing is lost. */
const text = ref(props.place.opening ?? '')
const fault = ref<string | null>(null)
watch(
  () => props.place.opening,
  (opening) => {
    if (fault.value === null) text.value = opening ?? ''
  },
)
async function commit() {
  const typed = text.value.trim()
  fault.value = null
  if (typed === '') return void set(null)
  const answer = await places.tryText(typed)
  if (text.value.trim() !== typed) return
  if (answer && !answer.ok) {
    fault.value = t.places.hoursWrong(answer.why)
    return
  }
  const result = set(typed)
  if (!result.ok) fault.value = t.places.hoursWrong(typed)
  else if (!answer) fault.value = t.places.hoursUnasked
}

const answer = computed(() => places.answerOf(props.place))
const next = computed(() => {
  if (!answer.value?.ok || !forecast.stay) return []
  const from =
    clock.now > answer.value.times.from && clock.now < answer.value.times.until
      ? clock.now
      : forecast.stay.start
  const until = addWallDays(from, 7)
  return answer.value.times.spans
    .filter((span) => span.until > from && span.from < until)
    .slice(0, 8)
    .map((span) => ({
      key: span.from,
      words: spanWords(span.from, span.until),
      note: span.isSure ? null : (span.note ?? t.places.perhapsOpen),
    }))
})
/** The day is said again only where it is another one. */
function spanWords(from: WallTime, until: WallTime): string {
  const day = until.slice(0, 10) === from.slice(0, 10) ? '' : `${formatDate(until)} `
  return `${formatDate(from)} ${formatClock(from)} – ${day}${formatClock(until)}`
}
const field = 'h-11 w-full min-w-0 border-b-2 border-ink bg-card px-2 text-lg'
</script>

<template>
  <div class="grid gap-4">
    <div class="flex flex-wrap gap-2">
      <AppButton @click="set('24/7')">{{ t.places.always }}</AppButton>
      <AppButton @click="set('&quot;by appointment&quot;')">{{ t.places.byAppointment }}</AppButton>
      <AppButton @click="set(null)">{{ t.places.notKnown }}</AppButton>
    </div>
    <fieldset v-if="plain || place.opening === null">
      <legend class="mb-1 text-[0.92rem] font-semibold text-soft">{{ t.places.days }}</legend>
      <div class="flex flex-wrap gap-1.5">
        <button
          v-for="(name, day) in t.places.dayNames"
          :key="name"
          type="button"
          role="checkbox"
          :aria-checked="plain?.days[day] ?? false"
          class="min-h-11 min-w-12 border-2 px-2"
          :class="plain?.days[day] ? 'border-ink bg-ink font-semibold text-paper' : 'border-line'"
          @click="plain ? toggleDay(day) : setPlain({ days: t.places.dayNames.map((_, i) => i === day) })"
        >
          {{ name }}
        </button>
      </div>
    </fieldset>
    <div v-if="plain" class="grid grid-cols-2 items-start gap-4">
      <FieldShell :id="`${id}-from`" :label="t.places.opensAt" :fault="null">
        <input
          :id="`${id}-from`"
          type="time"
          :value="plain.from"
          :class="field"
          @change="setClock('from', $event)"
        />
      </FieldShell>
      <FieldShell :id="`${id}-until`" :label="t.places.shutsAt" :fault="null">
        <input
          :id="`${id}-until`"
          type="time"
          :value="plain.until === '24:00' ? '00:00' : plain.until"
          :class="field"
          @change="setClock('until', $event)"
        />
      </FieldShell>
      <ChoiceField
        :label="t.places.season"
        :value="plain.months ? String(plain.months[0]) : ''"
        :options="[{ value: '', label: t.places.allYear }, ...months]"
        @choose="season(0, $event)"
      />
      <ChoiceField
        v-if="plain.months"
        :label="t.places.seasonTo"
        :value="String(plain.months[1])"
        :options="months"
        @choose="season(1, $event)"
      />
    </div>
    <FieldShell :id="`${id}-text`" :label="t.places.hoursText" :fault="fault">
      <input
        :id="`${id}-text`"
        v-model="text"
        type="text"
        autocomplete="off"
        spellcheck="false"
        :aria-invalid="fault !== null"
        :aria-describedby="fault === null ? undefined : `${id}-text-fault`"
        :class="field"
        @change="commit"
        @keydown.enter="commit"
      />
    </FieldShell>
    <div v-if="next.length > 0">
      <h3 class="text-[0.92rem] font-semibold text-soft">{{ t.places.nextDays }}</h3>
      <ul class="figure" data-testid="next-days">
        <li v-for="span in next" :key="span.key">
          {{ span.words }}<span v-if="span.note" class="text-soft">: {{ span.note }}</span>
        </li>
      </ul>
    </div>
    <p v-if="answer?.ok && answer.times.leavesHolidays" class="text-soft">{{ t.places.holidays }}</p>
  </div>
</template>
