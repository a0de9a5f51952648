<script setup lang="ts">
import { computed, reactive, ref } from 'vue'
import { toldDose, toldReading, toldRun, type Told } from '@/core/log'
import { doneRun } from '@/actions/runs'
import { logging } from '@/actions/action'
import { finished, suspects } from '@/core/cards'
import { panelMarks } from '@/core/domain'
import { unitOf, type Id } from '@/core/domain'
import { useForecastStore } from '@/data/forecastStore'
import { useLogStore } from '@/data/logStore'
import { useNoticeStore } from '@/data/noticeStore'
import { useUnderWayStore } from '@/data/underWayStore'
import { useWalkStore, type KeptWalk } from '@/data/walkStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { LIMITS } from '@/document/schema/limits'
import { refusalWords } from '@/parts/fields/refusalWords'
import AmountField from '@/parts/log/AmountField.vue'
import { useAmounts } from '@/parts/useAmounts'
import { formatNumber } from '@/texts'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import AppStepper from '@/ui/AppStepper.vue'
import AppSwitch from '@/ui/AppSwitch.vue'
import MeasureForm from './MeasureForm.vue'
import PanelMarks from './PanelMarks.vue'
import { useCardWords } from './useCardWords'

/** One look with clean hands at what a card says was done; confirmed, all of it stands in the log as one step. */
const props = defineProps<{ kept: KeptWalk }>()
/** `isLogged`: something of it stands in the log now. */
const emit = defineEmits<{ leave: [isLogged: boolean]; back: [] }>()
const forecast = useForecastStore()
const workspace = useWorkspaceStore()
const underWay = useUnderWayStore()
const log = useLogStore()
const walk = useWalkStore()
const notices = useNoticeStore()
const words = useCardWords()
const { level } = useAmounts()

const done = computed(() => finished(props.kept.walk, Date.now()))
const lines = reactive(done.value.did.map((one) => ({ ...one, isDone: true })))
const rinses = reactive(done.value.rinses.map((one) => ({ ...one })))
const doses = reactive(done.value.doses.map((one) => ({ ...one, isDone: true })))
const drains = reactive(done.value.drains.map((one) => ({ ...one, isKept: true })))
const minutes = ref(done.value.minutes)
/** From days down to minutes in a few taps. */
const minuteStep = computed(() =>
  minutes.value > 240 ? 60 : minutes.value > 60 ? 10 : minutes.value > 20 ? 5 : 1,
)
const run = computed(() => forecast.stay?.runs.find(({ id }) => id === props.kept.run) ?? null)
const fee = ref<number | null>(run.value ? run.value.fee.value : null)
const isFeeWrong = ref(false)
const before = reactive<Record<Id, number>>({ ...props.kept.before })
const after = reactive<Record<Id, number>>({})
const refused = ref('')
const isSaved = ref(false)
const nameOf = (id: Id) => words.tank(id)?.name ?? ''
const unit = (id: Id) => (words.tank(id) ? unitOf(words.tank(id)!.kind) : 'L')
const kinds = computed(() => new Set(props.kept.walk.cards.map(({ kind }) => kind)))
const measures = computed(() => kinds.value.has('bucket-test') || kinds.value.has('metered-fill'))
const isEmpty = computed(() => lines.length === 0 && rinses.length === 0 && doses.length === 0)
const lying = computed(() =>
  suspects(
    lines.filter(({ isDone }) => isDone),
    new Map(Object.entries(after)),
  ),
)
/** Logged while the stay is under way: before it, there is no time to log it at. */
const canLog = computed(() => underWay.phase !== 'planned' && props.kept.stay === forecast.stay?.id)

