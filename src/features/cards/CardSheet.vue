<script setup lang="ts">
import { useResizeObserver } from '@vueuse/core'
import { computed, nextTick, ref, watch } from 'vue'
import { cassetteAt, outletAt, thingsFor, type Card, type CardStep } from '@/core/cards'
import type { Rig } from '@/core/domain'
import { useForecastStore } from '@/data/forecastStore'
import CassettePicture from '@/parts/outlet/CassettePicture.vue'
import OutletPicture from '@/parts/outlet/OutletPicture.vue'
import * as t from '@/texts/t'
import CardWords from './CardWords.vue'
import { useCardWords } from './useCardWords'

/** One card on one page: black on white, as large as the page takes, with the quantities of now and blanks to write in. */
const props = defineProps<{
  card: Card
  part: [number, number]
  /** Steps of its card on the sheets before. */
  from: number
  /** Steps of all its parts. */
  whole: readonly CardStep[]
  paper: 'a4' | 'letter'
}>()
/** Number, the one at the hose, the one inside, the box to tick. */
const TWO = 'grid-cols-[1.6em_minmax(0,1.7fr)_minmax(0,1fr)_1.3em]'
const SMALLEST_PT = 11
const LARGEST_PT = 20
/** pt × √letters of a page that is full. */
const FULL_PAGE = 640
/** The same with the picture of the outlet at its head. */
const WITH_PICTURE = 560
/** Of what hangs on a wall. */
const HUNG_PAGE = 640
const HUNG_PT = 24
const words = useCardWords()
const forecast = useForecastStore()
/** All parts as one: what an earlier sheet left open stands open. */
const wholeCard = computed(() => ({ ...props.card, steps: [...props.whole] }))
/** The outlet as it stands where the first tank runs out. */
const outlet = computed(() => pictured(outletAt, (state) => state.runs.length > 0))
/** The cassette as it stands when it is poured. */
const cassette = computed(() => pictured(cassetteAt, (state) => state.runs))
/** The first state on this sheet of which that is so. */
function pictured<T>(
  at: (card: Card, of: Rig, upTo: number) => T | null,
  isSo: (state: T) => boolean,
): T | null {
  const { rig } = forecast
  if (!rig) return null
  const states = props.card.steps.map((_, k) => at(wholeCard.value, rig, props.from + k + 1))
  return states.find((state) => state !== null && isSo(state)) ?? null
}
const hasPicture = computed(() => outlet.value !== null || cassette.value !== null)
/** Somebody is inside and somebody at the hose: a column for each. */
const isForTwo = computed(() => props.card.steps.some(({ by }) => by))
/** Put ready before the first step. */
const things = computed(() =>
  props.part[0] === 1 ? thingsFor([{ steps: props.whole }]).map((one) => t.things[one]) : [],
)
/** Read from a wall, by somebody who ticks nothing off. */
const isHung = computed(() => props.card.kind === 'aboard')
/**
 * Letters as large as the page takes: what a page holds goes with the square of their size. Every step has a line of its own,
 * whatever its length.
 */
const estimate = computed(() => {
  const letters = props.card.steps.reduce((sum, step) => {
    const cautions = step.cautions.reduce((all, caution) => all + t.cardCautions[caution].length, 0)
    const own = Math.max(70, words.sentence(step, props.card).length + 20) + cautions * 0.8
    // A narrow column is a high one.
    return sum + own * (step.by === 'hose' ? 1.35 : step.by === 'inside' ? 2 : 1)
  }, things.value.join(', ').length)
  const page = isHung.value ? HUNG_PAGE : hasPicture.value ? WITH_PICTURE : FULL_PAGE
  return Math.max(SMALLEST_PT, Math.min(isHung.value ? HUNG_PT : LARGEST_PT, page / Math.sqrt(letters)))
})
/** As estimated, and smaller where the page shows that it does not hold it. */
const size = ref(estimate.value)
const sheet = ref<HTMLElement | null>(null)
const list = ref<HTMLElement | null>(null)
const STEP_PT = 0.5
const LEAST_PT = 9
const isOver = (page: HTMLElement) => page.scrollHeight > page.clientHeight + 1
async function fit() {
  size.value = estimate.value
  await nextTick()
  shrink()
}
/** Also once its letters are there: until then a page is of other ones. */
function shrink() {
  if (!sheet.value || !isOver(sheet.value) || size.value <= LEAST_PT) return
  size.value -= STEP_PT
  void nextTick(shrink)
}
watch([estimate, () => props.paper], () => void fit())
useResizeObserver(list, shrink)
const isOf = computed(() => [forecast.rig?.name, forecast.stay?.name].filter(Boolean).join(' · '))
</script>

