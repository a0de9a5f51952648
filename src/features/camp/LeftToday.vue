<script setup lang="ts">
import { ChevronRight } from '@lucide/vue'
import { useBudgetWords } from '@/parts/today/useBudgetWords'
import * as t from '@/texts/t'

/** On a phone: what is left today in one line; the budget behind it has the rest. */
const { oneLine } = useBudgetWords()
</script>

<template>
  <RouterLink
    to="/budget"
    class="flex min-h-14 items-center gap-3 border-y border-line py-1.5 leading-snug wrap-anywhere"
    data-testid="left-today"
  >
    <span class="min-w-0 flex-1">
      <span class="block font-bold">{{ t.budget.leftToday }}</span>
      <span class="line-clamp-1 text-[0.95rem] text-soft">{{ oneLine }}</span>
    </span>
    <ChevronRight :size="22" class="flex-none" aria-hidden="true" />
  </RouterLink>
</template>
