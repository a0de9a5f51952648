<script setup lang="ts">
import { computed } from 'vue'
import { aimOf, type NextStep } from '@/core/advice'
import { useForecastStore } from '@/data/forecastStore'
import { newId } from '@/data/newId'
import { useTodayStore } from '@/data/todayStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { addRuns, declineAdvice, hearAllAdvice, setHabit } from '@/document/edits'
import { whenOf } from '@/parts/runs/useRuns'
import { formatDate, formatDays } from '@/texts'
import * as t from '@/texts/t'
import NextAdvice from './NextAdvice.vue'

/** What helps most for its bother: one first, at most two more behind it, none where nothing needs doing. */
const today = useTodayStore()
const forecast = useForecastStore()
const workspace = useWorkspaceStore()
const tank = (id: string | null) => forecast.rig?.containers.find((one) => one.id === id)?.name ?? ''

const steps = computed(() =>
  (today.next ?? []).map((step) => {
    const { change } = step
    const gain = formatDays(step.gain)
    return {
      step,
      id: change.kind === 'habit' ? change.habit : change.usual,
      name: nameOf(step),
      gain,
      gainWords: step.atLeast ? t.next.atLeast(gain) : t.next.gainWords(gain),
      reason: reasonOf(step),
    }
  }),
)
function nameOf({ change }: NextStep): string {
  if (change.kind === 'run') return t.runs.usual[change.usual]
  const name = workspace.document.habits.find(({ id }) => id === change.habit)?.name ?? ''
  return change.on ? name : t.next.off(name)
}
function reasonOf({ change, stops, thenStops, reaches, pushes }: NextStep): string {
  const words = [
    change.kind === 'run' && forecast.stay ? t.next.runOn(whenOf(forecast.stay, change.run)) : '',
    stops === null ? '' : t.next.spares(tank(stops)),
    reaches && forecast.stay ? t.next.reaches(formatDate(aimOf(forecast.stay))) : '',
    !reaches && thenStops !== null && thenStops !== stops ? t.next.thenStops(tank(thenStops)) : '',
    pushes.length > 0 ? t.next.pushes(pushes.map(tank).join(', ')) : '',
  ]
  return words.filter((one) => one !== '').join(' ')
}

function take({ change }: NextStep) {
  const { id } = forecast.stay!
  const from = forecast.today
  if (change.kind === 'habit') {
    workspace.edit('habit', (draft) => setHabit(draft, id, change.habit, change.on, null, from))
    return
  }
  const run = { ...change.run, id: newId('run'), name: t.runs.usual[change.usual] }
  workspace.edit('run', (draft) => addRuns(draft, id, [run]))
}
function decline(advice: string) {
  const { id } = forecast.stay!
  workspace.edit('budget', (draft) => declineAdvice(draft, id, advice))
}
function hearAgain() {
  const { id } = forecast.stay!
  workspace.edit('budget', (draft) => hearAllAdvice(draft, id))
}
const declined = computed(() => forecast.stay?.budget.declined.length ?? 0)
const link = 'min-h-11 font-semibold underline decoration-line decoration-2 underline-offset-4'
</script>

<template>
  <section aria-labelledby="next-best" data-testid="next-best">
    <h2 id="next-best" class="text-[0.95rem] font-semibold text-soft">{{ t.next.title }}</h2>
    <p v-if="today.next === null" class="py-2 text-soft" role="status">{{ t.next.working }}</p>
    <p v-else-if="steps.length === 0" class="py-2 text-lg font-semibold" data-testid="next-none">
      {{ t.next.none }}
    </p>
    <template v-else>
      <NextAdvice
        v-for="one in steps.slice(0, 1)"
        :key="one.id"
        v-bind="one"
        is-first
        :class="today.isNextCurrent ? '' : 'opacity-60'"
        @take="take(one.step)"
        @decline="decline(one.id)"
      />
      <details v-if="steps.length > 1" class="mt-1">
        <summary class="min-h-11 cursor-pointer py-2.5 text-[0.95rem] font-semibold text-soft">
          {{ t.next.more(steps.length - 1) }}
        </summary>
        <NextAdvice
          v-for="one in steps.slice(1)"
          :key="one.id"
          v-bind="one"
          @take="take(one.step)"
          @decline="decline(one.id)"
        />
      </details>
    </template>
    <p v-if="declined > 0" class="flex flex-wrap items-baseline gap-x-3 text-[0.9rem] text-soft">
      {{ t.next.declined(declined) }}
      <button type="button" :class="[link, 'text-[0.9rem]']" @click="hearAgain">
        {{ t.next.hearAgain }}
      </button>
    </p>
  </section>
</template>
