<script setup lang="ts">
import { computed, ref } from 'vue'
import type { SeasonStay } from '@/core/chain'
import { levelBefore } from '@/core/count'
import type { Id } from '@/core/domain'
import { useForecastStore } from '@/data/forecastStore'
import { useUnderWayStore } from '@/data/underWayStore'
import ChoiceField from '@/parts/fields/ChoiceField.vue'
import { refusalWords } from '@/parts/fields/refusalWords'
import NoStay from '@/parts/NoStay.vue'
import { useAmounts } from '@/parts/useAmounts'
import { formatDate, formatDays, formatNumber } from '@/texts'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import SeasonStrip from './SeasonStrip.vue'
import { useSeason } from './useSeason'

/** One stay after the other: what each leaves to the next, and what is done on the road between. */
const forecast = useForecastStore()
const underWay = useUnderWayStore()
const chain = useSeason()
const { gauge } = useAmounts()
const said = ref('')
const refused = ref('')

const nameOf = (stay: SeasonStay, id: Id | null) => {
  const rig = stay.stay.rig === forecast.rig?.id ? forecast.rig : null
  return rig?.containers.find((one) => one.id === id)?.name ?? id ?? ''
}
/** The count goes on past the brim; a tank shows no more than it holds. */
const percent = (share: number) => `${formatNumber(Math.min(1, share) * 100, 0)} %`
const cards = computed(() =>
  chain.season.value.map((one) => {
    const { stay, nights, made, holds, stopper, lasts, dumps, left, gap } = one
    const most = stay.endsAt?.value ?? null
    const tooMuch = left
      .filter(({ isTooMuch }) => isTooMuch)
      .map(({ container, share }) =>
        most === 0 || most === null
          ? t.season.tooMuch(nameOf(one, container), percent(share))
          : t.season.tooMuchOver(nameOf(one, container), percent(share), percent(most)),
      )
    const held = left
      .filter(({ share }) => share > 0.02)
      .map(({ container, share }) => `${nameOf(one, container)} ${percent(share)}`)
    return {
      id: stay.id,
      name: stay.name,
      dates: `${formatDate(stay.start)} – ${formatDate(stay.leaveAt)}`,
      facts: [
        lasts ? t.season.nights(nights) : t.season.nightsMade(made, nights),
        lasts ? t.season.lasts : t.season.stops(formatDays(holds ?? 0), nameOf(one, stopper)),
        t.season.dumps(dumps.length),
        held.length > 0 ? t.season.left(held.join(', ')) : t.season.leftNothing,
      ],
      lasts,
      tooMuch,
      gap: gap === null ? null : gapWords(gap),
    }
  }),
)
function gapWords(days: number): string {
  if (days < 0) return t.season.overlap
  return days < 1
    ? t.season.gapHours(formatNumber(Math.round(days * 24), 0))
    : t.season.gap(formatNumber(Math.round(days * 10) / 10, 1))
}
const headline = computed(() => {
  const { length } = chain.chain.value
  if (length < 2) return t.season.alone
  const failing = cards.value.find(({ lasts }) => !lasts)
  return t.season.answer(length, failing?.name ?? null)
})
const passed = computed(() => {
  const { stayCase, model, dry } = forecast
  if (!stayCase?.passed || !model || !dry) return null
  // After what is done on the road to it.
  return model.containers
    .flatMap(({ name, side, unit }, c) =>
      side === 'carrier' ? [] : [`${name} ${gauge(Math.max(0, levelBefore(model, dry.ledger, c, 0)), unit)}`],
    )
    .join(', ')
})
const ENDS = ['any', '0', '0.25', '0.5'] as const
const ends = computed(() =>
  chain.stay.value?.endsAt === null ? 'any' : String(chain.stay.value?.endsAt.value),
)
const endsOptions = computed(() =>
  [...new Set([...ENDS, ends.value])].map((value) => ({
    value,
    label:
      value === 'any'
        ? t.season.endsAny
        : value === '0'
          ? t.season.endsEmpty
          : t.season.endsShare(percent(Number(value))),
  })),
)
function next() {
  said.value = refused.value = ''
  const { result, name } = chain.planNext()
  if (result.ok) said.value = t.season.made(name)
  else refused.value = refusalWords(result.faults)
}
/** What is put on the road, or why it is not. */
function put(result: ReturnType<typeof chain.addOnRoad>) {
  said.value = ''
  refused.value = result === null ? t.season.cannot : result.ok ? '' : refusalWords(result.faults)
}
function follow(id: string) {
  const result = chain.setFollows(id === '' ? null : id)
  refused.value = result.ok ? '' : refusalWords(result.faults)
}
</script>

