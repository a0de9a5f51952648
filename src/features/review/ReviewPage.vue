<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core'
import { computed, onMounted, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { takeOver } from '@/actions/stay'
import { seasonOf } from '@/core/review'
import { useClockStore } from '@/data/clockStore'
import { useForecastStore } from '@/data/forecastStore'
import { useReviewStore } from '@/data/reviewStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import ChoiceField from '@/parts/fields/ChoiceField.vue'
import FoldSection from '@/parts/FoldSection.vue'
import { saveFile } from '@/parts/files/saveFile'
import NoStay from '@/parts/NoStay.vue'
import PageHead from '@/parts/PageHead.vue'
import { useAmounts } from '@/parts/useAmounts'
import { formatDate, formatDays, formatNumber } from '@/texts'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import { whenNeeded } from '@/ui/whenNeeded'
import { useReviewWords } from './useReviewWords'

/** A stay that is over, or so far: the answer, where the water went, what lied, what was learned, its runs; and the season. */
const ReviewChart = whenNeeded(
  () => import('./ReviewChart.vue'),
  () => undefined,
)
const forecast = useForecastStore()
const workspace = useWorkspaceStore()
const clock = useClockStore()
const reviews = useReviewStore()
const wordsOf = useReviewWords()
const route = useRoute()
const router = useRouter()
const { volume } = useAmounts()
const isWide = useMediaQuery('(min-width: 64rem)')
const isPaper = computed(() => route.name === 'print-review')

const stays = computed(() => reviews.begun)
const id = computed(() => {
  const asked = typeof route.query.stay === 'string' ? route.query.stay : null
  if (stays.value.some((stay) => stay.id === asked)) return asked
  const current = forecast.stay?.id
  return stays.value.some((stay) => stay.id === current) ? current! : (stays.value[0]?.id ?? null)
})
const options = computed(() =>
  stays.value.map((stay) => ({
    value: stay.id,
    label: `${stay.name}, ${formatDate(stay.start, clock.now)}`,
  })),
)
const stay = computed(() => stays.value.find((one) => one.id === id.value) ?? null)
/** Stays of the same rig are a season. */
const season = computed(() => stays.value.filter((one) => one.rig === stay.value?.rig))
const ask = () => {
  for (const one of season.value) void reviews.ask(one.id)
}
onMounted(ask)
watch([id, () => workspace.document, () => workspace.logEvent], ask)

const review = computed(() => (id.value === null ? null : reviews.of(id.value)))
const words = computed(() => {
  if (!review.value || !stay.value) return null
  const { document } = workspace
  const rig = document.rigs.find((one) => one.id === stay.value!.rig)
  const crew = document.crews.find((one) => one.id === stay.value!.crew)
  return rig && crew ? wordsOf(review.value, rig, crew) : null
})
const isOver = computed(() => stay.value !== null && reviews.isOver(stay.value))

const all = computed(() => season.value.flatMap((one) => reviews.of(one.id) ?? []))
const sums = computed(() => {
  const found = seasonOf(all.value)
  const per = found.daysPerDump === null ? null : formatDays(found.daysPerDump)
  const trend =
    found.trend === null
      ? t.review.tooFew
      : found.trend < 0
        ? t.review.trendLess(volume(-found.trend))
        : t.review.trendMore(volume(found.trend))
  return { ...found, sentence: t.review.seasonSentence(found.dryNights, found.dumps, per), trendWords: trend }
})
const nameOf = (one: string) => workspace.document.stays.find((other) => other.id === one)?.name ?? one
const bars = computed(() =>
  sums.value.drawn.map((one) => ({
    name: nameOf(one.stay).slice(0, 24),
    litres: one.litres,
    text: volume(one.litres),
  })),
)

/** What was learned on this stay, as the crew's own numbers; nothing where they stand on this or on something later already. */
const upTo = computed(() => (review.value ? clock.utcOf(review.value.end) : ''))
const taken = computed(
  () =>
    new Map(review.value?.taken.map(({ activity, learned }) => [activity, { ...learned, upTo: upTo.value }])),
)
const isTaken = computed(() => {
  const crew = workspace.document.crews.find((one) => one.id === stay.value?.crew)
  return [...taken.value.keys()].every((activity) => {
    const known = crew?.activities.find((one) => one.id === activity)?.learned
    return known != null && known.upTo >= upTo.value
  })
})
const said = ref('')
watch(id, () => (said.value = ''))
function take() {
  const { crew } = stay.value!
  if (workspace.act(takeOver(crew, new Map(taken.value))).ok) said.value = t.review.taken
}
async function csv() {
  const { reviewsToCsv } = await import('@/document/reviewCsv')
  saveFile(reviewsToCsv(all.value, nameOf), 'dry-count-season.csv', 'text/csv')
}
const print = () => {
  window.print()
}
const percent = (share: number) => `${formatNumber(share * 100, 0)} %`
</script>

<template>
  <NoStay v-if="!forecast.stay" :title="t.review.title" />
  <div v-else-if="stays.length === 0">
    <PageHead :title="t.review.title" />
    <p class="mt-2 text-lg">{{ t.review.none }}</p>
  </div>
  <div
    v-else
    :class="['wrap-anywhere', isPaper ? 'mx-auto max-w-[50rem] py-4 print:py-0 print:text-[11pt]' : '']"
    data-testid="review"
  >
    <div v-if="isPaper" class="flex gap-3 pb-4 print:hidden">
      <AppButton kind="quiet" @click="router.back()">{{ t.review.back }}</AppButton>
      <AppButton kind="primary" @click="print">{{ t.review.printNow }}</AppButton>
    </div>
    <PageHead v-if="!isPaper" :title="t.review.title" :lead="t.review.lead" />
    <h1 v-else class="text-2xl font-extrabold">{{ t.review.title }}: {{ stay?.name }}</h1>
    <div v-if="!isPaper && options.length > 1" class="max-w-xl pt-1">
      <ChoiceField
        :label="t.review.which"
        :value="id ?? ''"
        :options="options"
        @choose="router.replace({ query: { stay: $event } })"
      />
    </div>
    <p v-if="!words" class="py-4 text-lg text-soft" role="status">
      {{ id !== null && reviews.hasFailed(id) ? t.review.failed : t.review.working }}
    </p>
    <template v-else>
      <section
        class="grid gap-x-12 gap-y-4 border-b border-line py-5 sm:grid-cols-2 print:grid-cols-2 print:py-2"
        aria-label="nights"
      >
        <div>
          <h2 class="text-[0.95rem] font-semibold text-soft">
            {{ isOver ? t.review.lived : t.review.soFar }}
          </h2>
          <p class="figure text-5xl leading-none font-extrabold print:text-3xl" data-testid="review-lived">
            {{ words.lived.nights }}
          </p>
          <p class="mt-1 text-lg leading-snug font-semibold" data-testid="review-nearest">
            {{ words.lived.nearest }}
          </p>
        </div>
        <div>
          <h2 class="text-[0.95rem] font-semibold text-soft">{{ t.review.planned }}</h2>
          <p class="figure text-3xl leading-none font-bold print:text-2xl">{{ words.planned.nights }}</p>
          <p class="mt-1 text-lg leading-snug">{{ words.planned.days }}</p>
        </div>
      </section>
      <section class="border-b border-line py-4 print:py-2" aria-labelledby="review-per">
        <h2 id="review-per" class="text-xl font-bold">{{ t.review.perTitle }}</h2>
        <dl class="mt-1 flex flex-wrap gap-x-10 gap-y-2">
          <div v-for="row in words.perRows" :key="row.id">
            <dt class="text-[0.95rem] text-soft">{{ t.review.per[row.id] }}</dt>
            <dd class="figure text-3xl leading-tight font-bold print:text-xl" :data-testid="`per-${row.id}`">
              {{ row.text }}
            </dd>
          </div>
        </dl>
      </section>
      <section
        class="grid gap-x-12 border-b border-line py-4 lg:grid-cols-2 print:py-2"
        aria-labelledby="review-use"
      >
        <div>
          <h2 id="review-use" class="text-xl font-bold">{{ t.review.byUse }}</h2>
          <p class="font-semibold">{{ words.most }}</p>
          <figure v-if="!isPaper" class="mt-1">
            <ReviewChart
              :bars="
                words.byUse.slice(0, 8).map(({ name, litres, drawn }) => ({ name, litres, text: drawn }))
              "
            />
            <figcaption class="sr-only">{{ words.most }}</figcaption>
          </figure>
        </div>
        <component :is="isPaper ? 'div' : 'details'" class="self-start" :open="isWide">
          <summary v-if="!isPaper" class="min-h-11 cursor-pointer py-2.5 font-semibold text-soft">
            {{ t.review.table }}
          </summary>
          <table class="w-full text-left">
            <thead class="text-[0.9rem] text-soft">
              <tr>
                <th scope="col" class="font-semibold">{{ t.review.byUse }}</th>
                <th scope="col" class="text-right font-semibold">{{ t.review.uses }}</th>
                <th scope="col" class="text-right font-semibold">{{ t.review.litres }}</th>
                <th scope="col" class="text-right font-semibold">%</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="row in words.byUse" :key="row.id" class="border-t border-line">
                <th scope="row" class="py-1 font-normal">{{ row.name }}</th>
                <td class="figure text-right">{{ row.uses }}</td>
                <td class="figure text-right whitespace-nowrap">{{ row.drawn }}</td>
                <td class="figure text-right whitespace-nowrap">{{ percent(row.share) }}</td>
              </tr>
            </tbody>
          </table>
        </component>
      </section>
      <div class="grid gap-x-12 lg:grid-cols-2 print:grid-cols-2">
        <section class="border-b border-line py-4 print:py-2" aria-labelledby="review-readings">
          <h2 id="review-readings" class="text-xl font-bold">{{ t.review.readings }}</h2>
          <p class="font-semibold" data-testid="review-readings">{{ words.readings }}</p>
          <ul>
            <li v-for="one in words.lied" :key="one.text" class="leading-snug">
              {{ one.text }}<span v-if="one.isLeftOut" class="text-soft"> ({{ t.review.leftOut }})</span>
            </li>
          </ul>
        </section>
        <section class="border-b border-line py-4 print:py-2" aria-labelledby="review-learned">
          <h2 id="review-learned" class="text-xl font-bold">{{ t.review.learnedTitle }}</h2>
          <p v-if="words.learned.length === 0">{{ t.review.learnedNone }}</p>
          <ul>
            <li v-for="line in words.learned" :key="line" class="leading-snug">{{ line }}</li>
          </ul>
          <div v-if="!isPaper" class="mt-2">
            <AppButton :disabled="taken.size === 0 || isTaken" kind="primary" @click="take">{{
              t.review.take
            }}</AppButton>
            <p class="text-[0.95rem] text-soft" role="status" data-testid="review-taken">
              {{ isTaken && taken.size > 0 ? said || t.review.taken : t.review.takeWhy(taken.size) }}
            </p>
          </div>
        </section>
      </div>
      <section class="border-b border-line py-4 print:py-2" aria-labelledby="review-runs">
        <h2 id="review-runs" class="text-xl font-bold">{{ t.review.runsTitle }}</h2>
        <p class="font-semibold" data-testid="review-cost">
          {{ words.runs.length === 0 ? t.review.runsNone : words.cost }}
        </p>
        <ul>
          <li v-for="run in words.runs" :key="run.id" class="py-1 leading-snug">
            <span class="font-semibold">{{ run.title }}</span> <span class="text-soft">{{ run.words }}</span>
          </li>
        </ul>
      </section>
      <component
        :is="isPaper ? 'section' : FoldSection"
        id="season"
        :title="t.review.season"
        :answer="sums.sentence"
        class="print:py-2"
      >
        <h2 v-if="isPaper" class="text-xl font-bold">{{ t.review.season }}</h2>
        <p v-if="isPaper">{{ sums.sentence }}</p>
        <p>{{ sums.trendWords }}</p>
        <ReviewChart v-if="!isPaper && bars.length > 1" :bars="bars" />
        <table class="mt-1 w-full max-w-2xl text-left">
          <thead class="text-[0.9rem] text-soft">
            <tr>
              <th scope="col" class="font-semibold">{{ t.review.stay }}</th>
              <th scope="col" class="text-right font-semibold">{{ t.review.perTitle }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="one in sums.drawn" :key="one.stay" class="border-t border-line">
              <th scope="row" class="py-1 font-normal">
                {{ nameOf(one.stay) }}, {{ formatDate(one.start, clock.now) }}
              </th>
              <td class="figure text-right">{{ volume(one.litres) }}</td>
            </tr>
          </tbody>
        </table>
      </component>
      <div v-if="!isPaper" class="flex flex-wrap gap-3 py-4">
        <AppButton @click="csv">{{ t.review.csv }}</AppButton>
        <AppButton @click="router.push({ path: '/review/print', query: { stay: id } })">{{
          t.review.print
        }}</AppButton>
      </div>
    </template>
  </div>
</template>
