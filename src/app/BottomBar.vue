<script setup lang="ts">
import { NAVIGATION } from './navigation'
import * as t from '@/texts/t'
</script>

<template>
  <nav
    class="fixed inset-x-0 bottom-0 z-40 flex border-t-2 border-ink bg-card pb-[env(safe-area-inset-bottom)] lg:hidden"
    :aria-label="t.app.name"
  >
    <RouterLink
      v-for="item in NAVIGATION"
      :key="item.to"
      :to="item.to"
      :class="[
        'flex min-h-15 flex-1 flex-col items-center justify-center gap-0.5 border-t-4',
        'border-transparent text-[0.9rem] font-semibold text-soft',
      ]"
      exact-active-class="!border-ink !text-ink"
    >
      <component :is="item.icon" :size="22" aria-hidden="true" />{{ t.app.nav[item.screen] }}
    </RouterLink>
  </nav>
</template>
