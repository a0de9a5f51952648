<script setup lang="ts">
import { ref } from 'vue'
import * as t from '@/texts/t'
import AppDialog from '@/ui/AppDialog.vue'
import { sinceSpace as SinceRoom } from './sinceSpace'
import { useSinceWords } from './useSinceWords'

/** One line: what moved since yesterday, and how the plan is kept; the parts behind it are asked for. */
const words = useSinceWords()
const isOpen = ref(false)
</script>

<template>
  <p v-if="words" class="min-h-[3.15rem] leading-snug wrap-anywhere" data-testid="since">
    <span class="font-semibold">{{ words.change }}</span
    ><template v-if="words.why">: {{ words.why }}</template>.
    <span class="text-soft">{{ words.plan[0]!.toUpperCase() + words.plan.slice(1) }}.</span>
    <button
      type="button"
      class="-my-2 ml-1.5 min-h-11 font-semibold text-soft underline decoration-line decoration-2 underline-offset-4"
      :aria-label="`${t.since.why} ${t.since.title}`"
      @click="isOpen = true"
    >
      {{ t.since.why }}
    </button>
    <AppDialog :open="isOpen" :title="t.since.title" :close-label="t.levels.close" @close="isOpen = false">
      <p class="mt-2">{{ words.explained }}</p>
      <dl class="mt-3" data-testid="since-parts">
        <div
          v-for="part in words.parts"
          :key="part.words"
          class="flex justify-between gap-4 border-b border-line py-2"
        >
          <dt>{{ part.words }}</dt>
          <dd class="figure font-bold whitespace-nowrap">{{ part.text }}</dd>
        </div>
        <div class="flex justify-between gap-4 py-2 font-bold">
          <dt>{{ t.since.total }}</dt>
          <dd class="figure whitespace-nowrap">{{ words.total }}</dd>
        </div>
      </dl>
    </AppDialog>
  </p>
  <SinceRoom v-else />
</template>