<template>
  <NoStay v-if="!forecast.stay" :title="t.season.title" />
  <div v-else class="wrap-anywhere">
    <h1 class="pt-6 text-[0.95rem] font-semibold text-soft">
      {{ t.season.title }}: {{ forecast.stay.name }}
    </h1>
    <p
      class="font-display text-[1.6rem] leading-[1.14] font-extrabold sm:text-[2.1rem]"
      data-testid="season-headline"
    >
      {{ headline }}
    </p>
    <SeasonStrip
      v-if="chain.span.value && chain.season.value.length > 0"
      class="mt-4"
      :season="chain.season.value"
      :span="chain.span.value"
      :shown="forecast.stay.id"
    />
    <div :class="cards.length === 1 ? 'gap-x-12 lg:grid lg:grid-cols-[minmax(0,2fr)_minmax(0,5fr)]' : ''">
      <div>
        <ol
          class="mt-3 grid gap-x-6 gap-y-3"
          :class="cards.length === 1 ? '' : 'sm:grid-cols-2 lg:grid-cols-4'"
          data-testid="season-stays"
        >
          <li
            v-for="card in cards"
            :key="card.id"
            class="border-t-4 pt-2"
            :class="card.id === forecast.stay.id ? 'border-ink' : 'border-line'"
            :data-testid="`season-${card.id}`"
          >
            <h2 class="text-lg leading-tight font-bold">
              {{ card.name }}
              <span v-if="card.id === forecast.stay.id" class="font-normal text-soft"
                >({{ t.season.shown }})</span
              >
            </h2>
            <p class="figure text-soft">{{ card.dates }}</p>
            <p class="figure leading-snug" :class="card.lasts ? '' : 'font-semibold text-oxide'">
              {{ card.facts.slice(0, 2).join(', ') }}
            </p>
            <p class="figure leading-snug">{{ card.facts.slice(2).join('; ') }}</p>
            <p v-for="words in card.tooMuch" :key="words" class="leading-snug font-semibold text-oxide">
              {{ words }}
            </p>
            <p v-if="card.gap" class="mt-1 text-[0.95rem] text-soft">{{ card.gap }}</p>
            <button
              v-if="card.id !== forecast.stay.id"
              type="button"
              class="min-h-11 text-left font-semibold underline decoration-line decoration-2 underline-offset-4"
              @click="chain.show(card.id)"
            >
              {{ t.season.show(card.name) }}
            </button>
          </li>
        </ol>
        <div class="mt-4">
          <AppButton kind="primary" @click="next">{{ t.season.next }}</AppButton>
        </div>
        <p v-if="refused" class="mt-2 font-semibold" role="alert">{{ refused }}</p>
        <p v-else-if="said" class="mt-2 text-soft" role="status">{{ said }}</p>
      </div>
      <section
        class="max-w-4xl border-line pt-4"
        :class="cards.length === 1 ? 'mt-6 border-t lg:mt-0 lg:border-t-0' : 'mt-6 border-t'"
      >
        <p v-if="cards.length === 1" class="mb-4 max-w-[60ch] text-lg leading-snug">{{ t.season.why }}</p>
        <div class="grid items-start gap-4 sm:grid-cols-2">
          <ChoiceField
            :label="t.season.after"
            :value="forecast.stay.follows ?? ''"
            :options="[
              { value: '', label: t.season.byItself },
              ...chain.candidates.value.map(({ id, name, start }) => ({
                value: id,
                label: `${name}, ${formatDate(start)}`,
              })),
            ]"
            @choose="follow"
          />
          <ChoiceField
            :label="t.season.ends"
            :value="ends"
            :options="endsOptions"
            @choose="chain.setEndsAt($event === 'any' ? null : Number($event))"
          />
        </div>
        <template v-if="chain.before.value">
          <p class="mt-3 font-semibold" data-testid="season-passed">
            {{ passed ? t.season.passed(passed) : underWay.phase === 'planned' ? '' : t.season.begun }}
          </p>
          <h2 class="mt-4 text-xl font-bold">{{ t.season.between }}</h2>
          <p class="text-soft">{{ chain.gap.value === null ? '' : gapWords(chain.gap.value) }}</p>
          <p v-if="chain.between.value.length === 0">{{ t.season.roadNone }}</p>
          <ul v-else data-testid="season-road">
            <li
              v-for="{ run } in chain.between.value"
              :key="run.id"
              class="border-b border-line py-1.5 font-semibold"
            >
              {{ run.name }}
            </li>
          </ul>
          <div class="mt-3 flex flex-wrap gap-3">
            <AppButton @click="put(chain.addOnRoad('last-dump'))">{{ t.season.lastDump }}</AppButton>
            <AppButton @click="put(chain.addOnRoad('arrive-empty'))">{{ t.season.arriveEmpty }}</AppButton>
            <AppButton @click="put(chain.addOnRoad('go-home'))">{{ t.season.goHome }}</AppButton>
            <AppButton @click="put(chain.addHookup())">{{ t.season.hookup }}</AppButton>
          </div>
        </template>
      </section>
    </div>
  </div>
</template>
