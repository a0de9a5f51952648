<script setup lang="ts">
import { computed, ref } from 'vue'
import { report, reports } from '@/data/report'
import { reportsText } from '@/data/reportsText'
import FoldSection from '@/parts/FoldSection.vue'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'

/** What the application met and went on from, for somebody who is asked to help. */
const firstLine = (what: string) => what.split('\n')[0]
const said = ref('')
const text = computed(() => reportsText(reports.value))
async function copy() {
  try {
    await navigator.clipboard.writeText(text.value)
    said.value = t.settings.reports.copied
  } catch (error) {
    // What cannot be copied can be marked where it stands.
    said.value = t.settings.reports.notCopied
    report('copying the reports', error)
  }
}
</script>

<template>
  <FoldSection
    id="reports"
    class="mt-8"
    :title="t.settings.reports.title"
    :answer="t.settings.reports.answer(reports.length)"
  >
    <p v-if="reports.length === 0" class="max-w-[60ch] text-soft">{{ t.settings.reports.none }}</p>
    <template v-else>
      <p class="max-w-[60ch] text-soft">{{ t.settings.reports.hint }}</p>
      <ul class="mt-2 max-w-[60ch]" data-testid="reports">
        <li v-for="one in reports" :key="`${one.at} ${one.where}`" class="border-t border-line py-2">
          <p class="font-semibold">
            {{ one.where }}<template v-if="one.times > 1">, {{ one.times }} ×</template>
          </p>
          <p class="text-[0.95rem] wrap-anywhere text-soft">
            {{ firstLine(one.what) }}
          </p>
        </li>
      </ul>
      <AppButton class="mt-2" @click="copy">{{ t.settings.reports.copy }}</AppButton>
      <p class="mt-2" role="status">{{ said }}</p>
    </template>
  </FoldSection>
</template>
