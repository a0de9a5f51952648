<script setup lang="ts">
import { clearAll, replaceAll } from '@/actions/whole'
import OfflineState from './OfflineState.vue'
import ImportChoice from './ImportChoice.vue'
import LogTroubles from './LogTroubles.vue'
import RecentReports from './RecentReports.vue'
import { computed, ref } from 'vue'
import { UNIT_SYSTEMS, UNITS, systemOf, type Dimension, type UnitSystem } from '@/core/quantities'
import { THEMES, useSettingsStore } from '@/data/settingsStore'
import { useClockStore } from '@/data/clockStore'
import { useKeepingStore } from '@/data/keepingStore'
import { useTimerStore } from '@/data/timerStore'
import { useWalkStore } from '@/data/walkStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import FileMessages from '@/parts/files/FileMessages.vue'
import FilePicker from '@/parts/files/FilePicker.vue'
import { useFiles } from '@/parts/files/useFiles'
import FoldSection from '@/parts/FoldSection.vue'
import PageHead from '@/parts/PageHead.vue'
import { useSpace } from '@/parts/space'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import AppChoices from '@/ui/AppChoices.vue'
import AppDialog from '@/ui/AppDialog.vue'

const settings = useSettingsStore()
const clock = useClockStore()
const keeping = useKeepingStore()
const workspace = useWorkspaceStore()
const walk = useWalkStore()
const shower = useTimerStore()
const { message, pending, exportFile, importFile, chooseImport } = useFiles()
const { space, switchTo } = useSpace()
const dimensions = Object.keys(UNITS) as Dimension[]
const systems = (Object.keys(UNIT_SYSTEMS) as UnitSystem[]).map((value) => ({
  value,
  label: t.start.system[value],
}))
const singles = computed(() => dimensions.map((one) => t.unitNames[settings.units[one]]).join(', '))

function setUnit(dimension: Dimension, unit: string) {
  settings.measureIn({ ...settings.units, [dimension]: unit })
}
async function resetDemo() {
  const { demoFile } = await import('@/data/demo')
  const { document, log } = await demoFile(settings.units)
  workspace.act(replaceAll('start', document, log))
  clock.backToStart()
  walk.discard()
  shower.discard()
}
const isClearing = ref(false)
async function clear() {
  isClearing.value = false
  workspace.act(clearAll())
  const said = message.value
  await workspace.settled()
  // Something else has been said since.
  if (message.value !== said) return
  message.value = {
    text: workspace.saveState === 'unsaved' ? t.settings.clearedUnsaved : t.settings.cleared,
    faults: [],
  }
}
</script>

<template>
  <PageHead :title="t.settings.title" />
  <section class="pt-4" aria-labelledby="units">
    <h2 id="units" class="text-xl font-bold">{{ t.settings.units }}</h2>
    <AppChoices
      class="mt-2"
      :label="t.start.systems"
      :value="systemOf(settings.units)"
      :options="systems"
      @choose="settings.measureIn({ ...UNIT_SYSTEMS[$event] })"
    />
    <FoldSection id="single-units" class="mt-3" :title="t.settings.single" :answer="singles">
      <div class="grid gap-4 sm:grid-cols-2">
        <AppChoices
          v-for="dimension in dimensions"
          :key="dimension"
          :label="t.settings.dimension[dimension]"
          :value="settings.units[dimension]"
          :options="UNITS[dimension].map((unit) => ({ value: unit, label: t.unitNames[unit] }))"
          @choose="setUnit(dimension, $event)"
        />
      </div>
    </FoldSection>
  </section>
  <section class="pt-8" aria-labelledby="look">
    <h2 id="look" class="text-xl font-bold">{{ t.settings.look }}</h2>
    <AppChoices
      class="mt-2"
      hide-label
      :label="t.settings.look"
      :value="settings.theme"
      :options="THEMES.map((theme) => ({ value: theme, label: t.settings.theme[theme] }))"
      @choose="settings.theme = $event"
    />
  </section>
  <section class="pt-8" aria-labelledby="data">
    <h2 id="data" class="text-xl font-bold">{{ t.settings.data }}</h2>
    <p class="max-w-[60ch] text-soft">{{ t.settings.dataText }}</p>
    <OfflineState class="mt-3" />
    <p class="mt-3 max-w-[60ch]">{{ space === 'demo' ? t.settings.demoText : t.settings.mineText }}</p>
    <p v-if="space === 'mine' && workspace.state === 'kept'" class="mt-3 max-w-[60ch]" data-testid="keeping">
      {{ t.keeping[keeping.keeping] }}
      <AppButton v-if="keeping.keeping !== 'promised'" kind="quiet" @click="keeping.ask()">{{
        t.keeping.ask
      }}</AppButton>
    </p>
    <div class="mt-3 flex flex-wrap gap-3">
      <AppButton v-if="space === 'demo'" @click="switchTo('mine')">{{ t.settings.leaveDemo }}</AppButton>
      <AppButton v-else @click="switchTo('demo')">{{ t.settings.openDemo }}</AppButton>
    </div>
    <div class="mt-3 flex flex-wrap gap-3">
      <AppButton kind="primary" @click="exportFile">{{ t.settings.export }}</AppButton>
      <FilePicker :label="t.settings.import" @pick="importFile" />
      <AppButton v-if="space === 'demo'" @click="resetDemo">{{ t.settings.demoReset }}</AppButton>
      <AppButton @click="isClearing = true">{{ t.settings.clear }}</AppButton>
    </div>
    <FileMessages :message="message" />
    <LogTroubles />
    <AppDialog
      :open="isClearing"
      :title="t.settings.clearTitle"
      :close-label="t.settings.keepIt"
      @close="isClearing = false"
    >
      <p class="mt-2">
        {{ t.settings.clearText(workspace.document.stays.length, workspace.document.rigs.length) }}
      </p>
      <div class="mt-5 flex flex-wrap gap-3">
        <AppButton kind="primary" @click="clear">{{ t.settings.clear }}</AppButton>
        <AppButton @click="exportFile">{{ t.settings.export }}</AppButton>
        <AppButton kind="quiet" @click="isClearing = false">{{ t.settings.keepIt }}</AppButton>
      </div>
    </AppDialog>
    <ImportChoice :pending="pending" @choose="chooseImport" />
  </section>
  <RecentReports />
</template>
