<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { setHabit } from '@/actions/habits'
import { declineAdvice, hearAllAdvice } from '@/actions/budget'
import { aimOf, type NextStep } from '@/core/advice'
import { useForecastStore } from '@/data/forecastStore'
import { useTodayStore } from '@/data/todayStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { refusalWords } from '@/parts/fields/refusalWords'
import { useOfferWords, useSetRun, type OfferSet } from '@/parts/runs/useOffers'
import { formatDate, formatNumber, formatSigned, listed } from '@/texts'
import * as t from '@/texts/t'
import DecideShort from '@/parts/decide/DecideShort.vue'
import NextAdvice from './NextAdvice.vue'

/** What helps most for what it asks: one first, at most two more behind it, none where nothing needs doing. */
const props = defineProps<{
  /** On a phone: the first alone, with how long the tank that stops the stay can wait. */
  isShort?: boolean
}>()
const today = useTodayStore()
today.follow('next')
const forecast = useForecastStore()
const workspace = useWorkspaceStore()
const offers = useOfferWords()
const { setRun } = useSetRun()
const tank = (id: string | null) => forecast.rig?.containers.find((one) => one.id === id)?.name ?? ''
/** Said of what was done last; what was taken is gone at once, and is not done twice. */
const said = ref<OfferSet | null>(null)
const taken = shallowRef<ReadonlySet<string>>(new Set())
watch(
  () => today.next,
  () => (taken.value = new Set()),
)
watch(
  () => forecast.stay?.id,
  () => (said.value = null),
)

const idOf = ({ change }: NextStep) => (change.kind === 'habit' ? change.habit : change.usual)
const steps = computed(() =>
  (today.next ?? [])
    .filter((step) => !taken.value.has(idOf(step)))
    .map((step, k, all) => ({
      step,
      id: idOf(step),
      name: nameOf(step),
      gain: formatSigned(step.gain),
      gainWords: t.next.gainWords(formatSigned(step.gain)),
      chances:
        of100(step.chanceBefore) === of100(step.chance)
          ? ''
          : t.next.chances(of100(step.chanceBefore), of100(step.chance)),
      asks: asksOf(step),
      act: actOf(step),
      reason: reasonOf(step, all.slice(k + 1)),
    })),
)
const of100 = (share: number) => formatNumber(share * 100, 0)
function nameOf({ change }: NextStep): string {
  if (change.kind === 'run') return t.next.runAt(t.runs.usual[change.usual], offers.where(change))
  const name = workspace.document.habits.find(({ id }) => id === change.habit)?.name ?? ''
  return change.on ? name : t.next.off(name)
}
function actOf({ change }: NextStep): string {
  if (change.kind === 'run') return t.next.setRun
  return change.on ? t.next.switchOn : t.next.leaveOff
}
function asksOf({ change }: NextStep): string {
  if (change.kind === 'run') return offers.asks(change)
  return change.on && change.bother > 0 ? t.next.botherADay(formatNumber(change.bother, 1)) : t.next.noBother
}
/** What buys more and comes after it asks for more: that is said. */
const MORE_D = 1
function reasonOf({ change, stops, thenStops, reaches, pushes, gain }: NextStep, after: NextStep[]): string {
  const words = [
    stops === null ? '' : t.next.spares(tank(stops)),
    reaches && forecast.stay ? t.next.reaches(formatDate(aimOf(forecast.stay))) : '',
    !reaches && thenStops !== null && thenStops !== stops ? t.next.thenStops(tank(thenStops)) : '',
    pushes.length > 0 ? t.next.pushes(listed(pushes.map(tank))) : '',
    after.some((one) => one.gain > gain + MORE_D) ? t.next.asksLess : '',
    change.kind === 'run' && !change.isSure ? t.decide.notSure : '',
  ]
  return words.filter((one) => one !== '').join(' ')
}

function take(step: NextStep) {
  const { change } = step
  if (taken.value.has(idOf(step))) return
  taken.value = new Set([...taken.value, idOf(step)])
  if (change.kind === 'run') {
    said.value = setRun(change.usual, change.run)
    return
  }
  const { id } = forecast.stay!
  const from = forecast.today
  const result = workspace.act(setHabit(id, change.habit, change.on, null, from))
  said.value = result.ok
    ? { ok: true, words: (change.on ? t.next.didOn : t.next.didOff)(nameOf(step)) }
    : { ok: false, words: refusalWords(result.faults) }
}
async function undo() {
  said.value = null
  await workspace.undo()
}
function decline(advice: string) {
  workspace.act(declineAdvice(forecast.stay!.id, advice))
}
function hearAgain() {
  workspace.act(hearAllAdvice(forecast.stay!.id))
}
const declined = computed(() => forecast.stay?.budget.declined.length ?? 0)
const heading = 'text-[0.95rem] font-semibold text-soft'
const link = 'min-h-11 font-semibold underline decoration-line decoration-2 underline-offset-4'
</script>

<template>
  <section aria-labelledby="next-best" data-testid="next-best">
    <h2 v-if="steps.length === 0 || said" id="next-best" :class="heading">{{ t.next.title }}</h2>
    <p
      v-if="said"
      class="flex flex-wrap items-baseline gap-x-4 py-1 text-lg leading-snug font-semibold"
      :role="said.ok ? 'status' : 'alert'"
      data-testid="next-said"
    >
      {{ said.words }}
      <button v-if="said.ok" type="button" :class="[link, 'text-base']" @click="undo">
        {{ t.edits.undo }}
      </button>
    </p>
    <p v-if="today.next === null" class="py-2 text-soft" role="status">{{ t.next.working }}</p>
    <p v-else-if="steps.length === 0" class="py-2 text-lg font-semibold" data-testid="next-none">
      {{ t.next.none }}
    </p>
    <template v-else>
      <NextAdvice
        v-for="one in steps.slice(0, 1)"
        :key="one.id"
        v-bind="one"
        is-first
        :is-short="props.isShort"
        :is-behind="!today.isNextCurrent"
        @take="take(one.step)"
        @decline="decline(one.id)"
        ><template #title><h2 v-if="!said" id="next-best" :class="heading">{{ t.next.title }}</h2></template
        ><DecideShort v-if="props.isShort"
      /></NextAdvice>
      <details v-if="steps.length > 1 && !props.isShort" class="mt-1">
        <summary class="min-h-11 cursor-pointer py-2.5 text-[0.95rem] font-semibold text-soft">
          {{ t.next.more(steps.length - 1) }}
        </summary>
        <NextAdvice
          v-for="one in steps.slice(1)"
          :key="one.id"
          v-bind="one"
          @take="take(one.step)"
          @decline="decline(one.id)"
        />
      </details>
    </template>
    <p v-if="declined > 0" class="flex flex-wrap items-baseline gap-x-3 text-[0.9rem] text-soft">
      {{ t.next.declined(declined) }}
      <button type="button" :class="[link, 'text-[0.9rem]']" @click="hearAgain">
        {{ t.next.hearAgain }}
      </button>
    </p>
  </section>
</template>
