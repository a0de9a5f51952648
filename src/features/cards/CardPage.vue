<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { putCard } from '@/actions/cards'
import { asksForTwo, ownCopy, thingsFor } from '@/core/cards'
import { CARD_KINDS, isOneOf, type CardKind, type Run } from '@/core/domain'
import AskSwitch from './AskSwitch.vue'
import BrokenLaws from './BrokenLaws.vue'
import CardParts from './CardParts.vue'
import { useForecastStore } from '@/data/forecastStore'
import { newId } from '@/data/newId'
import { useWalkStore } from '@/data/walkStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import ChoiceField from '@/parts/fields/ChoiceField.vue'
import NoStay from '@/parts/NoStay.vue'
import RunTroubles from '@/parts/runs/RunTroubles.vue'
import { useRuns, whenOf } from '@/parts/runs/useRuns'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import { useCards } from './useCards'
import { useCardWords } from './useCardWords'

/** A card, or the cards of a run, before the first step: what only the owner knows, the whole of it at a glance, and the start. */
const route = useRoute()
const router = useRouter()
const forecast = useForecastStore()
const workspace = useWorkspaceStore()
const walk = useWalkStore()
const cards = useCards()
const words = useCardWords()
const runs = useRuns()

const run = computed((): Run | null => {
  const id = route.name === 'run-cards' ? String(route.params.run) : null
  return forecast.stay?.runs.find((one) => one.id === id) ?? null
})
/** Why the run cannot be done as it is set; null: it can. */
const hindered = computed(
  () => runs.answers.value.find((one) => one.run.id === run.value?.id && !one.isPossible) ?? null,
)
const own = computed(() =>
  route.name === 'own-card'
    ? (forecast.rig?.cards.find(({ id }) => id === String(route.params.own)) ?? null)
    : null,
)
/** What a card that the owner made, or one from elsewhere, would break here: then it is not started. */
const unsafe = computed(() => (own.value ? (cards.brokenBy(own.value) ?? []) : []))
const kind = computed((): CardKind | null => {
  const asked = String(route.params.kind)
  return route.name === 'card' && isOneOf(CARD_KINDS, asked) ? asked : null
})
const about = computed(() =>
  typeof route.params.about === 'string' && route.params.about !== '' ? route.params.about : null,
)
/** Where it is done: the run's place, or the one that is chosen here. */
const place = ref<string | null>(null)
watch(run, (now) => (place.value = now?.place ?? null), { immediate: true })

const whole = computed(() => (kind.value ? cards.single(kind.value, about.value, place.value) : null))
const parts = computed(() => {
  if (run.value) return cards.ofRun(run.value, place.value, runs.isNear(run.value))
  if (own.value) return cards.own(own.value)
  return whole.value ? cards.parts(whole.value) : []
})
const title = computed(
  () => run.value?.name ?? own.value?.name ?? (whole.value ? words.title(whole.value) : ''),
)
const places = computed(() => [
  { value: '', label: t.cards.ask.noPlace },
  ...(forecast.stay?.places ?? []).map(({ id, name }) => ({ value: id, label: name })),
])
const WASTE: readonly CardKind[] = [
  'dump',
  'rinse',
  'gray-only',
  'cassette',
  'macerator',
  'tote',
  'fresh',
  'bucket-test',
  'top-up',
  'charge',
]
const kinds = computed(() => new Set(parts.value.map((part) => part.kind)))
/** A run keeps the choice, also where nothing of it is taken. */
const isAtPlace = computed(
  () => (run.value !== null || WASTE.some((one) => kinds.value.has(one))) && places.value.length > 1,
)
const isRinsed = computed(() => kinds.value.has('dump') || kinds.value.has('rinse'))
const bleach = ref(String(walk.asks.bleachPercent))
function setBleach(text: string) {
  bleach.value = text
  const value = Number(text.replace(',', '.'))
  if (value > 0 && value <= 20) walk.asks.bleachPercent = value
}

