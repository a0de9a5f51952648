<script setup lang="ts">
import { useRouter } from 'vue-router'
import FileMessages from '@/parts/files/FileMessages.vue'
import FilePicker from '@/parts/files/FilePicker.vue'
import { useFiles } from '@/parts/files/useFiles'
import { useSpace } from '@/parts/space'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'

const router = useRouter()
const { message, importFile } = useFiles()
const { switchTo } = useSpace()
</script>

<template>
  <section class="max-w-[40rem] py-14">
    <h1 class="text-4xl font-extrabold tracking-tight sm:text-5xl">{{ t.camp.empty }}</h1>
    <p class="mt-4 text-xl leading-snug">{{ t.camp.emptyText }}</p>
    <div class="mt-8 flex flex-wrap gap-3">
      <AppButton kind="primary" @click="router.push('/start')">{{ t.camp.startOwn }}</AppButton>
      <AppButton @click="switchTo('demo')">{{ t.camp.startDemo }}</AppButton>
      <FilePicker :label="t.camp.open" @pick="importFile" />
    </div>
    <FileMessages :message="message" />
  </section>
</template>
