<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { addUsualChores, setMediumStock } from '@/actions/chores'
import type { ChoreState } from '@/core/chores'
import type { Chore } from '@/core/domain'
import { useChoreStore } from '@/data/choreStore'
import { useForecastStore } from '@/data/forecastStore'
import { newId } from '@/data/newId'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { fileName, LIMITS } from '@/document'
import FoldSection from '@/parts/FoldSection.vue'
import QuantityField from '@/parts/fields/QuantityField.vue'
import { saveFile } from '@/parts/files/saveFile'
import NoStay from '@/parts/NoStay.vue'
import PageHead from '@/parts/PageHead.vue'
import { choreName } from '@/parts/today/choreName'
import { formatDate, formatFigures } from '@/texts'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import AppDialog from '@/ui/AppDialog.vue'
import ChoreEditor from './ChoreEditor.vue'

/** What the rig wants done: what is due first, then by day; done, put off or changed in a tap. */
const chores = useChoreStore()
const forecast = useForecastStore()
const workspace = useWorkspaceStore()
onMounted(() => {
  chores.follow()
})
const day = (date: string) => formatDate(`${date.slice(0, 10)}T12:00`)

function when({ isDue, snoozed, on }: ChoreState): string {
  if (snoozed !== null) return t.chores.putOff(day(snoozed))
  if (isDue) return t.chores.isDue
  return on === null ? t.chores.noDate : t.chores.on(day(on))
}
const rows = computed(() =>
  chores.states.map((state) => ({
    state,
    chore: state.chore,
    name: choreName(state.chore),
    when: when(state),
    isDue: state.isDue && state.snoozed === null,
    turns: state.turns.map(({ by, had, n }) => t.chores.turn[by](had, n)).join(', '),
    /** Nothing is due by days before it is known when it was done last; when it was is in the form. */
    unknown: state.last === null ? `${t.chores.neverDone}.` : null,
    how: t.chores.how[state.chore.kind],
    card: t.chores.cards[state.chore.kind],
  })),
)
const said = ref('')
function done(chore: Chore) {
  if (chores.done(chore).ok) said.value = t.chores.said(choreName(chore))
}

/** What is being changed; a new one has not been kept yet. */
const edited = ref<Chore | null>(null)
const isNew = ref(false)
function change(chore: Chore | null) {
  isNew.value = chore === null
  edited.value = chore ?? {
    ...{ id: newId('chore'), kind: 'own', name: '', container: null, every: [], done: null, snoozed: null },
  }
}
function takeUsual() {
  workspace.act(addUsualChores(forecast.rig!.id, forecast.crew!.id))
}
async function calendar() {
  const { choreCalendar } = await import('@/document/choreCalendar')
  const words = (state: ChoreState) => ({ name: choreName(state.chore), how: t.chores.how[state.chore.kind] })
  const text = choreCalendar(forecast.rig!, chores.states, words, Date.now())
  if (text === null) said.value = t.chores.nothingToSay
  else
    saveFile(text, fileName(forecast.rig!.name).replace(/\.drycount\.json$/, '-chores.ics'), 'text/calendar')
}
const stock = computed(() =>
  chores.stock.map(({ product, left, times }) => ({
    id: product?.id ?? 'medium',
    name: product?.name ?? t.chores.medium,
    isMedium: product === null,
    isLow: times !== null && times <= 1,
    words: product
      ? times === null
        ? t.chores.stockLeft(amountOf(left, product.form))
        : t.chores.stockDoses(amountOf(left, product.form), times)
      : t.chores.mediumLeft(left),
  })),
)
const UNITS = { liquid: 'mL', powder: 'g', sachet: '' }
const amountOf = (left: number, form: keyof typeof UNITS) => `${formatFigures(left)} ${UNITS[form]}`.trim()
const stockAnswer = computed(() => stock.value.map(({ name, words }) => `${name}: ${words}`).join('; '))
function bought(changes: number) {
  return workspace.act(setMediumStock(forecast.crew!.id, changes))
}
const link = 'min-h-11 font-semibold underline decoration-line decoration-2 underline-offset-4'
</script>

