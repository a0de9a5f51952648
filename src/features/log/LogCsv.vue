<script setup lang="ts">
import { ref } from 'vue'
import { useForecastStore } from '@/data/forecastStore'
import { useLogStore } from '@/data/logStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { fileName } from '@/document'
import FileMessages from '@/parts/files/FileMessages.vue'
import FilePicker from '@/parts/files/FilePicker.vue'
import { saveFile } from '@/parts/files/saveFile'
import type { FileMessage } from '@/parts/files/useFiles'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'

/** The stay's log as a table, out and in. */
const forecast = useForecastStore()
const workspace = useWorkspaceStore()
const log = useLogStore()
const message = ref<FileMessage | null>(null)
const MOST_MB = 20
const MB = 1024 * 1024
const FAULTS_SHOWN = 5

async function out() {
  const { logToCsv } = await import('@/document/logCsv')
  const name = fileName(forecast.stay!.name).replace(/\.drycount\.json$/, '-log.csv')
  saveFile(logToCsv(log.entries), name, 'text/csv')
}

async function take(file: File) {
  message.value = null
  if (file.size > MOST_MB * MB) return say(t.log.csv.tooLarge(Math.ceil(file.size / MB)))
  const text = await file.text().catch(() => null)
  if (text === null) return say(t.log.csv.unreadable)
  const { logFromCsv } = await import('@/document/logCsv')
  const read = logFromCsv(text)
  if (!read.ok) {
    if (read.missing.length > 0) return say(`${t.log.csv.foreign} ${read.missing.join(', ')}.`)
    return refuse(read.faults)
  }
  const { stays } = workspace.document
  const { id, rig } = forecast.stay!
  const strangers = read.log.flatMap(({ stay }, i) =>
    stay === null || stays.some((one) => one.id === stay)
      ? []
      : [{ line: i + 2, column: 'stay', found: stay }],
  )
  if (strangers.length > 0) return refuse(strangers)
  // What names no stay is of this one.
  const entries = read.log.map((entry) => (entry.stay === null ? { ...entry, stay: id, rig } : entry))
  const fresh = entries.filter((entry) => (log.find(entry.id)?.revision ?? 0) < entry.revision)
  if (fresh.length > 0) log.merge(fresh)
  const words =
    fresh.length === 0 ? t.log.csv.allKnown : t.log.csv.taken(fresh.length, entries.length - fresh.length)
  say(read.unknown.length > 0 ? `${words} ${t.log.csv.extra(read.unknown.join(', '))}` : words)
}

function say(text: string) {
  message.value = { text, faults: [] }
}
function refuse(faults: readonly { line: number; column: string; found: string }[]) {
  const lines = faults
    .slice(0, FAULTS_SHOWN)
    .map(({ line, column, found }) => t.log.csv.fault(line, column, found))
  if (faults.length > FAULTS_SHOWN) lines.push(t.log.csv.moreFaults(faults.length - FAULTS_SHOWN))
  message.value = { text: t.log.csv.nothingTaken, faults: lines }
}
</script>

<template>
  <p class="max-w-[60ch] text-soft">{{ t.log.csv.text }}</p>
  <div class="mt-3 flex flex-wrap gap-3">
    <AppButton @click="out">{{ t.log.csv.out }}</AppButton>
    <FilePicker :label="t.log.csv.in" accept=".csv,text/csv" @pick="take" />
  </div>
  <FileMessages :message="message" />
</template>