<template>
  <article
    ref="sheet"
    class="sheet mx-auto mb-6 flex flex-col overflow-hidden bg-white px-[14mm] py-[12mm] text-black print:m-0"
    :class="[
      'shadow-[0_0_0_1px_#0003] print:shadow-none',
      paper === 'a4' ? 'h-[297mm] w-[210mm]' : 'h-[11in] w-[8.5in]',
    ]"
    data-testid="sheet"
  >
    <header class="flex items-end justify-between gap-6 border-b-4 border-black pb-2">
      <div class="grow">
        <h1 class="text-[26pt] leading-none font-extrabold">{{ words.title(card) }}</h1>
        <p class="mt-1 flex justify-between gap-4 text-[11pt]">
          <span>{{ isOf }}</span
          ><span v-if="part[1] > 1" class="flex-none font-bold">{{ t.cards.part(part[0], part[1]) }}</span>
        </p>
      </div>
      <OutletPicture v-if="outlet" :state="outlet" is-printed class="w-[84mm] flex-none" />
      <CassettePicture v-if="cassette" :state="cassette" is-printed class="w-[84mm] flex-none" />
    </header>
    <p
      v-if="things.length > 0"
      class="border-b border-black py-1.5 text-[11pt] leading-snug"
      data-testid="things"
    >
      <b>{{ t.cards.things }}:</b> {{ things.join(', ') }}.
    </p>
    <p
      v-if="isForTwo"
      class="grid border-b border-black py-1 text-[12pt] font-bold"
      :class="TWO"
      data-testid="two-columns"
    >
      <span /><span>{{ t.cards.whose.hose }}</span
      ><span class="border-l border-black/40 pl-3">{{ t.cards.whose.inside }}</span>
    </p>
    <ol ref="list" class="grow" :style="{ fontSize: `${size}pt` }">
      <li
        v-for="(step, k) in card.steps"
        :key="k"
        class="grid gap-x-2 border-b border-black/40 py-[0.28em] leading-[1.22]"
        :class="isForTwo ? TWO : 'grid-cols-[1.6em_minmax(0,1fr)_1.3em]'"
        :data-by="step.by"
      >
        <span class="figure font-extrabold">{{ k + 1 }}</span>
        <span v-if="isForTwo && step.by === 'inside'" />
        <span :class="{ 'border-l border-black/40 pl-3': step.by === 'inside' }"
          ><CardWords :step="step" :card="card" /><template v-if="step.cautions.length > 0"
            ><span class="block text-[0.78em] leading-[1.2] italic"
              >! {{ step.cautions.map((caution) => t.cardCautions[caution]).join(' ') }}</span
            ></template
          ></span
        >
        <span v-if="isForTwo && step.by !== 'inside'" class="border-l border-black/40" />
        <span v-if="!isHung" class="mt-[0.1em] h-[1em] w-[1em] border-2 border-black" aria-hidden="true" />
      </li>
    </ol>
    <footer class="border-t-2 border-black pt-2 text-[10.5pt] leading-snug">
      <template v-if="!isHung">
        <p class="flex justify-between gap-6">
          <span>{{ t.cards.printed.panel }}</span><span>{{ t.cards.printed.time }}</span>
        </p>
        <p class="mt-2">
          {{ t.cards.printed.notes }} ____________________________________________________________________
        </p>
        <p class="mt-2 font-bold">{{ t.cards.printed.stop }}</p>
      </template>
      <p>{{ t.cards.printed.rule }}</p>
    </footer>
  </article>
</template>

<style scoped>
@media print {
  .sheet {
    break-after: page;
    break-inside: avoid;
  }
  .sheet:last-child {
    break-after: auto;
  }
}
</style>
