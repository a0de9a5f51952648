<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { toldUse } from '@/core/log'
import { volumePerUse } from '@/core/domain'
import { flowsOf, readTimer } from '@/core/log'
import { useForecastStore } from '@/data/forecastStore'
import { useLogStore } from '@/data/logStore'
import { useTimerStore } from '@/data/timerStore'
import { useTodayStore } from '@/data/todayStore'
import { useUnderWayStore } from '@/data/underWayStore'
import { isNumber, keptRef } from '@/data/keptValue'
import ChoiceField from '@/parts/fields/ChoiceField.vue'
import PageHead from '@/parts/PageHead.vue'
import { useAmounts } from '@/parts/useAmounts'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import AppStepper from '@/ui/AppStepper.vue'
import { useHold } from '@/ui/useHold'
import { useStayAwake } from '@/ui/useStayAwake'

/** The whole screen is the button: a wet hand finds it. Litres as they run, against a usual shower and what is left today. */
const forecast = useForecastStore()
const underWay = useUnderWayStore()
const log = useLogStore()
const timers = useTimerStore()
const today = useTodayStore()
const router = useRouter()
const { volume, factor } = useAmounts()
today.follow()

const shower = computed(() => forecast.crew?.activities.find(({ kind }) => kind === 'shower') ?? null)
const known = computed(() => flowsOf(shower.value?.timed ?? null))
/** L a minute that was set here; 0: the shower's own, or the assumed. Kept with the browser. */
const own = keptRef<number>({ key: 'dry-count:shower-flow', version: 1, first: 0, isWhole: isNumber })
const flow = computed(() => (own.value > 0 ? own.value : known.value.flow))
const kept = computed(() => timers.current)
const isOn = computed(() => kept.value?.timer.state === 'on')
const person = ref('')
watch(kept, (now) => (person.value = now?.person ?? person.value), { immediate: true })

const now = ref(Date.now())
useIntervalFn(() => (now.value = Date.now()), 200)
const read = computed(() => (kept.value ? readTimer(kept.value.timer, now.value) : null))
const usual = computed(() => (shower.value ? volumePerUse(shower.value) : 0))
const share = computed(() => (read.value && usual.value > 0 ? read.value.litres / usual.value : 0))
const left = computed(() => {
  const line = today.budget?.lines.find(({ activity }) => activity === shower.value?.id)
  return line && underWay.phase === 'under-way' && today.budget?.state === 'held' ? line.today : null
})
/** L of showers that today's budget has left, whole uses or not. */
const inBudget = computed(() => {
  const line = today.budget?.lines.find(({ activity }) => activity === shower.value?.id)
  return line && left.value !== null && !today.budget?.isFree ? line.left * usual.value : null
})
const budgetWords = computed(() => {
  if (inBudget.value === null) return null
  const over = (read.value?.litres ?? 0) - inBudget.value
  return over > 0
    ? t.showerTimer.overBudget(volume(round(over)))
    : t.showerTimer.budget(volume(round(inBudget.value)))
})
const round = (litres: number) => Math.round(litres * 10) / 10
const clock = (seconds: number) =>
  `${Math.floor(seconds / 60)}:${String(Math.floor(seconds % 60)).padStart(2, '0')}`

