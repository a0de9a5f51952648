<script setup lang="ts">
import { computed, nextTick, reactive, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import StartCrew from './StartCrew.vue'
import StartRig from './StartRig.vue'
import StartStay from './StartStay.vue'
import { usePreview } from './usePreview'
import { addStart } from '@/actions/whole'
import { addWallDays } from '@/core/calendar'
import { keptValue } from '@/data/keptValue'
import { newId } from '@/data/newId'
import { useTypingStore } from '@/data/typingStore'
import { useSettingsStore } from '@/data/settingsStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { areStartChoices, firstChoices, startDocument } from '@/document/starters'
import { useFieldGroup } from '@/parts/fields/fieldGroup'
import TheCount from '@/parts/count/TheCount.vue'
import { useClockStore } from '@/data/clockStore'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'

const STEPS = [StartRig, StartCrew, StartStay]
const LEADS = [t.start.rigLead, t.start.crewLead, t.start.stayLead]

const workspace = useWorkspaceStore()
const clock = useClockStore()
const settings = useSettingsStore()
const route = useRoute()
const router = useRouter()
const example = firstChoices(addWallDays(clock.now, 1), settings.units)
/** What was chosen so far outlives a reload, until it is a stay or is left. */
const kept = keptValue({ key: 'dry-count:start', version: 1, first: example, isWhole: areStartChoices })
const choices = reactive(structuredClone(kept.read()))
watch(choices, () => kept.write(choices))
/** The numbers beside it are of nobody's rig yet. */
const isExample = computed(() => JSON.stringify(choices) === JSON.stringify(example))
const heading = ref<HTMLElement | null>(null)
const fields = useFieldGroup()
const typing = useTypingStore()

const step = computed(() => Math.min(STEPS.length, Math.max(1, Number(route.query.step ?? 1) || 1)))
const isLast = computed(() => step.value === STEPS.length)
const { words: preview, risk, isComing } = usePreview(choices)

const go = (to: number) => router.push({ path: '/start', query: { step: to } })
watch(step, () => void nextTick(() => heading.value?.focus()))

/** What was typed is taken, and what cannot be understood stays where it is. */
function next() {
  typing.commitAll()
  if (!fields.isUnderstood()) return
  if (isLast.value) finish()
  else void go(step.value + 1)
}

function skip() {
  typing.commitAll()
  if (fields.isUnderstood()) finish()
}

function finish() {
  const made = startDocument(choices, t.starters, t.starterNames, newId, settings.units)
  workspace.act(addStart(made, newId))
  leave()
}

function leave() {
  kept.forget()
  void router.push('/')
}
</script>

<template>
  <div class="grid gap-x-14 gap-y-6 pt-6 lg:grid-cols-[minmax(0,6fr)_minmax(0,5fr)]">
    <form @submit.prevent="next">
      <p class="text-[0.95rem] font-semibold text-soft">{{ t.start.stepOf(step) }}</p>
      <h1
        ref="heading"
        tabindex="-1"
        class="text-3xl font-extrabold tracking-tight focus:outline-none sm:text-4xl"
      >
        {{ t.start.steps[step - 1] }}
      </h1>
      <p class="mt-1 text-soft">{{ LEADS[step - 1] }}</p>
      <component
        :is="STEPS[step - 1]"
        class="mt-5"
        :choices="choices"
        @change="Object.assign(choices, $event)"
      />
      <div class="mt-8 flex flex-wrap items-center gap-3">
        <button type="submit" class="min-h-12 bg-ink px-6 text-lg font-semibold text-paper">
          {{ isLast ? t.start.finish : t.start.next }}
        </button>
        <AppButton v-if="step > 1" @click="go(step - 1)">{{ t.start.back }}</AppButton>
        <AppButton v-if="!isLast" kind="quiet" @click="skip">{{ t.start.skip }}</AppButton>
        <AppButton kind="quiet" @click="leave">{{ t.start.cancel }}</AppButton>
      </div>
    </form>
    <aside
      :class="[
        'border-t-2 border-ink pt-4 max-lg:order-first max-lg:border-t-0 max-lg:border-b-2',
        'max-lg:pt-0 max-lg:pb-3 lg:border-t-0 lg:border-l-2 lg:pt-0 lg:pl-10',
      ]"
      :aria-label="t.start.live"
    >
      <p v-if="isExample" class="mb-1 font-semibold" data-testid="example">{{ t.start.example }}</p>
      <TheCount :words="preview" :risk="risk" :is-coming="isComing" compact />
    </aside>
  </div>
</template>
