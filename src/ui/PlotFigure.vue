<script setup lang="ts">
import type { Data, Layout } from 'plotly.js'
import { onBeforeUnmount, ref, watch } from 'vue'

const props = defineProps<{
  data: Data[]
  layout: Partial<Layout>
  /** px */
  height: number
  loading: string
  failed: string
}>()

const element = ref<HTMLElement | null>(null)
const state = ref<'loading' | 'drawn' | 'failed'>('loading')
let library: typeof import('plotly.js-cartesian-dist-min') | null = null

const CONFIG = { displayModeBar: false, responsive: true, scrollZoom: false, doubleClick: false } as const

watch(
  [element, () => props.data, () => props.layout, () => props.height],
  async () => {
    try {
      library ??= await import('plotly.js-cartesian-dist-min')
      if (!element.value) return
      await library.react(element.value, props.data, { ...props.layout, height: props.height }, CONFIG)
      state.value = 'drawn'
    } catch {
      state.value = 'failed'
    }
  },
  { immediate: true, flush: 'post' },
)
onBeforeUnmount(() => {
  if (library && element.value) library.purge(element.value)
})
</script>

<template>
  <div class="relative min-w-0 overflow-hidden" :style="{ minHeight: `${height}px` }">
    <p v-if="state !== 'drawn'" class="absolute inset-0 grid place-items-center text-soft" role="status">
      {{ state === 'loading' ? loading : failed }}
    </p>
    <div ref="element" aria-hidden="true" data-testid="plot" />
  </div>
</template>
