import { computed, onBeforeUnmount, ref, watch, type Ref } from 'vue'

/**
 * A long list put on the screen a few rows a frame, so that no frame waits for all of them. What is there stays; only rows
 * that were not there yet come bit by bit.
 * @param all every row @param few rows of the first frame, and of each that follows
 */
export function useGrowing<T>(all: Ref<readonly T[]>, few: number) {
  const most = ref(few)
  const isWhole = computed(() => most.value >= all.value.length)
  let frame = 0
  function grow(): void {
    most.value += few
    if (!isWhole.value) frame = requestAnimationFrame(grow)
  }
  watch(
    isWhole,
    (whole) => {
      cancelAnimationFrame(frame)
      if (!whole) frame = requestAnimationFrame(grow)
    },
    { immediate: true },
  )
  onBeforeUnmount(() => cancelAnimationFrame(frame))
  return { shown: computed(() => all.value.slice(0, most.value)), isWhole }
}
