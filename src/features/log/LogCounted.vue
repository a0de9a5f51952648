<script setup lang="ts">
import { computed } from 'vue'
import { setCounted } from '@/actions/stay'
import type { Crew, Id, Stay } from '@/core/domain'
import { useClockStore } from '@/data/clockStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import * as t from '@/texts/t'
import AppSwitch from '@/ui/AppSwitch.vue'

/** The one place where it is said what is counted. */
const props = defineProps<{ stay: Stay; crew: Crew }>()
const workspace = useWorkspaceStore()
const clock = useClockStore()
const rows = computed(() =>
  props.crew.activities
    .filter(({ kind }) => kind !== 'bowl-seal')
    .map(({ id, name }) => ({
      id,
      name,
      on: props.stay.counted.some(({ activity, until }) => activity === id && until === null),
    })),
)
function set(activity: Id, on: boolean) {
  workspace.act(setCounted(props.stay.id, activity, on, clock.now))
}
</script>

<template>
  <p class="max-w-[60ch] text-soft">{{ t.learned.countedText }}</p>
  <ul class="mt-2 grid gap-x-8 sm:grid-cols-2">
    <li
      v-for="row in rows"
      :key="row.id"
      class="flex min-w-0 items-center gap-2 border-b border-line"
      :data-testid="`counted-${row.id}`"
    >
      <AppSwitch
        :on="row.on"
        :label="`${row.name}: ${t.learned.count}`"
        class="-ml-2"
        @change="set(row.id, $event)"
      />
      <span class="min-w-0 font-semibold wrap-anywhere">{{ row.name }}</span>
      <span class="ml-auto text-[0.95rem] text-soft">{{ row.on ? t.learned.count : t.learned.expect }}</span>
    </li>
  </ul>
</template>
