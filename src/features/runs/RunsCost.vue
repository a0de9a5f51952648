<script setup lang="ts">
import { setCost } from '@/actions/people'
import type { CostWeights } from '@/core/domain'
import { toSi } from '@/core/quantities'
import { useForecastStore } from '@/data/forecastStore'
import { useSettingsStore } from '@/data/settingsStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { LIMITS } from '@/document'
import QuantityField from '@/parts/fields/QuantityField.vue'
import { useRuns, whenOf } from '@/parts/runs/useRuns'
import { useRunWords } from '@/parts/runs/useRunWords'
import { useAmounts } from '@/parts/useAmounts'
import { formatNumber } from '@/texts'
import * as t from '@/texts/t'
import { computed } from 'vue'

/** What the runs and habits of the stay take, one by one and in sum, and what that is worth to these people. */
const forecast = useForecastStore()
const workspace = useWorkspaceStore()
const settings = useSettingsStore()
const runs = useRuns()
const words = useRunWords()
const { volume } = useAmounts()
const money = (value: number) => formatNumber(value, 2)
const rows = computed(() =>
  runs.inOrder.value.map(({ run }) => ({
    run,
    cost: runs.cost.value!.runs.find((one) => one.run === run.id)!,
  })),
)
/** What a weight is of, in the owner's units: a mile is dearer than a kilometre. */
const weights = computed(() => {
  const { distance, volume: unit } = settings.units
  const plain = (key: 'money' | 'minute' | 'bother') => ({ key, label: t.runs.cost.weight[key], per: 1 })
  return [
    plain('money'),
    plain('minute'),
    {
      key: 'kilometre' as const,
      label: t.runs.cost.weight.kilometre(t.units[distance]),
      per: toSi(1, distance),
    },
    { key: 'litre' as const, label: t.runs.cost.weight.litre(t.units[unit]), per: toSi(1, unit) },
    plain('bother'),
  ]
})
/** In the owner's money, to the cent. */
const cents = (value: number) => Math.round(value * 100) / 100
function setWeight(key: keyof CostWeights, value: number) {
  return workspace.act(setCost(forecast.crew!.id, key, value))
}
</script>

<template>
  <div v-if="runs.cost.value && forecast.crew">
    <div class="overflow-x-auto" tabindex="0" role="region" :aria-label="t.runs.cost.table">
      <table class="figure w-full min-w-[34rem] text-right">
        <thead>
          <tr class="border-b-2 border-ink text-[0.92rem]">
            <th class="py-2 text-left">{{ t.runs.cost.run }}</th>
            <th class="py-2 pl-3">{{ t.runs.cost.minutes }}</th>
            <th class="py-2 pl-3">{{ t.runs.cost.kilometres }}</th>
            <th class="py-2 pl-3">{{ t.runs.cost.money }}</th>
            <th class="py-2 pl-3">{{ t.runs.cost.carried }}</th>
            <th class="py-2 pl-3">{{ t.runs.cost.bother }}</th>
            <th class="py-2 pl-3">{{ t.runs.cost.worth }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="{ run, cost } in rows" :key="run.id" class="border-b border-line">
            <th class="py-2 text-left font-semibold">
              {{ run.name
              }}<span class="block font-normal text-soft">{{ whenOf(forecast.stay!, run, true) }}</span>
            </th>
            <td class="pl-3 whitespace-nowrap">{{ words.minutes(cost.minutes) }}</td>
            <td class="pl-3 whitespace-nowrap">{{ words.way(cost.kilometres) }}</td>
            <td class="pl-3">{{ cost.isFeeKnown ? money(cost.money) : t.runs.cost.unknown }}</td>
            <td class="pl-3 whitespace-nowrap">{{ volume(cost.carriedL) }}</td>
            <td class="pl-3">{{ formatNumber(cost.bother, 1) }}</td>
            <td class="pl-3 font-semibold">{{ money(cost.total) }}</td>
          </tr>
          <tr v-if="runs.cost.value.habitBother > 0" class="border-b border-line">
            <th class="py-2 text-left font-semibold" colspan="5">{{ t.runs.cost.habits }}</th>
            <td class="pl-3">{{ formatNumber(runs.cost.value.habitBother, 1) }}</td>
            <td class="pl-3 font-semibold">
              {{ money(runs.cost.value.habitBother * forecast.crew.costs.bother.value) }}
            </td>
          </tr>
        </tbody>
        <tfoot>
          <tr class="border-t-2 border-ink font-bold" data-testid="cost-total">
            <th class="py-2 text-left">{{ t.runs.cost.total }}</th>
            <td class="pl-3 whitespace-nowrap">{{ words.minutes(runs.cost.value.minutes) }}</td>
            <td class="pl-3 whitespace-nowrap">{{ words.way(runs.cost.value.kilometres) }}</td>
            <td class="pl-3">
              {{
                runs.cost.value.isFeeKnown
                  ? money(runs.cost.value.money)
                  : runs.cost.value.money > 0
                    ? t.runs.cost.atLeast(money(runs.cost.value.money))
                    : t.runs.cost.unknown
              }}
            </td>
            <td class="pl-3 whitespace-nowrap">{{ volume(runs.cost.value.carriedL) }}</td>
            <td class="pl-3">{{ formatNumber(runs.cost.value.bother, 1) }}</td>
            <td class="pl-3">{{ money(runs.cost.value.total) }}</td>
          </tr>
        </tfoot>
      </table>
    </div>
    <h3 class="mt-6 font-bold">{{ t.runs.cost.weights }}</h3>
    <p class="text-soft">{{ t.runs.cost.weightsHint }}</p>
    <div class="mt-2 grid grid-cols-2 items-start gap-4 sm:grid-cols-5">
      <QuantityField
        v-for="{ key, label, per } in weights"
        :key="key"
        :label="label"
        :value="cents(forecast.crew.costs[key].value * per)"
        dimension="number"
        :min="LIMITS.worth.min"
        :max="LIMITS.worth.max * Math.min(1, per)"
        :save="(value) => setWeight(key, value / per)"
      />
    </div>
  </div>
</template>
