<script setup lang="ts">
import { computed, reactive, ref } from 'vue'
import { type Told, toldOdd, toldRun, toldShakedown } from '@/core/log'
import { countAll } from '@/actions/stay'
import { logging } from '@/actions/action'
import { dayZero } from '@/core/calendar'
import { unitOf, type Container, type Crew, type Id, type Stay } from '@/core/domain'
import { ENOUGH, countable, firstPicks, hookedUp, shakedownOf } from '@/core/underway'
import { useForecastStore } from '@/data/forecastStore'
import { useFoldStore } from '@/data/foldStore'
import { useLogStore } from '@/data/logStore'
import { useUnderWayStore } from '@/data/underWayStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import AmountField from '@/parts/log/AmountField.vue'
import { formatDays, formatNumber } from '@/texts'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import AppSwitch from '@/ui/AppSwitch.vue'

/** A guided count at a hookup: what it takes, what is known so far, what to count next, and when it is enough. */
const props = defineProps<{ stay: Stay; crew: Crew }>()
const forecast = useForecastStore()
const underWay = useUnderWayStore()
const workspace = useWorkspaceStore()
const folds = useFoldStore()
const log = useLogStore()

const now = computed(() => shakedownOf(props.stay.id, log.entries))
const candidates = computed(() => countable(props.crew))
const picked = reactive<Record<Id, boolean>>({})
const isPicked = (id: Id) => picked[id] ?? firstPicks(props.crew).includes(id)
const charges = reactive<Record<Id, number | null>>({})
const wrong = reactive<Record<Id, boolean>>({})
const fault = ref<string | null>(null)

const start = computed(() => {
  const said = Object.entries(charges).map(([id, litres]): [Id, number] => [id, litres ?? 0])
  return forecast.rig ? hookedUp(forecast.rig, new Map(said)) : []
})
const waste = computed(() =>
  (forecast.rig?.containers ?? []).filter(({ id }) =>
    start.value.some(({ container, what }) => container === id && what === 'emptied'),
  ),
)
function begin(isAgain: boolean) {
  const at = log.at
  const chosen = candidates.value.filter(({ id }) => isPicked(id)).map(({ id }) => id)
  fault.value = chosen.length === 0 ? t.shakedown.noPick : null
  if (fault.value !== null || Object.values(wrong).some(Boolean)) return
  const rest: Told[] = isAgain && now.value.since !== null ? [toldOdd(at, now.value.since, null, 'rest')] : []
  write([...rest, toldRun(at, start.value), toldShakedown(at, isAgain ? 'taken-up' : 'begun')], chosen, true)
}
function write(told: Told[], activities: readonly Id[], isCounted: boolean) {
  const [id, at] = [props.stay.id, log.at]
  const entries = told.map((one) => ({ op: 'put' as const, entry: log.entryOf(one) }))
  workspace.act(logging(countAll(id, activities, isCounted, at), entries))
}
const counted = computed(() =>
  props.stay.counted.filter(({ until }) => until === null).map(({ activity }) => activity),
)
const rest = () => write([toldShakedown(log.at, 'rested')], counted.value, false)
function end() {
  write([toldShakedown(log.at, 'ended')], counted.value, false)
  folds.set('learned', true)
  setTimeout(() => document.getElementById('learned')?.scrollIntoView({ block: 'start' }), 60)
}
/** What else moved levels today is in the log: an undo takes this back too. */
const isLeftOut = computed(() =>
  log.entries.some(
    (entry) =>
      entry.kind === 'odd' && entry.container === null && entry.why !== 'rest' && entry.at >= dayZero(log.at),
  ),
)
function leaveToday() {
  const at = log.at
  const morning = dayZero(at)
  const from = morning < props.stay.start ? props.stay.start : morning
  log.add([toldOdd(at, from, null, 'other')], 'shakedown')
}

