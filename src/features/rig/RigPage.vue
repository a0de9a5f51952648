<script setup lang="ts">
import { computed } from 'vue'
import RigFixtures from './RigFixtures.vue'
import RigTanks from './RigTanks.vue'
import { useForecastStore } from '@/data/forecastStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { rigOf } from '@/document/edits'
import TextField from '@/parts/fields/TextField.vue'
import PageHead from '@/parts/PageHead.vue'
import { t } from '@/texts'

const forecast = useForecastStore()
const workspace = useWorkspaceStore()
const rig = computed(() => forecast.rig)

function rename(name: string) {
  const { id } = rig.value!
  return workspace.edit('rig', (draft) => void (rigOf(draft, id).name = name), `rig name ${id}`)
}
</script>

<template>
  <div v-if="rig && forecast.stay">
    <PageHead :title="t.rig.title" />
    <TextField class="max-w-md" :label="t.rig.name" :value="rig.name" :save="rename" />
    <RigTanks :rig="rig" :stay="forecast.stay" />
    <RigFixtures :rig="rig" />
  </div>
</template>
