<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { useUnderWayStore } from '@/data/underWayStore'
import { useLogging } from '@/parts/log/useLogging'
import * as t from '@/texts/t'
import AppDialog from '@/ui/AppDialog.vue'
import { keysEverywhere, keysOf } from './keysOf'

/** The keys of the screen that is shown, and those of every screen. */
defineProps<{ open: boolean }>()
defineEmits<{ close: [] }>()
const route = useRoute()
const underWay = useUnderWayStore()
const { keys } = useLogging()
const here = computed(() => keysOf(String(route.name), underWay.phase === 'under-way' ? keys.value : []))
const screen = computed(() => t.app.nav[String(route.name) as keyof typeof t.app.nav] ?? t.app.name)
const lists = computed(() => [
  { title: t.search.keysHere(screen.value), keys: here.value },
  { title: t.search.keysEverywhere, keys: keysEverywhere() },
])
</script>

<template>
  <AppDialog :open="open" :title="t.search.keysTitle" :close-label="t.search.close" @close="$emit('close')">
    <section v-for="list in lists" :key="list.title" class="mt-4">
      <h3 class="text-[0.95rem] font-semibold text-soft">{{ list.title }}</h3>
      <p v-if="list.keys.length === 0">{{ t.search.keysNone }}</p>
      <dl data-testid="keys-list">
        <div
          v-for="line in list.keys"
          :key="line.keys + line.does"
          class="grid grid-cols-[8rem_minmax(0,1fr)] items-baseline gap-3 border-b border-line py-1.5"
        >
          <dt>
            <kbd class="figure text-lg font-bold">{{ line.keys }}</kbd>
          </dt>
          <dd>{{ line.does }}</dd>
        </div>
      </dl>
    </section>
  </AppDialog>
</template>