const spread = computed(() => underWay.learned?.daySpread ?? null)
const full = computed(() =>
  (forecast.model?.containers ?? []).find(
    ({ side, start, limit }) => side === 'waste' && limit !== null && start >= limit,
  ),
)
const next = computed(() => {
  const first = underWay.learned?.next.find(({ activity }) => {
    const id = props.crew.activities[activity]?.id
    return id !== undefined && !counted.value.includes(id)
  })
  return first ? props.crew.activities[first.activity] : undefined
})
const left = computed(() => {
  const days = forecast.result?.days
  return days == null ? null : formatDays(days)
})
const unit = (tank: Container) => unitOf(tank.kind)
</script>

<template>
  <p class="max-w-[64ch]">{{ t.shakedown.text }}</p>
  <p v-if="underWay.phase !== 'under-way'" class="mt-2 border-l-4 border-ink pl-3 font-semibold">
    {{ t.shakedown.notUnderWay }}
  </p>
  <template v-else-if="now.state === 'counting'">
    <p v-if="full" class="mt-3 border-l-4 border-oxide pl-3 font-bold" role="status">
      {{ t.shakedown.full(full.name) }}
    </p>
    <p v-if="spread !== null" class="figure mt-3 text-2xl font-bold" data-testid="shakedown-known">
      {{ t.shakedown.known(formatNumber(100 * spread, 0)) }}
      {{ spread <= ENOUGH ? t.shakedown.enough : t.shakedown.goOn }}
    </p>
    <p v-if="next" class="mt-1 font-semibold">{{ t.learned.next(next.name) }}</p>
    <p v-if="left" class="mt-1" data-testid="shakedown-would">{{ t.shakedown.would(left) }}</p>
    <div class="mt-3 flex flex-wrap gap-3">
      <AppButton kind="primary" @click="end">{{ t.shakedown.end }}</AppButton>
      <AppButton @click="rest">{{ t.shakedown.rest }}</AppButton>
      <AppButton v-if="!isLeftOut" @click="leaveToday">{{ t.shakedown.badDay }}</AppButton>
    </div>
    <p class="mt-1 text-[0.95rem] text-soft">
      {{ isLeftOut ? t.shakedown.badDayDone : t.shakedown.restText }}
    </p>
  </template>
  <template v-else>
    <ol class="mt-2 list-decimal pl-6">
      <li v-for="step in t.shakedown.prepare" :key="step" class="py-0.5">{{ step }}</li>
    </ol>
    <p class="mt-1 border-l-4 border-ink pl-3">{{ t.shakedown.care }}</p>
    <div class="mt-3 grid grid-cols-2 items-start gap-4 sm:grid-cols-3">
      <AmountField
        v-for="tank in waste"
        :key="tank.id"
        v-model="charges[tank.id] as number | null"
        v-model:wrong="wrong[tank.id] as boolean"
        :label="t.shakedown.charge(tank.name)"
        :dimension="unit(tank) === 'L' ? 'volume' : 'uses'"
        :max="tank.capacity.value"
      />
    </div>
    <h3 class="mt-4 text-lg font-bold">{{ t.shakedown.choose }}</h3>
    <p class="text-soft">{{ t.shakedown.chooseText }}</p>
    <ul class="mt-1 grid gap-x-8 sm:grid-cols-2">
      <li v-for="one in candidates" :key="one.id" class="flex items-center gap-2 border-b border-line">
        <AppSwitch :on="isPicked(one.id)" :label="one.name" class="-ml-2" @change="picked[one.id] = $event" />
        <span class="min-w-0 font-semibold wrap-anywhere">{{ one.name }}</span>
      </li>
    </ul>
    <p v-if="fault" class="mt-2 font-semibold" role="alert">{{ fault }}</p>
    <AppButton kind="primary" class="mt-4" @click="begin(now.state === 'resting')">{{
      now.state === 'resting' ? t.shakedown.takeUp : t.shakedown.begin
    }}</AppButton>
  </template>
</template>
