<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue'
import { useLogStore } from '@/data/logStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { orphansOf } from '@/document'
import { saveFile } from '@/parts/files/saveFile'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'

/** What of the log counts for nothing: rows that are damaged, and entries of what is gone. Nothing of it is lost. */
const workspace = useWorkspaceStore()
const logs = useLogStore()
const orphans = ref(0)
const damaged = computed(() => workspace.damagedLog.length)

async function look() {
  const whole = await logs.whole().catch(() => [])
  orphans.value = orphansOf(workspace.document, whole).length
}
onMounted(look)
watch(() => workspace.revision, look)
const save = () => saveFile(`${JSON.stringify(workspace.damagedLog, null, 2)}\n`, 'damaged-entries.json')
</script>

<template>
  <div
    v-if="damaged > 0 || orphans > 0"
    class="mt-3 max-w-[60ch] border-l-4 border-ink pl-4"
    data-testid="log-troubles"
  >
    <template v-if="damaged > 0">
      <p class="font-semibold">{{ t.settings.damagedLog(damaged) }}</p>
      <AppButton kind="quiet" @click="save">{{ t.settings.saveDamaged }}</AppButton>
    </template>
    <p v-if="orphans > 0">{{ t.imports.orphans(orphans) }}</p>
  </div>
</template>