function start() {
  now.value = Date.now()
  const { trickle, runUp } = known.value
  timers.begin(shower.value!.id, person.value || null, { flow: flow.value, trickle, runUp }, now.value)
}
function turn() {
  now.value = Date.now()
  timers.act({ do: isOn.value ? 'pause' : 'on', at: now.value })
}
const said = ref('')
/** Of a usual one: what takes less does not stand for it. */
const SHORT = 0.25
/** Water does not run so long: somebody forgot the clock, and is asked. Minutes. */
const FORGOTTEN = 30
/** Minutes that the water ran, as they are asked for; null: nobody is asked. */
const asked = ref<number | null>(null)
function end() {
  const one = kept.value
  if (!one) return
  const { litres, onSeconds } = readTimer(one.timer, Date.now())
  if (onSeconds > FORGOTTEN * 60 && asked.value === null) {
    asked.value = Math.max(1, Math.round((usual.value - one.timer.runUp) / one.timer.flow))
    return
  }
  keepIt(asked.value === null ? { litres, onSeconds } : ofMinutes(asked.value, one.timer))
}
/** @param minutes with the water on; while it waits, a trickle is nothing beside it */
const ofMinutes = (minutes: number, { flow: perMinute, runUp }: { flow: number; runUp: number }) => ({
  litres: minutes * perMinute + runUp,
  onSeconds: minutes * 60,
})
// Ended elsewhere meanwhile, there is nothing to be asked.
watch(kept, (now) => (asked.value = now ? asked.value : null))
function leaveOut() {
  asked.value = null
  timers.discard()
}
function keepIt({ litres, onSeconds }: { litres: number; onSeconds: number }) {
  const one = kept.value!
  asked.value = null
  if (underWay.phase !== 'under-way') {
    timers.discard()
    said.value = t.showerTimer.notBegun
    return
  }
  const ends = timers.ending()
  const rounded = round(litres)
  // So short a one is no shower that was expected: that one is still to come.
  const isShort = rounded < SHORT * usual.value
  const { result } = log.add(
    [
      toldUse(log.at, one.activity, 1, {
        person: one.person,
        litres: rounded,
        minutes: Math.round((onSeconds / 60) * 100) / 100,
        isExtra: isShort,
      }),
    ],
    'log',
    ends,
  )
  if (result.ok) timers.ended()
  const words = t.showerTimer.logged(shower.value?.name ?? '', volume(rounded))
  said.value = result.ok ? (isShort ? `${words} ${t.showerTimer.short}` : words) : t.log.refused
}
const surface = ref<HTMLElement | null>(null)
useHold(surface, () => false, turn)
const button = ref<HTMLElement | null>(null)
const { share: held, press } = useHold(button, () => true, end)
const { isHeld } = useStayAwake(() => kept.value !== null)
const people = computed(() => [
  { value: '', label: t.showerTimer.anybody },
  ...(forecast.crew?.persons ?? []).map(({ id, name }) => ({ value: id, label: name })),
])
function choose(id: string) {
  person.value = id
  timers.isFor(id === '' ? null : id)
}
const STEP = 0.5
const MOST = 20
</script>

