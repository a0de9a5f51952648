<script setup lang="ts">
import { useWorkspaceStore } from '@/data/workspaceStore'
import { setRigSize } from '@/actions/rig'
import type { Rig, RigSize } from '@/core/domain'
import type { Quantity } from '@/core/quantities'
import { LIMITS } from '@/document'
import MaybeQuantity from '@/parts/fields/MaybeQuantity.vue'
import * as t from '@/texts/t'

/** How high and long it is with everything towed: a place may have a roof, or a short yard. */
const props = defineProps<{ rig: Rig }>()
const workspace = useWorkspaceStore()
const set = (what: keyof RigSize) => (metres: Quantity | null) =>
  workspace.act(setRigSize(props.rig.id, what, metres))
</script>

<template>
  <div class="mt-5">
    <h3 class="text-lg font-bold">{{ t.rigSize.title }}</h3>
    <p class="text-soft">{{ t.rigSize.hint }}</p>
    <div class="mt-2 grid max-w-md grid-cols-2 items-start gap-4">
      <MaybeQuantity
        :label="t.rigSize.height"
        :value="rig.size.height"
        dimension="length"
        :limits="LIMITS.rigHeightM"
        :first="3"
        :save="set('height')"
      />
      <MaybeQuantity
        :label="t.rigSize.length"
        :value="rig.size.length"
        dimension="length"
        :limits="LIMITS.rigLengthM"
        :first="8"
        :save="set('length')"
      />
    </div>
  </div>
</template>
