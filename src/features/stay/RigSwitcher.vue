<script setup lang="ts">
import { computed } from 'vue'
import { copyRig, swapRig, takeRig } from '@/actions/rig'
import type { Stay } from '@/core/domain'
import { newId } from '@/data/newId'
import { useWorkspaceStore } from '@/data/workspaceStore'
import EntitySwitcher from '@/parts/EntitySwitcher.vue'
import * as t from '@/texts/t'

const props = defineProps<{ stay: Stay }>()
const workspace = useWorkspaceStore()
const rig = computed(() => workspace.document.rigs.find(({ id }) => id === props.stay.rig)!)
const others = computed(() => workspace.document.rigs.filter(({ id }) => id !== rig.value.id))
const usedElsewhere = computed(() =>
  workspace.document.stays.some((stay) => stay.id !== props.stay.id && stay.rig === rig.value.id),
)

function choose(id: string) {
  workspace.act(takeRig(props.stay.id, id))
}
function copy() {
  workspace.act(copyRig(props.stay.id, newId('rig'), t.switcher.copyName(rig.value.name)))
}
/** The stay takes another rig, then this one goes. */
function remove() {
  workspace.act(swapRig(props.stay.id, rig.value.id, others.value[0]!.id))
}
</script>

<template>
  <EntitySwitcher
    :label="t.switcher.rig"
    :current="rig.id"
    :entries="workspace.document.rigs"
    :held="others.length === 0 || usedElsewhere ? t.switcher.inUse : null"
    @choose="choose"
    @copy="copy"
    @remove="remove"
  />
</template>
