<script setup lang="ts">
import { computed } from 'vue'
import PlumbingMap from './map/PlumbingMap.vue'
import RigFixtures from './RigFixtures.vue'
import RigGear from './RigGear.vue'
import RigOutlets from './RigOutlets.vue'
import RigPreset from './RigPreset.vue'
import RigSwitcher from './RigSwitcher.vue'
import RigTanks from './RigTanks.vue'
import RigWeight from './RigWeight.vue'
import { useForecastStore } from '@/data/forecastStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { rigOf } from '@/document/edits'
import TextField from '@/parts/fields/TextField.vue'
import NoStay from '@/parts/NoStay.vue'
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
  <NoStay v-if="!rig || !forecast.stay" :title="t.rig.title" />
  <div v-else>
    <PageHead :title="t.rig.title" />
    <div class="grid items-end gap-x-6 gap-y-3 lg:grid-cols-2">
      <TextField :label="t.rig.name" :value="rig.name" :save="rename" />
      <RigSwitcher :rig="rig" :stay="forecast.stay" />
    </div>
    <PlumbingMap :rig="rig" :stay="forecast.stay" />
    <RigFixtures :rig="rig" />
    <RigTanks :rig="rig" :stay="forecast.stay" />
    <RigOutlets :rig="rig" />
    <RigWeight v-if="forecast.crew" :rig="rig" :crew="forecast.crew" :stay="forecast.stay" />
    <RigGear :rig="rig" />
    <RigPreset :rig="rig" :stay="forecast.stay" />
  </div>
</template>
