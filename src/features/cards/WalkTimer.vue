<script setup lang="ts">
import { useTimestamp } from '@vueuse/core'
import { computed } from 'vue'
import { keyOf, secondsLeft, type CardStep } from '@/core/cards'
import { useWalkStore, type KeptWalk } from '@/data/walkStore'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import { clockText } from './useCardWords'

/** The clock of a step: what is left by the device's clock, however long the page was away; past it, in red. */
const props = defineProps<{ kept: KeptWalk; step: CardStep; isAwake: boolean }>()
const walk = useWalkStore()
const now = useTimestamp({ interval: 200 })
const wanted = computed(() => {
  const { timer, numbers } = props.step
  const quantity = numbers.find(({ id }) => id === timer)
  return quantity ? Math.max(1, Math.round(quantity.value * (quantity.unit === 'minutes' ? 60 : 1))) : null
})
const timer = computed(
  () => props.kept.walk.timers[keyOf(props.kept.walk.card, props.kept.walk.step)] ?? null,
)
const left = computed(() => secondsLeft(props.kept.walk, now.value))
const isRunning = computed(() => timer.value !== null && timer.value.endedAt === null)
const isOver = computed(() => isRunning.value && left.value !== null && left.value <= 0)
const begin = () => {
  walk.act({ do: 'start-timer', at: Date.now(), seconds: wanted.value! })
}
</script>

<template>
  <div v-if="wanted !== null" data-testid="timer" :data-running="isRunning">
    <AppButton v-if="timer === null" class="min-h-16 w-full text-xl" @click="begin">{{
      t.cards.startTimer(clockText(wanted))
    }}</AppButton>
    <div v-else class="border-4 p-3" :class="isOver ? 'border-oxide text-oxide' : 'border-ink'">
      <p class="figure text-6xl leading-none font-extrabold" role="timer" data-testid="timer-left">
        {{ clockText(left!) }}
      </p>
      <p v-if="isOver" class="mt-1 text-xl font-bold" role="alert">{{ t.cards.overdue(clockText(left!)) }}</p>
      <p v-else-if="isRunning" class="mt-1 text-lg font-semibold">
        {{ t.cards.stay }}. {{ isAwake ? t.cards.running : t.cards.keepLit }}
      </p>
      <p v-else class="mt-1 text-lg">{{ t.cards.stoppedAt(clockText(timer.seconds - left!)) }}</p>
      <AppButton v-if="isRunning" class="mt-2" @click="walk.act({ do: 'end-timer', at: Date.now() })">{{
        t.cards.stopTimer
      }}</AppButton>
      <AppButton v-else class="mt-2" @click="begin">{{ t.cards.restart }}</AppButton>
    </div>
  </div>
</template>
