<script setup lang="ts">
import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/vue'
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import * as t from '@/texts/t'
import AppDialog from '@/ui/AppDialog.vue'
import { nextFrame } from '@/ui/nextFrame'
import { findEntries } from './findEntries'
import { useSearchEntries, type SearchEntry } from './useSearchEntries'

/** Finds anything by a few letters of its name, and goes there or does it. */
const props = defineProps<{ open: boolean }>()
const emit = defineEmits<{ close: [] }>()
const entries = useSearchEntries(() => props.open)
const text = ref('')
const field = useTemplateRef<{ $el: HTMLElement }>('field')
/** Find is opened to type: its dialog has given the focus to the first control by then. */
watch(
  () => props.open,
  async (open) => {
    if (!open) return
    await nextFrame()
    field.value?.$el.focus()
  },
  { immediate: true },
)
const MOST = 9
const found = computed(() => findEntries(entries.value, text.value).slice(0, MOST))

async function take(way: SearchEntry | null) {
  if (!way) return
  emit('close')
  text.value = ''
  // The dialog gives the focus back first: what comes then may take it.
  await nextTick()
  way.go()
}
</script>

<template>
  <AppDialog :open="open" :title="t.search.find" :close-label="t.search.close" @close="$emit('close')">
    <!-- One Escape is enough: the list is the dialog. -->
    <Combobox
      as="div"
      :model-value="null"
      @update:model-value="take"
      @keydown.escape.capture.stop="$emit('close')"
    >
      <ComboboxInput
        ref="field"
        class="mt-3 h-13 w-full border-2 border-ink bg-card px-3 text-xl"
        :aria-label="t.search.findHint"
        :placeholder="t.search.findHint"
        autocomplete="off"
        data-testid="find-text"
        @change="text = $event.target.value"
      />
      <ComboboxOptions static class="mt-2 min-h-[24rem]" data-testid="found-ways" :aria-label="t.search.find">
        <ComboboxOption v-for="way in found" :key="way.id" v-slot="{ active }" :value="way" as="template">
          <li
            class="grid min-h-11 cursor-pointer grid-cols-[5rem_minmax(0,1fr)] items-baseline gap-x-3 border-b border-line px-2 py-2"
            :class="active ? 'bg-select' : ''"
            :data-testid="`found-${way.id}`"
          >
            <span class="text-[0.85rem] text-soft">{{ t.search.kinds[way.kind] }}</span>
            <span class="min-w-0 leading-snug wrap-anywhere"
              ><span class="font-bold">{{ way.title }}</span>
              <span v-if="way.detail" class="ml-2 text-[0.95rem] text-soft">{{ way.detail }}</span></span
            >
          </li>
        </ComboboxOption>
      </ComboboxOptions>
    </Combobox>
    <p class="text-[0.95rem] text-soft" role="status">
      {{ found.length === 0 ? t.search.nothing(text) : t.search.found(found.length) }}
    </p>
  </AppDialog>
</template>
