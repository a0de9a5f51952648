<script setup lang="ts">
import { computed } from 'vue'
import type { Stay } from '@/core/model'
import { newId } from '@/data/newId'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { copyRig, removeRig, useRig } from '@/document/edits'
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
  const stay = props.stay.id
  workspace.edit('rig', (draft) => useRig(draft, stay, id))
}
function copy() {
  const stay = props.stay.id
  const id = newId('rig')
  const { name } = rig.value
  workspace.edit('copy', (draft) => copyRig(draft, stay, id, t.switcher.copyName(name)))
}
/** The stay takes another rig, then this one goes. */
function remove() {
  const [stay, id, next] = [props.stay.id, rig.value.id, others.value[0]!.id]
  workspace.edit('remove', (draft) => {
    useRig(draft, stay, next)
    removeRig(draft, id)
  })
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
