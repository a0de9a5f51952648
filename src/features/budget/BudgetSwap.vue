<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import ChoiceField from '@/parts/fields/ChoiceField.vue'
import BudgetRows from '@/parts/today/BudgetRows.vue'
import { shown, type BudgetRow } from '@/parts/today/useBudgetWords'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import { ArrowRightLeft } from '@lucide/vue'
import { useSwap } from './useSwap'

/** The rows of the budget; one use dragged onto another row says what it buys there, and so do two choices and a button. */
const props = defineProps<{ rows: BudgetRow[]; isBehind: boolean; maySwap: boolean }>()
const { offer, isAsking, ask, take, taken, drop, words, nameOf } = useSwap()
const from = ref('')
const to = ref('')
watch(
  () => props.rows,
  (rows) => {
    if (!rows.some(({ id }) => id === from.value))
      from.value = rows.find(({ n }) => n > 0)?.id ?? rows[0]?.id ?? ''
    if (!rows.some(({ id }) => id === to.value) || to.value === from.value)
      to.value = rows.find(({ id }) => id !== from.value)?.id ?? ''
  },
  { immediate: true },
)
const options = computed(() => props.rows.map(({ id, name }) => ({ value: id, label: name })))

/** What is dragged, and the row under the finger. */
const dragged = ref<string | null>(null)
const over = ref<string | null>(null)
function grab(event: PointerEvent, id: string) {
  ;(event.currentTarget as HTMLElement).setPointerCapture(event.pointerId)
  dragged.value = id
}
function follow({ clientX, clientY }: PointerEvent) {
  if (dragged.value === null) return
  const row = document.elementFromPoint(clientX, clientY)?.closest('[data-testid^="budget-"]')
  const id = row?.getAttribute('data-testid')?.slice('budget-'.length) ?? null
  over.value = id !== null && id !== dragged.value && props.rows.some((one) => one.id === id) ? id : null
}
function letGo() {
  const [less, more] = [dragged.value, over.value]
  dragged.value = over.value = null
  if (less === null || more === null) return
  from.value = less
  to.value = more
  void ask(less, more)
}
</script>

<template>
  <div>
    <BudgetRows :rows="rows" :is-behind="isBehind">
      <template #more="{ row }">
        <span v-if="over === row.id" class="figure font-bold text-sage" aria-hidden="true">+</span>
        <button
          v-if="maySwap && row.n > 0"
          type="button"
          class="grid h-11 w-11 touch-none place-items-center border-2"
          :class="dragged === row.id ? 'border-ink bg-select' : 'border-line'"
          :aria-label="`${t.budget.swapLess} ${row.name}`"
          :data-testid="`grab-${row.id}`"
          @pointerdown="grab($event, row.id)"
          @pointermove="follow"
          @pointerup="letGo"
          @pointercancel="dragged = over = null"
          @click="from = row.id"
        >
          <ArrowRightLeft :size="20" aria-hidden="true" />
        </button>
      </template>
    </BudgetRows>
    <section v-if="maySwap" class="mt-5 max-w-3xl" aria-labelledby="swap" data-testid="swap">
      <h2 id="swap" class="text-xl font-bold">{{ t.budget.swapTitle }}</h2>
      <p class="max-w-[60ch] text-[0.95rem] text-soft">{{ t.budget.swapHint }}</p>
      <div class="mt-2 grid items-end gap-3 sm:grid-cols-[1fr_1fr_auto]">
        <ChoiceField :label="t.budget.swapLess" :value="from" :options="options" @choose="from = $event" />
        <ChoiceField :label="t.budget.swapMore" :value="to" :options="options" @choose="to = $event" />
        <AppButton :disabled="from === to || isAsking" @click="ask(from, to)">{{
          t.budget.swapAsk
        }}</AppButton>
      </div>
      <div class="mt-2 min-h-14" role="status">
        <p v-if="words" class="max-w-[60ch] text-lg font-semibold" data-testid="swap-says">{{ words }}</p>
        <AppButton v-if="offer?.swap" kind="primary" class="mt-2" @click="take">{{
          t.budget.swapTake
        }}</AppButton>
      </div>
      <ul v-if="taken.length > 0">
        <li v-for="(swap, k) in taken" :key="k" data-testid="swap-taken">
          {{ t.budget.swapTaken(shown(swap.by), nameOf(swap.less), shown(swap.plus), nameOf(swap.more)) }}
        </li>
      </ul>
      <AppButton v-if="taken.length > 0" kind="quiet" @click="drop">{{ t.budget.swapDrop }}</AppButton>
    </section>
  </div>
</template>
