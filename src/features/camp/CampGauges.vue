<script setup lang="ts">
import { computed } from 'vue'
import { setModelLevel } from '@/actions/levels'
import { levelAt, usesLeft } from '@/core/count'
import { wallDaysBetween } from '@/core/calendar'
import type { LogEntry, ReadingEntry } from '@/core/log'
import { useForecastStore } from '@/data/forecastStore'
import { useLogStore } from '@/data/logStore'
import { useUnderWayStore } from '@/data/underWayStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import type { ModelContainer } from '@/core/compile'
import StaffGauge from '@/parts/gauge/StaffGauge.vue'
import LevelButton from '@/parts/levels/LevelButton.vue'
import { useAmounts } from '@/parts/useAmounts'
import { useWhyStore } from '@/parts/why/whyStore'
import { dayAndTime, formatDays, formatNumber } from '@/texts'
import * as t from '@/texts/t'
import { nextFrame } from '@/ui/nextFrame'
import { whenNeeded } from '@/ui/whenNeeded'

const forecast = useForecastStore()
const workspace = useWorkspaceStore()
const why = useWhyStore()
const underWay = useUnderWayStore()
const log = useLogStore()
/** Only under way, and after the count stands. */
const PanelAndCount = whenNeeded(
  () => import('@/parts/log/PanelAndCount.vue'),
  () => undefined,
)
/** How long it can wait for a service: after the count stands. */
const DecideFor = whenNeeded(
  () => nextFrame().then(() => import('@/parts/decide/DecideFor.vue')),
  () => undefined,
)
const { level, gauge: read } = useAmounts()

/** What a cassette's warning light leaves, or has left, this crew; null without a light. */
function lightWords({ id, start }: ModelContainer): string | null {
  const cassette = forecast.rig?.containers.find((container) => container.id === id)
  const { model, result } = forecast
  if (cassette?.kind !== 'cassette' || !cassette.light || !model || !result) return null
  const isOn = start >= cassette.light.value
  const uses = usesLeft(model, result.ledger, cassette, isOn ? start : cassette.light.value)
  if (uses === null) return null
  return isOn ? t.gauge.lightOn(uses) : t.gauge.light(uses)
}

/** While a stay is under way: how sure the level is, and what moved it last. */
function nowOf({ members, start, unit }: ModelContainer, c: number) {
  const level = underWay.phase === 'under-way' ? underWay.learned?.levels[c] : undefined
  if (!level) return null
  // Between two lessons the level has moved on by what was logged: the band goes with it.
  const [low, high] = [level.low80 + start - level.mean, level.high80 + start - level.mean]
  const last = log.entries.findLast(
    (entry) =>
      (entry.kind === 'reading' && members.includes(entry.container) && isBelieved(entry, c)) ||
      (entry.kind === 'run' && entry.did.some(({ container }) => members.includes(container))),
  )
  return {
    band: { low: Math.max(0, low), high },
    give: t.agreement.give(read((high - low) / 2, unit)),
    by: byWords(last),
  }
}
/** A reading of a rig off level, or of a probe that is held for stuck, moved nothing. */
function isBelieved({ isOffLevel, at }: ReadingEntry & LogEntry, c: number): boolean {
  const { learned, planCase } = underWay
  const moment = planCase ? wallDaysBetween(planCase.stay.start, at) : NaN
  const isLeftOut = learned?.agreements.some(
    (one) => one.container === c && one.at === moment && one.isLeftOut,
  )
  return !isOffLevel && isLeftOut !== true
}
function byWords(entry: LogEntry | undefined): string {
  if (!entry) return t.agreement.by.count
  const at = dayAndTime(entry.at)
  if (entry.kind === 'run') return t.agreement.by.run(at)
  if (entry.kind !== 'reading') return t.agreement.by.count
  if (entry.saw.as === 'light') return t.agreement.by.light(at)
  return entry.saw.as === 'panel' ? t.agreement.by.panel(at) : t.agreement.by.measured(at)
}
/** What the stay before leaves is no level to be set. */
const isPassed = computed(() => forecast.stayCase?.passed !== undefined)
const isUnderWay = computed(() => underWay.phase === 'under-way')