function readings(seen: Record<Id, number>): Told[] {
  return Object.entries(seen).flatMap(([id, step]): Told[] => {
    const tank = words.tank(id)
    const panel = tank && 'panel' in tank ? tank.panel : null
    if (!panel) return []
    const edges = panelMarks(panel).map(({ from }) => from)
    return [toldReading(log.at, id, { as: 'panel', edges, step })]
  })
}
function save() {
  const did = lines
    .filter(({ isDone }) => isDone)
    .map(({ container, what, litres }) => ({ container, what, litres }))
  const timed = drains
    .filter(({ isKept }) => isKept)
    .map(({ container, minutes: n }) => ({ container, minutes: n }))
  const took = {
    minutes: minutes.value,
    kilometres: run.value ? run.value.kilometres.value : null,
    fee: fee.value,
    rinses: rinses.map((one) => ({ ...one })),
    ...(timed.length > 0 ? { drains: timed } : {}),
  }
  const place = props.kept.place
  const main: Told[] =
    did.length > 0
      ? [
          toldRun(log.at, did, {
            place,
            took,
            note: run.value?.name ?? words.title(props.kept.walk.cards[0]!),
          }),
        ]
      : []
  const dosed: Told[] = doses
    .filter(({ isDone }) => isDone)
    .map(({ container, product, amount }) => toldDose(log.at, container, product, amount))
  const told = [...readings(before), ...main, ...dosed, ...readings(after)]
  // What it logs carries its id: ended in two tabs, it is in the log once.
  const ends = told.length > 0 ? walk.ending() : null
  const operations = told.map((one, k) => ({
    op: 'put' as const,
    entry: ends ? log.entryOf(one, `${ends.id}-${k + 1}`) : log.entryOf(one),
  }))
  // The run is gone once it is logged.
  const card = run.value?.name ?? words.title(props.kept.walk.cards[0]!)
  const tanks = did.map(({ container, what, litres }) =>
    t.log.done.words[what](nameOf(container), level(litres ?? 0, unit(container))),
  )
  const stay = forecast.stay!.id
  const id = run.value?.id ?? null
  const result = workspace.act(logging(doneRun(stay, id), operations, ends))
  refused.value = result.ok ? '' : refusalWords(result.faults) || t.cards.noRecord
  if (!result.ok) return
  isSaved.value = true
  if (told.length > 0) notices.say({ kind: 'logged', card, tanks })
  if (lying.value.length === 0) emit('leave', told.length > 0)
}
</script>

