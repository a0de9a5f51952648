<script setup lang="ts">
import { computed } from 'vue'
import { copyCrew, swapCrew, takeCrew } from '@/actions/people'
import type { Stay } from '@/core/domain'
import { newId } from '@/data/newId'
import { useWorkspaceStore } from '@/data/workspaceStore'
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
  workspace.act(takeCrew(props.stay.id, id))
}
function copy() {
  workspace.act(copyCrew(props.stay.id, newId('crew'), t.switcher.copyName(crew.value.name)))
}
/** The stay takes another crew, then this one goes. */
function remove() {
  workspace.act(swapCrew(props.stay.id, crew.value.id, others.value[0]!.id))
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
