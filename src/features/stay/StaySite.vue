<script setup lang="ts">
import { setSite, typeSite } from '@/actions/stay'
import { SITE_SEWER, SITE_WATER, type Site, type Stay } from '@/core/domain'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { LIMITS } from '@/document'
import ChoiceField from '@/parts/fields/ChoiceField.vue'
import QuantityField from '@/parts/fields/QuantityField.vue'
import TextField from '@/parts/fields/TextField.vue'
import * as t from '@/texts/t'
import AppSwitch from '@/ui/AppSwitch.vue'

/** What there is at the site, and its rules for those who stay. */
const props = defineProps<{ stay: Stay }>()
const workspace = useWorkspaceStore()
function set(next: Partial<Site>, what: string | null = null) {
  const { id } = props.stay
  return workspace.act(what === null ? setSite(id, next) : typeSite(id, next))
}
const QUIET = { from: '22:00', until: '07:00' }
</script>

<template>
  <div>
    <div class="grid grid-cols-2 items-start gap-4 sm:grid-cols-4">
      <ChoiceField
        :label="t.site.water"
        :value="stay.site.water"
        :options="SITE_WATER.map((value) => ({ value, label: t.site.waters[value] }))"
        @choose="set({ water: $event as Site['water'] })"
      />
      <ChoiceField
        :label="t.site.sewer"
        :value="stay.site.sewer"
        :options="SITE_SEWER.map((value) => ({ value, label: t.site.sewers[value] }))"
        @choose="set({ sewer: $event as Site['sewer'] })"
      />
      <QuantityField
        :label="t.site.hookupNights"
        :value="stay.site.hookupNights"
        dimension="number"
        :min="0"
        :max="LIMITS.day.max"
        :save="(nights) => set({ hookupNights: Math.round(nights) }, 'hookup')"
      />
      <QuantityField
        :label="t.site.stayLimit"
        :value="stay.site.stayLimit ?? 0"
        dimension="number"
        :min="0"
        :max="LIMITS.day.max"
        :save="(nights) => set({ stayLimit: Math.round(nights) || null }, 'limit')"
      />
    </div>
    <div class="mt-3 flex flex-wrap items-end gap-x-6 gap-y-2">
      <label class="-ml-2 flex items-center gap-1">
        <AppSwitch :on="stay.site.toilets" :label="t.site.toilets" @change="set({ toilets: $event })" />
        <span aria-hidden="true">{{ t.site.toilets }}</span>
      </label>
      <label class="-ml-2 flex items-center gap-1">
        <AppSwitch :on="stay.site.isPrivate" :label="t.site.private" @change="set({ isPrivate: $event })" />
        <span aria-hidden="true">{{ t.site.private }}</span>
      </label>
      <label class="-ml-2 flex items-center gap-1">
        <AppSwitch
          :on="stay.site.quiet !== null"
          :label="t.site.quiet"
          @change="set({ quiet: $event ? QUIET : null })"
        />
        <span aria-hidden="true">{{ t.site.quiet }}</span>
      </label>
      <template v-if="stay.site.quiet">
        <TextField
          class="w-32"
          type="time"
          :label="t.site.quietFrom"
          :value="stay.site.quiet.from"
          :save="(from) => set({ quiet: { ...stay.site.quiet!, from } }, 'quiet')"
        />
        <TextField
          class="w-32"
          type="time"
          :label="t.site.quietUntil"
          :value="stay.site.quiet.until"
          :save="(until) => set({ quiet: { ...stay.site.quiet!, until } }, 'quiet')"
        />
      </template>
    </div>
    <p class="mt-3 text-soft">{{ t.site.tapHint }} {{ t.site.town }}</p>
  </div>
</template>
