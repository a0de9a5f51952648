<script setup lang="ts">
defineProps<{
  id: string
  label: string
  /** Read out before the label, not shown. */
  of?: string | undefined
  /** Read out after the label; shown at the end of the line. */
  unit?: string | undefined
  hideLabel?: boolean
  fault: string | null
  hint?: string
}>()
</script>

<template>
  <div class="min-w-0">
    <label :for="id" :class="hideLabel ? 'sr-only' : 'mb-1 block text-[0.92rem] font-semibold text-soft'"
      ><span v-if="of" class="sr-only">{{ of }}: </span>{{ label
      }}<span v-if="unit" class="sr-only">, {{ unit }}</span></label
    >
    <slot />
    <p v-if="hint && !fault" class="mt-1 text-[0.95rem] text-soft">{{ hint }}</p>
    <p
      v-if="fault"
      :id="`${id}-fault`"
      role="alert"
      class="mt-1 flex gap-2 text-[0.95rem] font-semibold text-ink"
    >
      <span
        aria-hidden="true"
        class="figure grid h-6 w-6 shrink-0 place-items-center border-2 border-ink text-sm"
        >!</span
      >{{ fault }}
    </p>
  </div>
</template>
