<script setup lang="ts">
import { ChevronDown } from '@lucide/vue'
import { useMediaQuery } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { useFoldStore } from '@/data/foldStore'

/** A section that says its answer in one line while it is closed, and opens to the picture and the fields. */
const props = defineProps<{
  id: string
  title: string
  answer?: string | null | undefined
  /** The answer says that a limit is passed: it is not to be read past. */
  isBreach?: boolean
  /** There is room for it on a wide screen: open there until somebody closes it. */
  isOpenOnWide?: boolean
  /** Places inside that `?show=` may lead to; one that ends in - stands for all that begin with it. */
  places?: readonly string[]
}>()
const folds = useFoldStore()
const route = useRoute()
const isWide = useMediaQuery('(min-width: 64rem)')
const isOpen = computed(() => folds.isOpen(props.id, props.isOpenOnWide && isWide.value))
/** What was open once stays as it was left, half-typed values too. */
const wasOpen = ref(isOpen.value)
watch(isOpen, (now) => {
  if (now) wasOpen.value = true
})
const leadsHere = (place: string) =>
  [props.id, ...(props.places ?? [])].some((own) =>
    own.endsWith('-') ? place.startsWith(own) : own === place,
  )
watch(
  () => route.query.show,
  (place) => {
    if (typeof place === 'string' && leadsHere(place)) folds.set(props.id, true)
  },
  { immediate: true },
)
</script>

<template>
  <section :aria-labelledby="id" :data-anchor="id" :data-fold="id" class="border-b border-line">
    <div class="relative flex min-h-14 items-center gap-3 py-2.5">
      <div class="min-w-0 grow">
        <h2 :id="id" class="text-xl leading-tight font-bold">
          <button
            type="button"
            class="text-left after:absolute after:inset-0"
            :aria-expanded="isOpen"
            :aria-describedby="answer ? `${id}-answer` : undefined"
            @click="folds.set(id, !isOpen)"
          >
            {{ title }}
          </button>
        </h2>
        <p
          v-if="answer"
          :id="`${id}-answer`"
          class="mt-0.5 leading-snug wrap-anywhere"
          :class="isBreach ? 'font-semibold text-oxide' : 'text-soft'"
          :data-testid="`answer-${id}`"
        >
          {{ answer }}
        </p>
      </div>
      <ChevronDown
        :size="24"
        class="flex-none transition-transform"
        :class="isOpen ? 'rotate-180' : ''"
        aria-hidden="true"
      />
    </div>
    <div v-if="wasOpen" v-show="isOpen" class="pt-1 pb-6">
      <slot />
    </div>
  </section>
</template>
