<script setup lang="ts">
import { computed, ref } from 'vue'
import { partAt, levelAt } from '@/core/count'
import type { TankContainer } from '@/core/domain'
import { daysByTransfer, transferMoments, transferOf } from '@/core/rig'
import { PARTS } from '@/core/calendar'
import { owned, roundIn } from '@/core/quantities'
import { useRuns } from '@/parts/runs/useRuns'
import AppButton from '@/ui/AppButton.vue'
import { useRouter } from 'vue-router'
import { useForecastStore } from '@/data/forecastStore'
import { useSettingsStore } from '@/data/settingsStore'
import NoStay from '@/parts/NoStay.vue'
import PageHead from '@/parts/PageHead.vue'
import ChoiceField from '@/parts/fields/ChoiceField.vue'
import QuantityField from '@/parts/fields/QuantityField.vue'
import { useAmounts } from '@/parts/useAmounts'
import { formatDays, formatQuantity, formatSigned } from '@/texts'
import * as t from '@/texts/t'
import TransferPicture from './TransferPicture.vue'

const forecast = useForecastStore()
const { volume } = useAmounts()
const settings = useSettingsStore()
const runs = useRuns()
const router = useRouter()
const length = (metres: number) => formatQuantity(metres, 'length', settings.units)
const errorL = ref(roundIn(8, settings.units.volume))
const chosen = ref<{ gray: string | null; black: string | null }>({ gray: null, black: null })

const tanks = (kind: 'gray' | 'black') =>
  (forecast.rig?.containers ?? []).filter((container): container is TankContainer => container.kind === kind)
const gray = computed(() => tanks('gray').find(({ id }) => id === chosen.value.gray) ?? tanks('gray')[0])
const black = computed(() => tanks('black').find(({ id }) => id === chosen.value.black) ?? tanks('black')[0])
const moments = computed(() => transferMoments(forecast.result ?? { days: null }))
const moment = ref<number | null>(null)
const day = computed(() => Math.min(moment.value ?? moments.value.best, moments.value.last))
/** A run acts at the start of a part: the one the day's moment falls in. */
const part = computed(() => {
  const { model } = forecast
  if (!model) return 0
  return day.value === 0 ? 0 : partAt(model, day.value)
})
const at = computed(() => forecast.model?.grid.edges[part.value] ?? 0)
const answer = computed(() => {
  const { rig, model, result } = forecast
  if (!rig || !model || !result || !gray.value || !black.value) return null
  const options = { gray: gray.value.id, black: black.value.id, at: at.value, readingError: errorL.value }
  return transferOf(rig, model, result.ledger, options)
})
const bought = computed(() => {
  const { model, result } = forecast
  if (!answer.value?.ok || !model || !result) return null
  const { gray: from, black: to, value } = answer.value
  return daysByTransfer(model, result, { from, to, litres: value.volume, part: part.value })
})
const picture = computed(() => {
  const { model, result } = forecast
  if (!gray.value?.shape || !black.value?.shape || !model || !result) return null
  const level = (id: string) =>
    levelAt(
      model,
      result.ledger,
      model.containers.findIndex((container) => container.members.includes(id)),
      at.value,
    )
  return { gray: gray.value, black: black.value, grayL: level(gray.value.id), blackL: level(black.value.id) }
})
const moved = computed(() => (answer.value?.ok ? answer.value.value.volume : 0))

/** The same as a run of the stay: what it moves then follows the levels. */
function setRun() {
  const { model } = forecast
  if (!answer.value?.ok || !model) return
  const { gray: from, black: to } = answer.value
  const none = owned(0)
  const result = runs.add([
    {
      id: runs.newId(),
      name: t.runs.usual['gray-to-black'],
      kind: 'gray-to-black',
      day: model.grid.day[part.value]!,
      part: PARTS[model.grid.part[part.value]!]!,
      place: null,
      steps: [{ do: 'by-head', from, to, amount: { as: 'head', within: owned(errorL.value) }, loads: 1 }],
      minutes: owned(MINUTES),
      kilometres: none,
      fee: none,
      bother: owned(1),
    },
  ])
  if (result.ok) void router.push('/runs')
}
const MINUTES = 10

function setError(litres: number) {
  errorL.value = litres
  return { ok: true as const }
}
</script>

