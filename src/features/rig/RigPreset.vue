<script setup lang="ts">
import { computed, ref } from 'vue'
import { addRig } from '@/actions/rig'
import type { Rig, Stay } from '@/core/domain'
import { newId } from '@/data/newId'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { PLUMBING_IDS, layoutRig, toiletsFor, type PlumbingId, type ToiletId } from '@/document/starters'
import ChoiceField from '@/parts/fields/ChoiceField.vue'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'

const props = defineProps<{ rig: Rig; stay: Stay }>()
const workspace = useWorkspaceStore()
const plumbing = ref<PlumbingId>('one-gray')
const wanted = ref<ToiletId>('black')
/** Not every toilet fits every plumbing; the first that does stands in. */
const toilet = computed(() => {
  const fitting = toiletsFor(plumbing.value)
  return fitting.includes(wanted.value) ? wanted.value : fitting[0]!
})

/** As large as the present rig's tanks. */
function litresOf(kind: 'fresh' | 'gray' | 'black', otherwise: number): number {
  const total = props.rig.containers.reduce(
    (sum, container) => (container.kind === kind ? sum + container.capacity.value : sum),
    0,
  )
  return total > 0 ? total : otherwise
}

function add() {
  const stay = props.stay.id
  const litres = { fresh: litresOf('fresh', 100), gray: litresOf('gray', 80), black: litresOf('black', 60) }
  const name = t.map.presetName(t.map.plumbings[plumbing.value], t.map.toilets[toilet.value])
  const made = layoutRig(plumbing.value, toilet.value, litres, name, t.starterNames.layout, newId)
  workspace.act(addRig(stay, { ...made, gear: [...props.rig.gear] }))
}
</script>

<template>
  <div>
    <p class="text-soft">{{ t.map.presetHint }}</p>
    <div class="mt-3 grid items-end gap-x-4 gap-y-3 sm:grid-cols-[minmax(0,1fr)_minmax(0,1fr)_auto]">
      <ChoiceField
        :label="t.map.plumbing"
        :value="plumbing"
        :options="PLUMBING_IDS.map((value) => ({ value, label: t.map.plumbings[value] }))"
        @choose="plumbing = $event as PlumbingId"
      />
      <ChoiceField
        :label="t.map.toilet"
        :value="toilet"
        :options="toiletsFor(plumbing).map((value) => ({ value, label: t.map.toilets[value] }))"
        @choose="wanted = $event as ToiletId"
      />
      <AppButton class="justify-self-start" @click="add">{{ t.map.addPreset }}</AppButton>
    </div>
  </div>
</template>
