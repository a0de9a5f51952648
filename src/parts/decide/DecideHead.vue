<script setup lang="ts">
import { computed } from 'vue'
import { useDecideStore } from '@/data/decideStore'
import * as t from '@/texts/t'
import AppSwitch from '@/ui/AppSwitch.vue'
import { useDecideNotice } from './useDecideNotice'
import { useDecideWords } from './useDecideWords'

/** How long one can wait, first of all; then every container in a line. */
const decide = useDecideStore()
decide.follow()
const notice = useDecideNotice()
const { nothing, pressing, all } = useDecideWords()
const first = computed(() => pressing.value[0] ?? null)
</script>

<template>
  <section :aria-label="t.decide.title" data-testid="decide" :aria-busy="!decide.isCurrent">
    <p v-if="decide.hasFailed" class="text-soft" role="status">{{ t.decide.failed }}</p>
    <p v-else-if="decide.answers === null" class="min-h-12 text-lg text-soft" role="status">
      {{ t.decide.working }}
    </p>
    <template v-else>
      <p
        v-if="!first"
        class="font-display text-[1.55rem] leading-[1.15] font-bold sm:text-[2rem]"
        data-testid="decide-first"
      >
        {{ nothing }}
      </p>
      <template v-else>
        <p
          class="font-display text-[1.7rem] leading-[1.12] font-extrabold tracking-tight sm:text-[2.4rem]"
          data-testid="decide-first"
        >
          <span v-if="first.state === 'too-late'" class="text-oxide">{{ t.decide.tooLate(first.name) }}</span>
          <template v-else
            >{{ t.decide.wait(first.name) }}
            <span class="whitespace-nowrap text-oxide">{{ first.until }}</span>.</template
          >
        </p>
        <p class="mt-1.5 max-w-[70ch] text-lg leading-snug" data-testid="decide-then">
          <template v-if="first.planned"><strong>{{ first.planned }}</strong>{{ ' ' }}</template>
          <template v-if="first.preferred">{{ first.preferred }}{{ ' ' }}</template>
          <template v-if="!first.isSure">{{ t.decide.notSure }}{{ ' ' }}</template>
          <span class="text-soft">{{ first.after }} {{ first.perhaps }}</span>
        </p>
        <details class="mt-1">
          <summary class="min-h-11 cursor-pointer py-2.5 font-semibold text-soft">{{ t.decide.all }}</summary>
          <ul class="max-w-3xl">
            <li
              v-for="one in all"
              :key="one.id"
              class="grid gap-x-4 border-t border-line py-2 sm:grid-cols-[9rem_minmax(0,1fr)]"
              :data-testid="`decide-${one.id}`"
            >
              <span class="font-bold">{{ one.name }}</span>
              <span>
                <span class="figure font-semibold">{{
                  one.state === 'before'
                    ? t.decide.rowBefore
                    : one.until
                      ? t.decide.rowWait(one.until)
                      : t.decide.rowLate
                }}</span>
                <span v-if="one.state !== 'before' && one.limit" class="text-soft"> ({{ one.limit }})</span>
                <span v-if="one.planned" class="block font-semibold">{{ one.planned }}</span>
                <span v-if="one.preferred" class="block text-[0.95rem] leading-snug text-soft"
                  >{{ one.preferred }} {{ one.after }} {{ one.perhaps }}</span
                >
              </span>
            </li>
          </ul>
          <div class="flex items-center gap-2">
            <AppSwitch :on="notice.isOn.value" :label="t.decide.remind" @change="notice.turn" />
            <span>{{ notice.isOn.value ? t.decide.reminding : t.decide.remind }}</span>
          </div>
          <p class="text-[0.95rem] text-soft" role="status">
            {{ notice.isRefused.value ? t.decide.remindRefused : t.decide.remindHint }}
          </p>
        </details>
      </template>
    </template>
  </section>
</template>
