<script setup lang="ts">
import { computed } from 'vue'
import type { Stay } from '@/core/model'
import { newId } from '@/data/newId'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { copyCrew, removeCrew, useCrew } from '@/document/edits'
import EntitySwitcher from '@/parts/EntitySwitcher.vue'
import * as t from '@/texts/t'

const props = defineProps<{ stay: Stay }>()
const workspace = useWorkspaceStore()
const crew = computed(() => workspace.document.crews.find(({ id }) => id === props.stay.crew)!)
const others = computed(() => workspace.document.crews.filter(({ id }) => id !== crew.value.id))
const usedElsewhere = computed(() =>
  workspace.document.stays.some((stay) => stay.id !== props.stay.id && stay.crew === crew.value.id),
)

function choose(id: string) {
  const stay = props.stay.id
  workspace.edit('crew', (draft) => useCrew(draft, stay, id))
}
function copy() {
  const stay = props.stay.id
  const id = newId('crew')
  const { name } = crew.value
  workspace.edit('copy', (draft) => copyCrew(draft, stay, id, t.switcher.copyName(name)))
}
/** The stay takes another crew, then this one goes. */
function remove() {
  const [stay, id, next] = [props.stay.id, crew.value.id, others.value[0]!.id]
  workspace.edit('remove', (draft) => {
    useCrew(draft, stay, next)
    removeCrew(draft, id)
  })
}
</script>

<template>
  <EntitySwitcher
    :label="t.switcher.crew"
    :current="crew.id"
    :entries="workspace.document.crews"
    :held="others.length === 0 || usedElsewhere ? t.switcher.inUse : null"
    @choose="choose"
    @copy="copy"
    @remove="remove"
  />
</template>
