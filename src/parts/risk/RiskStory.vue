<script setup lang="ts">
import { computed } from 'vue'
import { storyReasons } from './storyWords'
import { addWallDays } from '@/core/calendar'
import { useForecastStore } from '@/data/forecastStore'
import { useRiskStore } from '@/data/riskStore'
import { formatDays, formatPartOfDay } from '@/texts'
import * as t from '@/texts/t'

const chances = useRiskStore()
const forecast = useForecastStore()

const told = computed(() => {
  const { story } = chances
  const { model } = forecast
  if (!story || !model) return null
  const nameOf = (list: { id: string; name: string }[], id: string) =>
    list.find((entry) => entry.id === id)?.name ?? ''
  const { day, part } = formatPartOfDay(addWallDays(model.start, story.days))
  const isHot = story.hotDays > story.hotDaysGiven
  return {
    stop: t.story.stop(nameOf(model.containers, story.stopper), day, part, formatDays(story.days)),
    hot: isHot ? t.story.hot(story.hotDays, story.hotDaysGiven) : null,
    reasons: storyReasons(story, (id) => nameOf(model.activities, id)),
  }
})
</script>

<template>
  <section aria-labelledby="story" data-testid="risk-story">
    <h3 id="story" class="text-lg font-bold">{{ t.story.title }}</h3>
    <p v-if="!told" class="text-soft">
      {{ chances.risk?.planOn.isBeyond ? t.story.none : t.risk.working }}
    </p>
    <template v-else>
      <p class="leading-snug"><span class="font-semibold">{{ told.stop }}</span> {{ told.hot }}</p>
      <ul class="mt-1 grid gap-1 leading-snug">
        <li v-for="reason in told.reasons" :key="reason" class="border-l-4 border-line pl-2">{{ reason }}</li>
      </ul>
    </template>
  </section>
</template>
