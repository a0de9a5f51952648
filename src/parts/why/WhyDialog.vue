<script setup lang="ts">
import { computed } from 'vue'
import WhyHabit from './WhyHabit.vue'
import WhySum from './WhySum.vue'
import WhyUse from './WhyUse.vue'
import { useWhyTitle } from './useWhyTitle'
import { useWhyStore } from './whyStore'
import * as t from '@/texts/t'
import AppDialog from '@/ui/AppDialog.vue'

const why = useWhyStore()
const title = useWhyTitle()
const question = computed(() => why.question)
</script>

<template>
  <AppDialog :open="question !== null" :title="title" :close-label="t.why.close" @close="why.close()">
    <div v-if="question" data-testid="why">
      <WhyHabit v-if="question.kind === 'habit'" :habit-id="question.habit" />
      <WhyUse v-else-if="question.kind === 'use'" :activity-id="question.activity" />
      <WhySum
        v-else
        :container-id="question.container"
        :until="
          question.kind === 'level' ? question.part : question.kind === 'at-stop' ? 'stop' : 'own-count'
        "
      />
    </div>
  </AppDialog>
</template>