function start() {
  walk.begin(parts.value, forecast.stay!.id, run.value?.id ?? null, place.value, Date.now())
  void router.push('/walk')
}
function copy() {
  if (!whole.value) return
  const { id } = forecast.rig!
  const card = ownCopy(whole.value, newId('card'), t.cards.own.newName(t.cardNames[whole.value.kind]))
  workspace.act(putCard(id, card))
  void router.push(`/cards?show=own-${card.id}`)
}
const things = computed(() =>
  thingsFor(parts.value)
    .map((one) => t.things[one])
    .join(', '),
)
const when = computed(() => (run.value && forecast.stay ? whenOf(forecast.stay, run.value) : null))
const printLink = computed(() => ({
  path: '/cards/print',
  query: { of: route.path, place: place.value ?? undefined },
}))
</script>

<template>
  <NoStay v-if="!forecast.stay" :title="t.cards.title" />
  <div v-else>
    <RouterLink
      to="/cards"
      class="mt-4 inline-flex min-h-11 items-center font-semibold text-soft underline"
      >{{ t.cards.back }}</RouterLink
    >
    <template v-if="parts.length > 0">
      <h1 class="text-3xl leading-tight font-extrabold tracking-tight sm:text-4xl">{{ title }}</h1>
      <p v-if="when" class="text-lg text-soft">{{ when }}</p>
      <RunTroubles v-if="hindered" :answer="hindered" class="mt-2" />
      <p v-if="own?.from === 'elsewhere'" class="mt-1 border-l-4 border-ink pl-3 font-semibold">
        {{ t.cards.own.elsewhere }}
      </p>
      <section
        class="mt-3 grid gap-x-8 gap-y-2 sm:flex sm:flex-wrap sm:items-end"
        :aria-label="t.cards.ask.title"
      >
        <ChoiceField
          v-if="isAtPlace"
          :label="t.cards.ask.place"
          :value="place ?? ''"
          :options="places"
          class="sm:w-64"
          @choose="place = $event === '' ? null : $event"
        />
        <AskSwitch
          v-if="isRinsed"
          :on="walk.asks.othersWait"
          :label="t.cards.ask.others"
          @change="walk.asks.othersWait = $event"
        />
        <AskSwitch
          v-if="isRinsed"
          :on="walk.asks.stays"
          :label="t.cards.ask.stays"
          @change="walk.asks.stays = $event"
        />
        <AskSwitch
          v-if="asksForTwo(parts)"
          :on="walk.asks.areTwo ?? (forecast.crew?.persons.length ?? 1) > 1"
          :label="t.cards.ask.two"
          @change="walk.asks.areTwo = $event"
        />
        <AskSwitch
          v-if="kinds.has('aboard')"
          :on="walk.asks.forGuests"
          :label="t.cards.ask.guests"
          @change="walk.asks.forGuests = $event"
        />
        <label v-if="kinds.has('sanitize')" class="flex items-center gap-3">
          <span class="font-semibold">{{ t.cards.ask.bleach }}</span>
          <input
            :value="bleach"
            inputmode="decimal"
            class="h-11 w-20 border-b-2 border-ink bg-card px-2 text-lg"
            @input="setBleach(($event.target as HTMLInputElement).value)"
          />
        </label>
      </section>
      <BrokenLaws :title="t.cards.own.notSafe" :laws="unsafe" class="mt-4 max-w-3xl" data-testid="unsafe" />
      <div v-if="unsafe.length === 0" class="mt-4 flex flex-wrap gap-3">
        <AppButton kind="primary" class="min-w-40" data-testid="start-card" @click="start">{{
          t.cards.start
        }}</AppButton>
        <RouterLink
          :to="printLink"
          class="inline-grid min-h-11 place-items-center border-2 border-ink px-4 font-semibold"
          >{{ t.cards.print }}</RouterLink
        >
        <AppButton v-if="whole" kind="quiet" @click="copy">{{ t.cards.own.copy }}</AppButton>
      </div>
      <p v-if="things" class="mt-5 max-w-3xl text-lg leading-snug" data-testid="things">
        <b>{{ t.cards.things }}:</b> {{ things }}.
      </p>
      <CardParts is-folded :parts="parts" class="max-w-3xl" />
    </template>
    <p v-else class="py-6 text-lg">{{ t.cards.noWaste }}</p>
  </div>
</template>
