<script setup lang="ts">
import { computed } from 'vue'
import type { Habit } from '@/core/model'
import BotherMarks from '@/parts/BotherMarks.vue'
import { useWhyStore } from '@/parts/why/whyStore'
import { formatSigned, t } from '@/texts'
import AppSwitch from '@/ui/AppSwitch.vue'

const props = defineProps<{ habit: Habit; on: boolean; days: number; atLeast: boolean }>()
defineEmits<{ toggle: [on: boolean] }>()
const why = useWhyStore()

const gain = computed(() => {
  const text = formatSigned(props.days)
  return props.atLeast && props.days !== 0 ? t.camp.atLeast(text) : text
})
</script>

<template>
  <li
    class="grid grid-cols-[2.75rem_1fr_auto] items-start gap-x-2 border-b border-line py-2"
    :data-testid="`habit-${habit.id}`"
  >
    <AppSwitch
      :on="on"
      :label="habit.name"
      :described-by="`note-${habit.id}`"
      class="-ml-2"
      @change="$emit('toggle', $event)"
    />
    <div class="pt-1.5">
      <p class="leading-tight font-bold">{{ habit.name }}</p>
      <p :id="`note-${habit.id}`" class="text-[0.95rem] leading-snug text-soft">{{ habit.note }}</p>
    </div>
    <div class="pt-1.5 text-right">
      <button
        type="button"
        :aria-label="`${gain} d. ${t.why.habit(habit.name)}`"
        class="figure min-h-8 text-xl leading-tight font-bold whitespace-nowrap"
        :class="days > 0.05 ? 'text-sage' : 'text-soft'"
        @click="why.ask({ kind: 'habit', habit: habit.id })"
      >
        {{ gain }} <span class="text-base font-semibold">d</span>
      </button>
      <BotherMarks :bother="habit.bother.value" class="mt-0.5 ml-auto" />
    </div>
  </li>
</template>
