<script setup lang="ts">
import type { MapNode } from './mapLayout'

defineProps<{
  node: MapNode
  side: 'supply' | 'waste'
  left: number
  width: number
  height: number
  /** A pipe is held that may end here. */
  open: boolean
}>()
defineEmits<{ pick: [] }>()
</script>

<template>
  <component
    :is="open ? 'button' : 'div'"
    :type="open ? 'button' : undefined"
    class="absolute -translate-y-1/2 border-2 border-ink p-1 text-center max-sm:text-[0.9rem]"
    :class="[
      side === 'supply' ? 'hatch-supply' : 'hatch-waste',
      open ? 'outline-3 outline-offset-2 outline-grass' : '',
    ]"
    :style="{ top: `${node.y}px`, left: `${left}px`, width: `${width}px`, height: `${height}px` }"
    :data-tank="node.id"
    @click="open && $emit('pick')"
  >
    <span
      class="flex h-full items-center justify-center bg-card px-0.5 leading-tight font-bold hyphens-auto wrap-anywhere"
      >{{ node.name }}</span
    >
  </component>
</template>
