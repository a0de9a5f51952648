<script setup lang="ts">
import { computed } from 'vue'
import WhyInputs from './WhyInputs.vue'
import { addWallDays } from '@/core/calendar'
import { explainAt, explainCount, explainLevel, inputsOf, type Term } from '@/core/explain'
import { FLOW_ENDS, type FlowEnd } from '@/core/domain'
import { useForecastStore } from '@/data/forecastStore'
import { whenOf } from '@/parts/runs/useRuns'
import { useAmounts } from '@/parts/useAmounts'
import { formatFigures, formatPartOfDay } from '@/texts'
import * as t from '@/texts/t'

const props = defineProps<{
  containerId: string
  /** Up to the end of a part, to the stop of the stay, or to the container's own limit. */
  until: number | 'stop' | 'own-count'
}>()

const forecast = useForecastStore()
const { factor, level } = useAmounts()
const amount = (value: number) => level(value, container.value?.unit ?? 'L')

const index = computed(() => forecast.model?.containers.findIndex(({ id }) => id === props.containerId) ?? -1)
const container = computed(() => forecast.model?.containers[index.value] ?? null)
const sum = computed(() => {
  const { model, result } = forecast
  if (!model || !result || index.value < 0) return null
  if (typeof props.until === 'number') return explainLevel(model, result.ledger, index.value, props.until)
  if (props.until === 'stop')
    return explainAt(model, result.ledger, index.value, result.days ?? model.horizonDays)
  return (
    explainCount(model, result, index.value) ??
    explainLevel(model, result.ledger, index.value, model.grid.count - 1)
  )
})
const isReached = computed(
  () => props.until === 'own-count' && forecast.result?.containers[index.value] != null,
)
const when = computed(() => {
  const { model } = forecast
  if (!model || !sum.value || !isReached.value) return null
  const { day, part } = formatPartOfDay(addWallDays(model.start, sum.value.days))
  return `${day}, ${part}`
})

const nameOf = (id: string) =>
  (FLOW_ENDS as readonly string[]).includes(id)
    ? t.ends[id as FlowEnd]
    : (forecast.model?.containers.find((candidate) => candidate.id === id)?.name ?? id)
const activityName = (id: string) =>
  forecast.model?.activities.find((activity) => activity.id === id)?.name ?? id
const other = (term: Term) => (term.amount > 0 ? t.why.into(nameOf(term.from)) : t.why.outOf(nameOf(term.to)))
const inputs = ({ activity }: Term) => (forecast.stayCase ? inputsOf(forecast.stayCase, activity) : [])
const NOTHING = 0.05
/** A run of the stay, or what stands open at a hookup. */
function runOf(id: string) {
  const run = forecast.stay?.runs.find((one) => one.id === id)
  return run && forecast.stay
    ? { name: run.name, when: whenOf(forecast.stay, run) }
    : { name: t.runs.hookup, when: t.site.title }
}
const signed = (litres: number) => `${litres < 0 ? '−' : '+'} ${amount(Math.abs(litres))}`
</script>

<template>
  <div v-if="sum && container">
    <p class="mt-3 flex justify-between border-b border-line py-2 text-lg">
      <span>{{ forecast.stayCase?.now ? t.why.now : t.why.start }}</span
      ><span class="figure font-bold">{{ amount(sum.start) }}</span>
    </p>
    <details
      v-for="term in sum.terms"
      :key="`${term.activity} ${term.from} ${term.to}`"
      class="border-b border-line"
      data-testid="why-term"
    >
      <summary class="flex min-h-12 cursor-pointer items-baseline gap-3 py-2">
        <span class="grow">
          <span class="font-bold">{{ activityName(term.activity) }}</span>
          <span class="text-soft">, {{ other(term) }}</span>
          <span class="figure block text-[0.95rem] text-soft">{{
            t.why.uses(formatFigures(term.uses), factor(term.perUse, container.unit))
          }}</span>
        </span>
        <span class="figure text-lg font-bold whitespace-nowrap">{{ signed(term.amount) }}</span>
      </summary>
      <WhyInputs :activity-id="term.activity" :inputs="inputs(term)" />
    </details>
    <p
      v-for="term in sum.runs"
      :key="term.run"
      class="flex min-h-12 items-baseline gap-3 border-b border-line py-2"
      data-testid="why-run"
    >
      <span class="grow">
        <span class="font-bold">{{ runOf(term.run).name }}</span>
        <span class="text-soft">, {{ runOf(term.run).when }}</span>
        <span
          v-for="one in term.undone.filter(({ amount: left }) => left > NOTHING)"
          :key="one.step"
          class="figure block text-[0.95rem] text-soft"
          >{{ t.runs.why.undone(amount(one.amount), t.runs.why.bounds[one.bound]) }}</span
        >
      </span>
      <span class="figure text-lg font-bold whitespace-nowrap">{{ signed(term.amount) }}</span>
    </p>
    <p
      class="flex justify-between gap-4 border-t-2 border-ink py-2 text-lg font-bold"
      data-testid="why-total"
    >
      <span>{{ isReached ? t.why.limitOf[container.side] : t.why.level }}</span
      ><span class="figure">{{ amount(sum.level) }}</span>
    </p>
    <p v-if="when" class="text-soft">{{ t.why.at(when) }}</p>
  </div>
</template>
