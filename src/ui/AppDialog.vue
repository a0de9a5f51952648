<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { X } from '@lucide/vue'
import { inject, nextTick, ref, watch } from 'vue'
import AppButton from './AppButton.vue'
import { BEFORE_CLOSE, useBackCloses } from './backCloses'

const props = defineProps<{
  open: boolean
  title: string
  closeLabel: string
  /** Of a form that is saved by a button: how it is asked before what was typed or tapped in it is lost. */
  unsaved?: { ask: string; goOn: string; discard: string } | null
}>()
const emit = defineEmits<{ close: [] }>()

const beforeClose = inject(BEFORE_CLOSE, null)
/** Controls that change something when they are pressed; typing is heard as input. */
const CHANGES = '[aria-pressed], [role=radio], [role=switch], [role=option], [data-stepper] button'
const isTouched = ref(false)
const touch = () => void (isTouched.value = true)
function pressed({ target }: MouseEvent) {
  if (target instanceof Element && target.closest(CHANGES)) touch()
}
/** Closing it would lose something: asked, whatever it is closed with. */
const isAsking = ref(false)
const question = ref<HTMLElement | null>(null)
function request() {
  if (isAsking.value) isAsking.value = false
  else if (props.unsaved && isTouched.value) {
    isAsking.value = true
    void nextTick(() => question.value?.querySelector('button')?.focus())
  } else {
    // A field may still be waiting for the end of its typing.
    beforeClose?.()
    emit('close')
  }
}
function discard() {
  isAsking.value = false
  emit('close')
}
useBackCloses(() => props.open, request)

/** The control that opened it gets the focus back, also where the dialog arrived later than the click. */
let opener: Element | null = null
watch(
  () => props.open,
  (isOpen) => {
    isAsking.value = isTouched.value = false
    if (isOpen) opener = document.activeElement
    else setTimeout(() => (opener as HTMLElement | null)?.focus({ preventScroll: true }), 40)
  },
  { immediate: true },
)
</script>

<template>
  <Dialog :open="open" class="relative z-50" @close="request">
    <div class="fixed inset-0 bg-ink/40 [[data-theme=dark]_&]:bg-black/60" aria-hidden="true" />
    <div class="fixed inset-0 flex items-end justify-center sm:items-center sm:p-6">
      <DialogPanel
        class="max-h-[90dvh] w-full max-w-[44rem] overflow-y-auto border-t-4 border-ink bg-paper px-5 pt-4 pb-8 sm:border-4 sm:px-8"
      >
        <div class="flex items-start gap-4">
          <DialogTitle as="h2" class="grow pt-1.5 text-2xl leading-tight font-extrabold">{{
            title
          }}</DialogTitle>
          <button
            type="button"
            class="-mr-2 grid h-11 w-11 shrink-0 place-items-center"
            :aria-label="closeLabel"
            @click="request"
          >
            <X :size="24" aria-hidden="true" />
          </button>
        </div>
        <div
          v-if="isAsking && unsaved"
          ref="question"
          class="sticky top-0 z-10 mt-2 flex flex-wrap items-center gap-3 border-2 border-ink bg-card px-4 py-3"
          role="alert"
          data-testid="unsaved"
        >
          <p class="grow basis-60 font-semibold">{{ unsaved.ask }}</p>
          <AppButton kind="primary" @click="isAsking = false">{{ unsaved.goOn }}</AppButton>
          <AppButton @click="discard">{{ unsaved.discard }}</AppButton>
        </div>
        <div @input="touch" @change="touch" @click="pressed"><slot /></div>
      </DialogPanel>
    </div>
  </Dialog>
</template>