<template>
  <NoStay v-if="!forecast.rig || !forecast.crew" :title="t.chores.title" />
  <div v-else class="wrap-anywhere">
    <PageHead :title="t.chores.title" :lead="`${t.chores.lead} ${forecast.rig.name}.`" />
    <p class="text-soft" role="status" data-testid="chore-said">{{ said }}</p>
    <p v-if="chores.isRead && rows.length === 0" class="text-lg">{{ t.chores.noneYet }}</p>
    <ul class="max-w-4xl" data-testid="chores">
      <li
        v-for="row in rows"
        :key="row.chore.id"
        class="border-b border-line py-2.5 sm:grid sm:grid-cols-[minmax(0,1fr)_auto] sm:gap-x-6"
        :class="row.isDue ? 'border-l-[6px] border-l-ink pl-3' : ''"
        :data-testid="`chore-${row.chore.id}`"
      >
        <div>
          <h2 class="text-xl leading-tight font-bold">{{ row.name }}</h2>
          <p class="figure font-bold" :class="row.isDue ? 'text-ink' : 'text-soft'" data-testid="chore-when">
            {{ row.when }}<span v-if="row.turns" class="font-normal text-soft"> · {{ row.turns }}</span>
          </p>
          <p v-if="row.unknown" class="text-[0.95rem] leading-snug text-soft">{{ row.unknown }}</p>
          <p v-if="row.isDue && row.how" class="max-w-[60ch] text-[0.95rem] leading-snug">{{ row.how }}</p>
        </div>
        <p class="flex flex-wrap items-center gap-x-5 sm:justify-end">
          <AppButton :kind="row.isDue ? 'primary' : 'plain'" @click="done(row.chore)">{{
            t.chores.done
          }}</AppButton>
          <button
            v-if="row.isDue"
            type="button"
            :class="[link, 'text-soft']"
            @click="chores.snooze(row.chore)"
          >
            {{ t.chores.snooze }}
          </button>
          <RouterLink v-if="row.card" :to="row.card" :class="[link, 'grid place-items-center']">{{
            t.chores.card
          }}</RouterLink>
          <button
            type="button"
            :class="[link, 'text-soft']"
            :aria-label="`${t.chores.change}: ${row.name}`"
            @click="change(row.chore)"
          >
            {{ t.chores.change }}
          </button>
        </p>
      </li>
    </ul>
    <div class="flex flex-wrap gap-3 py-4">
      <AppButton @click="change(null)">{{ t.chores.add }}</AppButton>
      <AppButton @click="takeUsual">{{ t.chores.usual }}</AppButton>
      <AppButton @click="calendar">{{ t.chores.calendar }}</AppButton>
    </div>
    <p class="-mt-2 pb-3 text-[0.95rem] text-soft">{{ t.chores.calendarHint }}</p>
    <FoldSection
      v-if="stock.length > 0"
      id="stock"
      class="max-w-4xl"
      :title="t.chores.stock"
      :answer="stockAnswer"
    >
      <ul>
        <li
          v-for="one in stock"
          :key="one.id"
          class="flex flex-wrap items-center justify-between gap-4 border-b border-line py-2"
        >
          <span class="font-bold">{{ one.name }}</span>
          <span class="figure" :class="one.isLow ? 'font-bold' : ''"
            >{{ one.words }}{{ one.isLow ? ` (${t.chores.low})` : '' }}</span
          >
          <div v-if="one.isMedium" class="w-40">
            <QuantityField
              :label="t.chores.mediumBought"
              :value="forecast.crew.mediumStock.value"
              dimension="number"
              :min="LIMITS.mediumStock.min"
              :max="LIMITS.mediumStock.max"
              :save="bought"
            />
          </div>
        </li>
      </ul>
    </FoldSection>
    <AppDialog
      :open="edited !== null"
      :title="edited && !isNew ? choreName(edited) : t.chores.add"
      :close-label="t.chores.close"
      :unsaved="t.chores.unsaved"
      @close="edited = null"
    >
      <ChoreEditor v-if="edited" :key="edited.id" :chore="edited" :is-new="isNew" @close="edited = null" />
    </AppDialog>
  </div>
</template>