<template>
  <NoStay v-if="!forecast.stay || !forecast.rig" :title="t.transfer.title" />
  <div v-else>
    <PageHead :title="t.transfer.title" />
    <p v-if="!gray || !black" class="text-lg">{{ t.transfer.none }}</p>
    <div v-else class="grid gap-x-14 gap-y-8 lg:grid-cols-[minmax(0,6fr)_minmax(0,5fr)]">
      <div>
        <div aria-live="polite" data-testid="transfer-answer">
          <template v-if="answer?.ok">
            <p class="text-4xl leading-tight font-extrabold tracking-tight">
              {{ t.transfer.amount(volume(answer.value.volume)) }}
            </p>
            <p class="mt-1 text-xl font-bold">
              {{
                t.transfer.hold(
                  t.transfer.seconds(answer.value.seconds.low),
                  t.transfer.seconds(answer.value.seconds.high),
                )
              }}
            </p>
            <p class="mt-1">{{ t.transfer.holdHow }}</p>
            <p class="mt-2 text-xl font-bold" :class="(bought ?? 0) > 0.05 ? 'text-sage' : ''">
              {{
                bought !== null && bought > 0.05 ? t.transfer.buys(formatSigned(bought)) : t.transfer.buysNone
              }}
            </p>
            <p class="mt-1 text-soft">{{ t.transfer.bound[answer.value.bound] }}</p>
            <AppButton class="mt-3" @click="setRun">{{ t.transfer.setRun }}</AppButton>
          </template>
          <p v-else-if="answer" class="text-2xl leading-snug font-bold">
            {{ t.transfer.refused[answer.refusal] }}
          </p>
        </div>
        <div class="mt-6 grid grid-cols-2 gap-4">
          <ChoiceField
            v-if="tanks('gray').length > 1"
            :label="t.transfer.from"
            :value="gray.id"
            :options="tanks('gray').map(({ id, name }) => ({ value: id, label: name }))"
            @choose="chosen.gray = $event"
          />
          <ChoiceField
            v-if="tanks('black').length > 1"
            :label="t.transfer.to"
            :value="black.id"
            :options="tanks('black').map(({ id, name }) => ({ value: id, label: name }))"
            @choose="chosen.black = $event"
          />
          <div class="col-span-2">
            <label for="transfer-day" class="text-[0.92rem] font-semibold text-soft"
              >{{ t.transfer.when }}:
              {{ day === 0 ? t.transfer.now : t.transfer.atDay(formatDays(day)) }}</label
            >
            <input
              id="transfer-day"
              type="range"
              min="0"
              :max="moments.last"
              step="0.25"
              :value="day"
              class="block h-11 w-full accent-(--ink)"
              @input="moment = Number(($event.target as HTMLInputElement).value)"
            />
          </div>
          <QuantityField
            :label="t.transfer.error"
            :value="errorL"
            dimension="volume"
            :min="0"
            :max="200"
            :save="setError"
          />
        </div>
        <RouterLink
          v-if="answer && !answer.ok && answer.refusal === 'not-measured'"
          to="/rig"
          class="mt-3 inline-block py-2 font-semibold underline"
          >{{ t.transfer.measure }}</RouterLink
        >
      </div>
      <div>
        <TransferPicture v-if="picture" v-bind="picture" :moved="moved" />
        <p v-if="answer?.ok" class="text-[0.95rem] text-soft">
          {{
            t.transfer.picture(
              volume(picture?.grayL ?? 0),
              volume(picture?.blackL ?? 0),
              `${length(answer.value.head.low)} – ${length(answer.value.head.high)}`,
            )
          }}
        </p>
      </div>
      <section v-if="answer?.ok" class="border-t-2 border-ink pt-4 lg:col-span-2">
        <h2 class="text-xl font-bold">{{ t.transfer.steps }}</h2>
        <ol class="mt-2 grid gap-3 sm:grid-cols-5">
          <li v-for="(step, i) in t.transfer.step" :key="step" class="border-l-4 border-ink pl-3">
            <span class="figure text-2xl font-extrabold">{{ i + 1 }}</span>
            <span class="block leading-snug">{{ step }}</span>
          </li>
        </ol>
        <p class="mt-4 max-w-[80ch]">{{ t.transfer.safety }}</p>
      </section>
    </div>
  </div>
</template>
