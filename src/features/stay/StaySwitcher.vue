<script setup lang="ts">
import { Plus } from '@lucide/vue'
import { useRouter } from 'vue-router'
import { copyStay, removeStay, showStay } from '@/actions/stay'
import type { Stay } from '@/core/domain'
import { useLogStore } from '@/data/logStore'
import { newId } from '@/data/newId'
import { useNoticeStore } from '@/data/noticeStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import EntitySwitcher from '@/parts/EntitySwitcher.vue'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'

const props = defineProps<{ stay: Stay }>()
const workspace = useWorkspaceStore()
const router = useRouter()
const log = useLogStore()
const notices = useNoticeStore()

const choose = (id: string) => workspace.act(showStay(id))
function copy() {
  const { id, name } = props.stay
  workspace.act(copyStay(id, newId('stay'), t.switcher.copyName(name)))
}
function remove() {
  const { id, name } = props.stay
  const entries = log.entries.length
  workspace.act(removeStay(id))
  if (entries > 0) notices.say({ kind: 'log-went', stay: name, entries })
}
</script>

<template>
  <EntitySwitcher
    :label="t.switcher.stay"
    :current="stay.id"
    :entries="workspace.document.stays"
    :held="null"
    @choose="choose"
    @copy="copy"
    @remove="remove"
  >
    <AppButton
      kind="quiet"
      :aria-label="t.switcher.newStay"
      :title="t.switcher.newStay"
      @click="router.push('/start')"
    >
      <Plus :size="22" aria-hidden="true" />
    </AppButton>
  </EntitySwitcher>
</template>
