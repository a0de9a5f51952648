<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { X } from '@lucide/vue'
import { watch } from 'vue'

const props = defineProps<{ open: boolean; title: string; closeLabel: string }>()
defineEmits<{ close: [] }>()

/** The control that opened it gets the focus back, also where the dialog arrived later than the click. */
let opener: Element | null = null
watch(
  () => props.open,
  (isOpen) => {
    if (isOpen) opener = document.activeElement
    else setTimeout(() => (opener as HTMLElement | null)?.focus({ preventScroll: true }), 40)
  },
  { immediate: true },
)
</script>

<template>
  <Dialog :open="open" class="relative z-50" @close="$emit('close')">
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
            @click="$emit('close')"
          >
            <X :size="24" aria-hidden="true" />
          </button>
        </div>
        <slot />
      </DialogPanel>
    </div>
  </Dialog>
</template>
