<script setup lang="ts">
import { ArrowUp, Trash2 } from '@lucide/vue'
import { computed } from 'vue'
import { AMOUNTS_OF, type RunStep, type StepAmount } from '@/core/domain'
import { owned, roundIn } from '@/core/quantities'
import { runOf, usualRuns } from '@/core/errands'
import type { RunAnswer, StepAnswer } from '@/core/schedule'
import { usePlacesStore } from '@/data/placesStore'
import { useSettingsStore } from '@/data/settingsStore'
import type { EditResult } from '@/data/workspaceStore'
import { LIMITS } from '@/document'
import ChoiceField from '@/parts/fields/ChoiceField.vue'
import QuantityField from '@/parts/fields/QuantityField.vue'
import { useAmounts } from '@/parts/useAmounts'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import AppStepper from '@/ui/AppStepper.vue'
import { useRunWords } from './useRunWords'

/** What is done, step by step, with what each moves and what it cannot. */
const props = defineProps<{ answer: RunAnswer; save: (steps: RunStep[]) => EditResult }>()
const words = useRunWords()
const places = usePlacesStore()
const settings = useSettingsStore()
const { level } = useAmounts()
const steps = computed(() => props.answer.steps)
const NOTHING = 0.05

const idOf = ({ do: does, from, to }: RunStep) =>
  does === 'fill' || does === 'charge' || does === 'top-up' || does === 'jugs' ? to : (from ?? to)
/** The other end, where it is a container too. */
function other({ do: does, from, to }: RunStep): string {
  if (does === 'charge' || does === 'top-up') return from === null ? '' : t.runs.from(words.nameOf(from))
  if (does === 'jugs') return t.runs.from(words.nameOf(from))
  return to !== null && from !== null ? t.runs.into(words.nameOf(to)) : ''
}
function moved({ step, moved: amount, undone }: StepAnswer): string {
  const unit = words.unitOf(idOf(step))
  const short = undone > NOTHING && step.do !== 'loads' ? `; ${t.runs.undone(level(undone, unit))}` : ''
  return `${level(amount, unit)}${short}`
}

/** How much may be asked of a step; what the road wants is asked of a supply alone. */
function waysOf({ do: does, from }: RunStep): readonly StepAmount['as'][] {
  const isDrained = does === 'empty' || does === 'transfer'
  return isDrained && !words.isSupply(from)
    ? AMOUNTS_OF[does].filter((as) => as !== 'school')
    : AMOUNTS_OF[does]
}
const wayWords = (step: RunStep, as: StepAmount['as']) =>
  as === 'all' && step.do === 'fill' ? t.runs.amounts.full : t.runs.amounts[as]
/** A first amount, round in the owner's unit. */
const FIRST_L = 20
const firstL = () => roundIn(FIRST_L, settings.units.volume)
function change(at: number, next: Partial<RunStep>): EditResult {
  return props.save(steps.value.map(({ step }, k) => (k === at ? { ...step, ...next } : step)))
}
function choose(at: number, as: StepAmount['as']) {
  const amount: StepAmount =
    as === 'level' || as === 'most'
      ? { as, litres: owned(firstL()) }
      : as === 'head'
        ? { as, within: owned(firstL()) }
        : { as }
  change(at, { amount })
}
function setLitres(at: number, litres: number): EditResult {
  const { amount } = steps.value[at]!.step
  if (amount.as === 'head') return change(at, { amount: { as: 'head', within: owned(litres) } })
  if (amount.as !== 'level' && amount.as !== 'most') return { ok: true }
  return change(at, { amount: { as: amount.as, litres: owned(litres) } })
}
/** What the errands of this rig do, but for what is done already: one catalogue for all. */
const more = computed(() => {
  const { stayCase } = places
  if (!stayCase) return []
  const key = ({ do: does, from, to }: RunStep) => `${does} ${from} ${to}`
  const known = new Set(steps.value.map(({ step }) => key(step)))
  const { day, part } = props.answer.run
  return usualRuns(stayCase)
    .flatMap((errand) => runOf(stayCase, errand, 'step', { day, part }).steps)
    .filter((step) => !known.has(key(step)) && known.add(key(step)))
})
const nameOfStep = (step: RunStep) =>
  [t.runs.steps[step.do], words.nameOf(idOf(step)), other(step)].filter((one) => one !== '').join(' ')
function add(at: string) {
  const step = more.value[Number(at)]
  if (step) props.save([...steps.value.map((one) => one.step), step])
}
const litresOf = ({ amount }: RunStep) =>
  amount.as === 'head' ? amount.within.value : 'litres' in amount ? amount.litres.value : null
function up(at: number) {
  const all = steps.value.map(({ step }) => step)
  ;[all[at - 1], all[at]] = [all[at]!, all[at - 1]!]
  props.save(all)
}
const without = (at: number) => props.save(steps.value.map(({ step }) => step).filter((_, k) => k !== at))
</script>

<template>
  <section>
    <ol>
      <li
        v-for="({ step, ...rest }, k) in steps"
        :key="k"
        class="border-t border-line py-2"
        :data-testid="`step-${k}`"
      >
        <div class="flex items-start gap-2">
          <p class="min-w-0 grow pt-2 leading-snug">
            <span class="font-semibold">{{ t.runs.steps[step.do] }} {{ words.nameOf(idOf(step)) }}</span>
            {{ other(step) }}
            <span class="figure block text-soft">{{ moved({ step, ...rest }) }}</span>
          </p>
          <AppButton
            v-if="k > 0"
            kind="quiet"
            :aria-label="t.runs.up(words.nameOf(idOf(step)))"
            @click="up(k)"
          >
            <ArrowUp :size="20" aria-hidden="true" />
          </AppButton>
          <AppButton
            v-if="steps.length > 1"
            kind="quiet"
            :aria-label="t.runs.leaveOut(words.nameOf(idOf(step)))"
            @click="without(k)"
          >
            <Trash2 :size="20" aria-hidden="true" />
          </AppButton>
        </div>
        <div class="flex flex-wrap items-end gap-3">
          <ChoiceField
            v-if="waysOf(step).length > 1"
            class="w-44"
            :label="t.runs.field.amount"
            :value="step.amount.as"
            :options="waysOf(step).map((as) => ({ value: as, label: wayWords(step, as) }))"
            @choose="choose(k, $event as StepAmount['as'])"
          />
          <QuantityField
            v-if="litresOf(step) !== null"
            class="w-36"
            :label="step.amount.as === 'head' ? t.runs.amounts.head : t.runs.field.litres"
            :value="litresOf(step)!"
            dimension="volume"
            :min="LIMITS.levelL.min"
            :max="LIMITS.levelL.max"
            :save="(litres) => setLitres(k, litres)"
          />
          <AppStepper
            v-if="step.do === 'loads' || step.do === 'jugs'"
            :value="step.loads"
            :text="t.runs.loads(step.loads)"
            :min="1"
            :max="LIMITS.loads"
            :fewer="t.runs.fewerLoads"
            :more="t.runs.moreLoads"
            @change="change(k, { loads: $event })"
          />
        </div>
      </li>
    </ol>
    <ChoiceField
      v-if="more.length > 0"
      class="mt-2 max-w-xs"
      data-testid="add-step"
      :label="t.runs.addStep"
      value=""
      :options="[
        { value: '', label: t.runs.addStepNone },
        ...more.map((step, k) => ({ value: String(k), label: nameOfStep(step) })),
      ]"
      @choose="add"
    />
  </section>
</template>