const gauges = computed(() => {
  const stop = forecast.result?.days ?? null
  return (forecast.model?.containers ?? []).flatMap((container, c) => {
    if (container.side === 'carrier') return []
    const days = forecast.result?.containers[c] ?? null
    return [
      {
        ...container,
        light: lightWords(container),
        now: nowOf(container, c),
        atStop: stop === null ? null : levelAt(forecast.model!, forecast.result!.ledger, c, stop),
        isStopper: container.id === forecast.result?.stopper,
        daysText:
          days === null
            ? t.gauge.never(formatNumber(forecast.model!.horizonDays, 0))
            : t.gauge.days(formatDays(days)),
      },
    ]
  })
})

function drag(container: ModelContainer, amount: number) {
  workspace.act(setModelLevel(forecast.stay!.id, container, amount))
}
</script>

<template>
  <section aria-labelledby="gauges" data-anchor="level-errors">
    <h2 id="gauges" class="text-[0.95rem] font-semibold text-soft">
      {{ isUnderWay ? t.agreement.now : t.camp.levels }}
    </h2>
    <ul class="mt-3 grid grid-cols-[repeat(auto-fit,minmax(6.6rem,1fr))] gap-x-2 gap-y-6">
      <li v-for="gauge in gauges" :key="gauge.id" class="min-w-0" :data-testid="`gauge-${gauge.id}`">
        <h3 class="mb-5 text-lg leading-tight font-bold wrap-anywhere hyphens-auto">{{ gauge.name }}</h3>
        <StaffGauge
          :class="isUnderWay ? 'h-40' : 'h-56'"
          v-bind="gauge"
          :level="gauge.start"
          :band="isUnderWay || isPassed ? (gauge.now?.band ?? { low: gauge.start, high: gauge.start }) : null"
          @level="drag(gauge, $event)"
        />
        <p class="figure mt-2 text-xl leading-tight font-bold">
          {{ read(gauge.start, gauge.unit) }}
          <span v-if="gauge.now" class="block text-base font-semibold text-soft">{{ gauge.now.give }}</span>
        </p>
        <p class="text-[0.95rem] text-soft">{{ t.gauge.of(level(gauge.capacity, gauge.unit)) }}</p>
        <p v-if="gauge.now" class="text-[0.85rem] leading-tight text-soft">{{ gauge.now.by }}</p>
        <LevelButton v-if="!isUnderWay && !isPassed" :members="gauge.members" :name="gauge.name" />
        <button
          type="button"
          class="figure min-h-11 text-left text-xl font-bold underline decoration-line decoration-2 underline-offset-4"
          :class="gauge.isStopper ? 'text-oxide' : ''"
          :aria-label="`${gauge.daysText}. ${t.gauge.why(gauge.name)}`"
          @click="why.ask({ kind: 'count', container: gauge.id })"
        >
          {{ gauge.daysText }}
        </button>
        <!-- Its room is kept. -->
        <div class="min-h-[2.5rem]"><DecideFor :container="gauge.id" /></div>
        <p v-if="gauge.light" class="text-[0.95rem] leading-tight font-semibold">{{ gauge.light }}</p>
        <button
          v-if="gauge.atStop !== null && !gauge.isStopper"
          type="button"
          class="block min-h-11 text-left text-[0.95rem] leading-tight text-soft underline decoration-line underline-offset-4"
          @click="why.ask({ kind: 'at-stop', container: gauge.id })"
        >
          {{
            gauge.side === 'supply'
              ? t.camp.leftAtStop(read(gauge.atStop, gauge.unit))
              : t.camp.atStop(read(gauge.atStop, gauge.unit))
          }}
        </button>
      </li>
    </ul>
    <p v-if="!isUnderWay" class="mt-2 text-[0.95rem] text-soft">
      {{ isPassed ? t.camp.levelsPassed : t.camp.levelsHint }}
    </p>
    <PanelAndCount v-else-if="underWay.learned" />
  </section>
</template>
