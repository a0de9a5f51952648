<script setup lang="ts">
import { computed } from 'vue'
import PlumbingMap from './map/PlumbingMap.vue'
import RigFixtures from './RigFixtures.vue'
import RigGear from './RigGear.vue'
import RigOutlets from './RigOutlets.vue'
import RigPreset from './RigPreset.vue'
import RigTanks from './RigTanks.vue'
import RigWeight from './RigWeight.vue'
import { useRigAnswers } from './useRigAnswers'
import { renameRig } from '@/actions/rig'
import { useForecastStore } from '@/data/forecastStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import TextField from '@/parts/fields/TextField.vue'
import FoldSection from '@/parts/FoldSection.vue'
import FoldedSections from '@/parts/FoldedSections.vue'
import NoStay from '@/parts/NoStay.vue'
import PageHead from '@/parts/PageHead.vue'
import * as t from '@/texts/t'

const forecast = useForecastStore()
const workspace = useWorkspaceStore()
const answers = useRigAnswers()
const rig = computed(() => forecast.rig)
const sections = [
  { id: 'tanks', title: t.rig.tanks },
  { id: 'map', title: t.map.title, isOpenOnWide: true },
  { id: 'outlets', title: t.outlets.title },
  { id: 'weight', title: t.weight.title },
  { id: 'gear', title: t.gear.title },
  { id: 'preset', title: t.map.preset },
]

function rename(name: string) {
  return workspace.act(renameRig(rig.value!.id, name))
}
</script>

<template>
  <NoStay v-if="!rig || !forecast.stay" :title="t.rig.title" />
  <div v-else>
    <PageHead :title="t.rig.title" />
    <div class="flex flex-wrap items-end gap-x-6 gap-y-2">
      <TextField class="max-w-md grow" :label="t.rig.name" :value="rig.name" :save="rename" />
      <RouterLink
        :to="{ path: '/stay', query: { show: 'which' } }"
        class="inline-flex min-h-11 items-center font-semibold underline decoration-line decoration-2 underline-offset-4"
        >{{ t.rig.another }}</RouterLink
      >
    </div>
    <FoldedSections :sections="sections">
      <FoldSection id="tanks" :title="t.rig.tanks" :answer="answers.tanks" :places="['tank-']">
        <RigTanks :rig="rig" :stay="forecast.stay" />
      </FoldSection>
      <FoldSection id="map" :title="t.map.title" :answer="answers.map" :places="['fixtures']" is-open-on-wide>
        <PlumbingMap :rig="rig" :stay="forecast.stay" />
        <RigFixtures :rig="rig" />
      </FoldSection>
      <FoldSection id="outlets" :title="t.outlets.title" :answer="answers.outlets">
        <RigOutlets :rig="rig" />
      </FoldSection>
      <FoldSection
        id="weight"
        :title="t.weight.title"
        :answer="answers.weight"
        :is-breach="answers.isTooHeavy ?? false"
      >
        <RigWeight v-if="forecast.crew" :rig="rig" :crew="forecast.crew" :stay="forecast.stay" />
      </FoldSection>
      <FoldSection id="gear" :title="t.gear.title" :answer="answers.gear"><RigGear :rig="rig" /></FoldSection>
      <FoldSection id="preset" :title="t.map.preset" :answer="t.map.presetHint">
        <RigPreset :rig="rig" :stay="forecast.stay" />
      </FoldSection>
    </FoldedSections>
  </div>
</template>
