<script setup lang="ts">
import { RadioGroup, RadioGroupLabel, RadioGroupOption } from '@headlessui/vue'
import { UNITS, type Dimension } from '@/core/quantities'
import { emptyDocument } from '@/data/storage/documentStore'
import { THEMES, useSettingsStore } from '@/data/settingsStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import FileMessages from '@/parts/files/FileMessages.vue'
import FilePicker from '@/parts/files/FilePicker.vue'
import { useFiles } from '@/parts/files/useFiles'
import PageHead from '@/parts/PageHead.vue'
import { useSpace } from '@/parts/space'
import { t } from '@/texts'
import AppButton from '@/ui/AppButton.vue'

const settings = useSettingsStore()
const workspace = useWorkspaceStore()
const { message, exportFile, importFile } = useFiles()
const { space, switchTo } = useSpace()
const dimensions = Object.keys(UNITS) as Dimension[]

function setUnit(dimension: Dimension, unit: string) {
  settings.units = { ...settings.units, [dimension]: unit }
}
async function resetDemo() {
  const { demoDocument } = await import('@/data/demo')
  workspace.replace('start', () => demoDocument())
}
function clear() {
  workspace.replace('clear', () => emptyDocument())
  message.value = { text: t.settings.cleared, faults: [] }
}
</script>

<template>
  <PageHead :title="t.settings.title" />
  <section class="pt-4" aria-labelledby="units">
    <h2 id="units" class="text-xl font-bold">{{ t.settings.units }}</h2>
    <div class="mt-2 grid gap-4 sm:grid-cols-2">
      <RadioGroup
        v-for="dimension in dimensions"
        :key="dimension"
        :model-value="settings.units[dimension]"
        @update:model-value="setUnit(dimension, $event)"
      >
        <RadioGroupLabel class="text-[0.92rem] font-semibold text-soft">{{
          t.settings.dimension[dimension]
        }}</RadioGroupLabel>
        <div class="mt-1 flex flex-wrap gap-2">
          <RadioGroupOption v-for="unit in UNITS[dimension]" :key="unit" v-slot="{ checked }" :value="unit">
            <span
              class="grid min-h-11 cursor-pointer place-items-center border-2 px-4"
              :class="checked ? 'border-ink bg-ink font-semibold text-paper' : 'border-line'"
              >{{ t.unitNames[unit] }}</span
            >
          </RadioGroupOption>
        </div>
      </RadioGroup>
    </div>
  </section>
  <section class="pt-8" aria-labelledby="look">
    <h2 id="look" class="text-xl font-bold">{{ t.settings.look }}</h2>
    <RadioGroup v-model="settings.theme" class="mt-2" :aria-label="t.settings.look">
      <div class="flex flex-wrap gap-2">
        <RadioGroupOption v-for="theme in THEMES" :key="theme" v-slot="{ checked }" :value="theme">
          <span
            class="grid min-h-11 cursor-pointer place-items-center border-2 px-4"
            :class="checked ? 'border-ink bg-ink font-semibold text-paper' : 'border-line'"
            >{{ t.settings.theme[theme] }}</span
          >
        </RadioGroupOption>
      </div>
    </RadioGroup>
  </section>
  <section class="pt-8" aria-labelledby="data">
    <h2 id="data" class="text-xl font-bold">{{ t.settings.data }}</h2>
    <p class="max-w-[60ch] text-soft">{{ t.settings.dataText }}</p>
    <p class="mt-3 max-w-[60ch]">{{ space === 'demo' ? t.settings.demoText : t.settings.mineText }}</p>
    <div class="mt-3 flex flex-wrap gap-3">
      <AppButton v-if="space === 'demo'" kind="primary" @click="switchTo('mine')">{{
        t.settings.leaveDemo
      }}</AppButton>
      <AppButton v-else @click="switchTo('demo')">{{ t.settings.openDemo }}</AppButton>
    </div>
    <div class="mt-3 flex flex-wrap gap-3">
      <AppButton kind="primary" @click="exportFile">{{ t.settings.export }}</AppButton>
      <FilePicker :label="t.settings.import" @pick="importFile" />
      <AppButton v-if="space === 'demo'" @click="resetDemo">{{ t.settings.demoReset }}</AppButton>
      <AppButton @click="clear">{{ t.settings.clear }}</AppButton>
    </div>
    <FileMessages :message="message" />
  </section>
</template>