<template>
  <div v-if="!kept">
    <PageHead :title="t.showerTimer.title" :lead="t.showerTimer.lead" />
    <p
      v-if="said"
      class="mt-2 border-l-[6px] border-sage pl-3 text-xl font-semibold"
      role="status"
      data-testid="timer-said"
    >
      {{ said }}
    </p>
    <p v-if="!shower" class="mt-3 text-lg">{{ t.showerTimer.none }}</p>
    <div v-else class="mt-4 grid max-w-xl gap-5">
      <p v-if="left !== null" class="text-xl font-semibold" data-testid="showers-left">
        {{ t.showerTimer.leftToday(left) }}
      </p>
      <ChoiceField :label="t.showerTimer.who" :value="person" :options="people" @choose="choose" />
      <div>
        <p class="text-[0.92rem] font-semibold text-soft">{{ t.showerTimer.flow }}</p>
        <AppStepper
          :value="Math.round(flow / STEP)"
          :min="1"
          :max="MOST / STEP"
          :text="`${factor(flow)}/min`"
          :fewer="`${t.showerTimer.flow} −`"
          :more="`${t.showerTimer.flow} +`"
          @change="own = $event * STEP"
          >{{ factor(flow) }}/min{{
            known.isAssumed && own === 0 ? ` (${t.showerTimer.assumed})` : ''
          }}</AppStepper
        >
        <p class="text-[0.95rem] text-soft">{{ t.showerTimer.flowHint }}</p>
      </div>
      <button
        type="button"
        class="min-h-32 bg-ink text-3xl font-extrabold text-paper"
        data-testid="timer-start"
        @click="start"
      >
        {{ t.showerTimer.start }}
      </button>
      <AppButton kind="quiet" class="justify-self-start" @click="router.back()">{{
        t.cards.previous
      }}</AppButton>
    </div>
  </div>
  <div v-else class="flex min-h-dvh flex-col" data-testid="timer">
    <h1 class="sr-only">{{ t.showerTimer.title }}</h1>
    <div
      v-show="asked === null"
      ref="surface"
      class="flex grow touch-manipulation flex-col justify-center gap-3 py-8 select-none"
      data-testid="timer-surface"
    >
      <p class="figure text-2xl font-bold" role="status">
        {{ isOn ? t.showerTimer.on : t.showerTimer.paused }}
      </p>
      <p
        class="figure text-[6.5rem] leading-[0.9] font-extrabold tracking-tight sm:text-[10rem]"
        data-testid="timer-litres"
      >
        {{ volume(round(read?.litres ?? 0)) }}
      </p>
      <div class="relative h-8 border-2 border-ink" aria-hidden="true">
        <div
          class="absolute inset-y-0 left-0"
          :class="share > 1 ? 'hatch-over' : 'hatch-supply'"
          :style="{ width: `${Math.min(100, share * 66.7)}%` }"
        />
        <div class="absolute -inset-y-2 left-[66.7%] border-l-4 border-ink" />
      </div>
      <p class="text-xl">
        {{
          share > 1
            ? t.showerTimer.over(volume(round((read?.litres ?? 0) - usual)))
            : t.showerTimer.usual(volume(usual))
        }};
        {{ t.showerTimer.seconds(clock(read?.onSeconds ?? 0), clock(read?.waitedSeconds ?? 0)) }}
      </p>
      <button
        type="button"
        class="grid min-h-24 place-items-center border-4 border-ink text-2xl font-bold"
        :class="isOn ? '' : 'bg-ink text-paper'"
        data-testid="timer-turn"
        @click="turn"
      >
        {{ isOn ? t.showerTimer.pause : t.showerTimer.resume }}
      </button>
      <p v-if="budgetWords" class="text-lg font-semibold" data-testid="timer-budget">{{ budgetWords }}</p>
    </div>
    <section v-if="asked !== null" class="grid gap-4 py-10" data-testid="timer-asks">
      <h2 class="text-2xl font-bold">
        {{ t.showerTimer.forgotten(Math.round((read?.onSeconds ?? 0) / 60)) }}
      </h2>
      <AppStepper
        :value="asked"
        :text="t.showerTimer.minutes(asked)"
        :min="1"
        :max="120"
        :fewer="t.cards.oneLess"
        :more="t.cards.oneMore"
        @change="asked = $event"
      />
      <div class="flex flex-wrap gap-3">
        <AppButton kind="primary" class="min-h-14 px-6" data-testid="timer-keep" @click="end">{{
          t.showerTimer.keep(volume(round(kept ? ofMinutes(asked, kept.timer).litres : 0)))
        }}</AppButton>
        <AppButton kind="quiet" class="min-h-14" @click="leaveOut">{{ t.showerTimer.discard }}</AppButton>
      </div>
    </section>
    <div v-show="asked === null" class="pb-6">
      <div ref="button">
        <button
          type="button"
          class="relative grid min-h-20 w-full place-items-center overflow-hidden border-2 border-ink text-xl font-bold select-none"
          data-testid="timer-end"
          v-on="press"
        >
          <span
            class="absolute inset-y-0 left-0 bg-select"
            :style="{ width: `${held * 100}%` }"
            aria-hidden="true"
          />
          <span class="relative">{{ t.showerTimer.end }}</span>
        </button>
      </div>
      <div class="mt-2 flex flex-wrap items-center justify-between gap-3">
        <ChoiceField
          class="grow"
          :label="t.showerTimer.who"
          :value="person"
          :options="people"
          @choose="choose"
        />
        <AppButton kind="quiet" @click="timers.discard()">{{ t.showerTimer.discard }}</AppButton>
      </div>
      <p class="text-[0.95rem] text-soft">{{ isHeld ? t.showerTimer.awake : t.showerTimer.notAwake }}</p>
    </div>
  </div>
</template>
