<script setup lang="ts">
import CrewSwitcher from './CrewSwitcher.vue'
import RigSwitcher from './RigSwitcher.vue'
import StaySwitcher from './StaySwitcher.vue'
import type { Stay } from '@/core/domain'

/** The one place where stay, crew and rig are switched, copied and removed. */
defineProps<{ stay: Stay }>()
</script>

<template>
  <div class="grid gap-x-8 gap-y-4 lg:grid-cols-3">
    <StaySwitcher :stay="stay" />
    <CrewSwitcher :stay="stay" />
    <RigSwitcher :stay="stay" />
  </div>
</template>
