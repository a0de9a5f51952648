<script setup lang="ts">
import { computed } from 'vue'
import { preparationOf } from '@/core/rig'
import { useForecastStore } from '@/data/forecastStore'
import FoldSection from '@/parts/FoldSection.vue'
import DueChores from '@/parts/today/DueChores.vue'
import { useAmounts } from '@/parts/useAmounts'
import { listed } from '@/texts'
import * as t from '@/texts/t'

/** Before a stay begins: what to fill, to empty, to seal apart, each with why; and the chores that are due at home. */
const forecast = useForecastStore()
const { volume, gauge } = useAmounts()
const tank = (id: string) => forecast.rig?.containers.find((one) => one.id === id)?.name ?? ''
const found = computed(() => (forecast.stayCase ? preparationOf(forecast.stayCase) : null))
const litres = (amount: number) => gauge(amount, 'L')

const items = computed(() => {
  if (!found.value) return []
  const { fill, charge, empty, roadReserve, reserve, isTapPromised, hasSiteToilets } = found.value
  const { persons, days, perPerson, heat } = reserve
  const each = volume(perPerson + heat)
  const hot = heat > 0 ? ` ${t.prepare.reserveHot}` : ''
  return [
    ...(empty.length > 0 ? [{ what: t.prepare.dump(listed(empty.map(tank))), why: t.prepare.dumpWhy }] : []),
    ...charge.map((one) => ({
      what: t.prepare.charge(tank(one.container), volume(one.litres)),
      why: t.prepare.chargeWhy,
    })),
    ...fill.map((one) => ({
      what: t.prepare.fill(tank(one.container), litres(one.litres)),
      why: one.byWeight ? `${t.prepare.byWeight} ${t.prepare.fillNear}` : t.prepare.fillNear,
    })),
    ...(isTapPromised ? [{ what: t.prepare.tap, why: t.prepare.tapWhy }] : []),
    ...(roadReserve === null ? [] : [{ what: t.prepare.road(volume(roadReserve)), why: t.prepare.roadWhy }]),
    {
      what: t.prepare.reserve(litres(reserve.litres)),
      why: t.prepare.reserveWhy(persons, days, each) + hot,
    },
    { what: t.prepare.toilet, why: hasSiteToilets ? t.prepare.toiletSite : t.prepare.toiletNone },
  ]
})
const answer = computed(() => {
  if (!found.value) return null
  const { fill, charge, reserve } = found.value
  return [
    ...fill.slice(0, 1).map((one) => t.prepare.short.fill(tank(one.container), litres(one.litres))),
    ...charge.slice(0, 1).map((one) => t.prepare.short.charge(volume(one.litres))),
    t.prepare.short.reserve(litres(reserve.litres)),
  ].join(', ')
})
</script>

<template>
  <div>
    <FoldSection id="prepare" :title="t.prepare.title" :answer="answer">
      <ol class="wrap-anywhere" data-testid="prepare">
        <li v-for="(item, k) in items" :key="item.what" class="flex gap-3 border-b border-line py-2">
          <span class="figure w-7 flex-none text-xl font-bold text-soft">{{ k + 1 }}</span>
          <span class="min-w-0">
            <span class="block leading-tight font-bold">{{ item.what }}</span>
            <span class="block text-[0.95rem] leading-snug text-soft">{{ item.why }}</span>
          </span>
        </li>
      </ol>
    </FoldSection>
    <DueChores class="pt-4" />
  </div>
</template>
