<script setup lang="ts">
import { onMounted, ref } from 'vue'
import { useChoreStore } from '@/data/choreStore'
import type { Chore } from '@/core/domain'
import * as t from '@/texts/t'
import { choreName } from './choreName'

/** What is due, done or put off with one tap; nothing where nothing is. */
const chores = useChoreStore()
onMounted(() => {
  chores.follow()
})
const said = ref('')
function done(chore: Chore) {
  const result = chores.done(chore)
  if (result.ok) said.value = t.chores.said(choreName(chore))
}
const link = 'min-h-11 font-semibold underline decoration-line decoration-2 underline-offset-4'
</script>

<template>
  <section v-if="chores.due.length > 0 || said !== ''" :aria-label="t.chores.title" data-testid="due-chores">
    <ul>
      <li
        v-for="{ chore } in chores.due"
        :key="chore.id"
        class="border-t border-line pt-1"
        :data-testid="`due-${chore.id}`"
      >
        <p class="leading-tight font-bold">{{ t.chores.due(choreName(chore)) }}</p>
        <p class="flex flex-wrap gap-x-5">
          <button type="button" :class="link" @click="done(chore)">{{ t.chores.done }}</button>
          <button type="button" :class="[link, 'text-soft']" @click="chores.snooze(chore)">
            {{ t.chores.snooze }}
          </button>
          <RouterLink :class="[link, 'grid place-items-center text-soft']" to="/chores">{{
            t.chores.title
          }}</RouterLink>
        </p>
      </li>
    </ul>
    <p class="text-[0.9rem] text-soft" role="status">{{ said }}</p>
  </section>
</template>