<template>
  <div class="max-w-2xl py-6" data-testid="finish">
    <h1 class="text-3xl leading-tight font-extrabold sm:text-4xl">{{ t.cards.doneTitle }}</h1>
    <MeasureForm v-if="measures" :kept="kept" class="mt-4" @done="$emit('leave', false)" />
    <p v-else-if="isEmpty" class="mt-2 text-lg text-soft">{{ t.cards.noRecord }}</p>
    <template v-else>
      <p class="text-lg text-soft">{{ t.cards.doneLead }}</p>
      <ul class="mt-3 border-t-2 border-ink">
        <li
          v-for="(line, k) in lines"
          :key="k"
          class="flex min-h-14 items-center gap-2 border-b border-line"
          :data-testid="`did-${line.container}`"
        >
          <AppSwitch
            :on="line.isDone"
            :label="
              t.log.done.words[line.what](
                nameOf(line.container),
                line.litres === null ? '' : level(line.litres, unit(line.container)),
              )
            "
            @change="line.isDone = $event"
          />
          <span class="text-lg" aria-hidden="true">{{
            t.log.done.words[line.what](
              nameOf(line.container),
              line.litres === null ? '' : level(line.litres, unit(line.container)),
            )
          }}</span>
        </li>
        <li
          v-for="dose in doses"
          :key="`${dose.container} ${dose.product}`"
          class="flex min-h-14 items-center gap-2 border-b border-line"
        >
          <AppSwitch
            :on="dose.isDone"
            :label="t.log.dose(nameOf(dose.container), words.dose(dose.amount, dose.product))"
            @change="dose.isDone = $event"
          />
          <span class="text-lg" aria-hidden="true">{{
            t.log.dose(nameOf(dose.container), words.dose(dose.amount, dose.product))
          }}</span>
        </li>
        <li
          v-for="rinse in rinses"
          :key="rinse.container"
          class="flex min-h-14 flex-wrap items-center gap-x-4 border-b border-line py-1"
        >
          <span class="text-lg">{{
            rinse.owed > 0
              ? t.cards.field.owed(nameOf(rinse.container))
              : t.cards.field.rounds(nameOf(rinse.container))
          }}</span>
          <AppStepper
            v-if="rinse.owed === 0"
            :value="rinse.rounds"
            :text="formatNumber(rinse.rounds, 0)"
            :min="0"
            :max="20"
            :fewer="t.cards.oneLess"
            :more="t.cards.oneMore"
            @change="rinse.rounds = $event"
          />
        </li>
        <li
          v-for="drain in drains"
          :key="drain.container"
          class="flex min-h-14 items-center gap-2 border-b border-line"
          :data-testid="`drained-${drain.container}`"
        >
          <AppSwitch
            :on="drain.isKept"
            :label="t.cards.field.drained(nameOf(drain.container), words.minutes(drain.minutes))"
            @change="drain.isKept = $event"
          />
          <span class="text-lg" aria-hidden="true">{{
            t.cards.field.drained(nameOf(drain.container), words.minutes(drain.minutes))
          }}</span>
        </li>
        <li class="flex min-h-14 flex-wrap items-center gap-x-4 border-b border-line py-1">
          <span class="text-lg">{{ t.cards.field.minutes }}</span>
          <AppStepper
            :value="Math.round(minutes / minuteStep)"
            :text="formatNumber(minutes, 0)"
            :min="0"
            :max="Math.floor(LIMITS.runMinutes.max / minuteStep)"
            :fewer="t.cards.oneLess"
            :more="t.cards.oneMore"
            @change="minutes = $event * minuteStep"
          />
        </li>
      </ul>
      <AmountField
        v-if="run"
        v-model="fee"
        v-model:wrong="isFeeWrong"
        class="mt-3 max-w-48"
        :label="t.cards.field.fee"
        dimension="number"
        :max="LIMITS.fee.max"
      />
      <div v-if="done.read.length > 0" class="mt-4 grid gap-4 sm:grid-cols-2">
        <section :aria-label="t.cards.panelBefore">
          <h2 class="font-bold">{{ t.cards.panelBefore }}</h2>
          <PanelMarks
            :seen="before"
            :only="done.read"
            class="mt-1"
            @choose="(tank, step) => (before[tank] = step)"
          />
        </section>
        <section :aria-label="t.cards.panelAfter" data-testid="panel-after">
          <h2 class="font-bold">{{ t.cards.panelAfter }}</h2>
          <PanelMarks
            :seen="after"
            :only="done.read"
            class="mt-1"
            @choose="(tank, step) => (after[tank] = step)"
          />
        </section>
      </div>
      <p
        v-for="id in lying"
        :key="id"
        class="mt-3 border-l-8 border-ink pl-3 text-lg font-semibold"
        role="status"
        data-testid="suspect"
      >
        {{ t.cards.suspect(nameOf(id)) }}
      </p>
      <p v-if="refused" class="mt-3 font-semibold" role="alert">{{ refused }}</p>
      <p v-if="!canLog" class="mt-3 text-lg text-soft">{{ t.cards.noStay }}</p>
    </template>
    <div class="mt-5 flex flex-wrap gap-3">
      <AppButton
        v-if="!isEmpty && canLog && !isSaved"
        kind="primary"
        class="min-h-14 px-6"
        :disabled="isFeeWrong"
        data-testid="finish-save"
        @click="save"
        >{{ t.cards.save }}</AppButton
      >
      <AppButton
        v-if="isSaved || isEmpty || !canLog"
        kind="primary"
        class="min-h-14"
        @click="$emit('leave', isSaved)"
        >{{ t.cards.done }}</AppButton
      >
      <AppButton v-if="!isSaved" kind="quiet" @click="$emit('back')">{{ t.cards.previous }}</AppButton>
    </div>
  </div>
</template>
