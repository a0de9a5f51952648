<script setup lang="ts">
import { useIntersectionObserver } from '@vueuse/core'
import { computed, ref, useTemplateRef } from 'vue'
import { blocks, type RunAnswer } from '@/core/schedule'
import { useForecastStore } from '@/data/forecastStore'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import { useNearest, useRuns, whenOf } from './useRuns'
import { useInstead } from './useInstead'
import { useRunWords } from './useRunWords'

/** Why a run cannot be done as it is set, with the nearest that works; and what there is to know of it. */
const props = defineProps<{
  answer: RunAnswer
  /** Only what keeps it from being done, where it was said already that it does not count. */
  isShort?: boolean
}>()
const forecast = useForecastStore()
const runs = useRuns()
const words = useRunWords()
/** A list may hold hundreds: what is far from the screen looks for nothing. */
const place = useTemplateRef<HTMLElement>('place')
const isSeen = ref(false)
useIntersectionObserver(place, (all) => (isSeen.value = all.some(({ isIntersecting }) => isIntersecting)))
const { nearest, isLooking } = useNearest(
  () => props.answer,
  () => isSeen.value,
)
const { ways, isFound } = useInstead(
  () => props.answer,
  () => isSeen.value,
)
const isBlocked = computed(() => !props.answer.isPossible)
const shown = computed(() => props.answer.troubles.filter((one) => !props.isShort || blocks(one)))
</script>

<template>
  <div v-if="answer.troubles.length > 0" ref="place" :data-testid="`troubles-${answer.run.id}`">
    <ul>
      <li v-for="(one, k) in shown" :key="k" :class="blocks(one) ? 'font-semibold text-oxide' : 'text-soft'">
        {{ words.trouble(one, answer) }}
      </li>
    </ul>
    <p v-if="isBlocked && !isShort" class="font-semibold">{{ t.runs.countsNothingYet }}</p>
    <div v-if="isBlocked" class="mt-1 flex flex-wrap gap-2">
      <p v-if="isLooking" class="text-soft">{{ t.runs.finding }}</p>
      <AppButton v-if="nearest" data-testid="nearest" @click="runs.move(answer.run.id, nearest)">{{
        t.runs.nearest(whenOf(forecast.stay!, nearest))
      }}</AppButton>
      <AppButton v-for="way in ways" :key="way.words" data-testid="instead" @click="way.take()">{{
        way.words
      }}</AppButton>
      <p v-if="isFound && !isLooking && !nearest && ways.length === 0" class="text-soft">
        {{ t.runs.noNearest }}
      </p>
    </div>
  </div>
</template>
