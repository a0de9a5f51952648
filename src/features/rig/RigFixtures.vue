<script setup lang="ts">
import { Trash2 } from '@lucide/vue'
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { addFixture, changeFixture, removeFixture, setRole } from '@/actions/rig'
import { ROLES, TAKES, fillOf, type Fixture, type Rig, type Role, type Takes } from '@/core/domain'
import { owned } from '@/core/quantities'
import { newId } from '@/data/newId'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { LIMITS } from '@/document'
import ChoiceField from '@/parts/fields/ChoiceField.vue'
import QuantityField from '@/parts/fields/QuantityField.vue'
import TextField from '@/parts/fields/TextField.vue'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'

const props = defineProps<{ rig: Rig }>()
const workspace = useWorkspaceStore()
const route = useRoute()

const options = (side: 'supply' | 'waste') =>
  props.rig.containers
    .filter(({ kind }) => fillOf(kind) === side)
    .map(({ id, name }) => ({ value: id, label: name }))
const supplies = computed(() => [...options('supply'), { value: '', label: t.rig.broughtIn }])
const isBin = (id: string) => props.rig.containers.find((container) => container.id === id)?.kind === 'solids'
const wastes = computed(() => options('waste').filter(({ value }) => !isBin(value)))
const seconds = computed(() => {
  const kinds: readonly string[] = ['solids', 'cassette', 'black']
  const taking = props.rig.containers.filter(({ kind }) => kinds.includes(kind))
  return [{ value: '', label: t.map.together }, ...taking.map(({ id, name }) => ({ value: id, label: name }))]
})
const takes = TAKES.map((value) => ({ value, label: t.takes[value] }))

const change = (fixture: Fixture, patch: Parameters<typeof changeFixture>[2]) =>
  workspace.act(changeFixture(props.rig.id, fixture.id, patch))

const serves = (fixture: Fixture, role: Role) =>
  props.rig.roles.some((entry) => entry.role === role && entry.fixture === fixture.id)

function toggleRole(fixture: Fixture, role: Role) {
  workspace.act(setRole(props.rig.id, fixture.id, role, !serves(fixture, role)))
}

function add() {
  workspace.act(addFixture(props.rig.id, newId('fixture'), t.rig.fixture, 'kitchen'))
}

function remove(id: string) {
  workspace.act(removeFixture(props.rig.id, id))
}
</script>

<template>
  <details class="mt-2" data-anchor="fixtures" :open="route.query.show === 'fixtures'">
    <summary class="min-h-11 cursor-pointer py-2.5 font-semibold">{{ t.map.table }}</summary>
    <ul class="mt-2">
      <li
        v-for="fixture in rig.fixtures"
        :key="fixture.id"
        :class="[
          'grid grid-cols-2 items-start gap-x-4 gap-y-3 border-t border-line py-4',
          'lg:grid-cols-[minmax(0,4fr)_minmax(0,3fr)_minmax(0,3fr)_minmax(0,8fr)_3rem]',
        ]"
        :data-testid="`fixture-${fixture.id}`"
      >
        <TextField
          class="col-span-2 lg:col-span-1"
          :label="t.rig.fixture"
          :value="fixture.name"
          :save="(name) => change(fixture, { name })"
        />
        <ChoiceField
          :label="t.rig.draws"
          :value="fixture.draws ?? ''"
          :options="supplies"
          @choose="change(fixture, { draws: $event === '' ? null : $event })"
        />
        <ChoiceField
          :label="t.rig.drains"
          :value="fixture.drains"
          :options="wastes"
          @choose="change(fixture, { drains: $event })"
        />
        <template v-if="serves(fixture, 'toilet')">
          <ChoiceField
            class="lg:order-last lg:col-start-2"
            :label="t.map.second"
            :value="fixture.solids ?? ''"
            :options="seconds"
            @choose="change(fixture, { solids: $event === '' ? null : $event })"
          />
          <ChoiceField
            class="lg:order-last"
            :label="t.map.takes"
            :value="fixture.takes"
            :options="takes"
            @choose="change(fixture, { takes: $event as Takes })"
          />
        </template>
        <QuantityField
          class="lg:order-last lg:max-w-40"
          :class="serves(fixture, 'toilet') ? '' : 'lg:col-start-2'"
          :label="t.map.water"
          :value="fixture.waterFactor.value"
          dimension="percent"
          :min="0"
          :max="LIMITS.factor.max"
          :save="(share) => change(fixture, { waterFactor: owned(share) })"
        />
        <fieldset class="col-span-2 lg:col-span-1">
          <legend class="mb-1 text-[0.92rem] font-semibold text-soft">{{ t.rig.serves }}</legend>
          <div class="flex flex-wrap gap-2">
            <button
              v-for="role in ROLES"
              :key="role"
              type="button"
              role="checkbox"
              :aria-checked="serves(fixture, role)"
              class="min-h-11 border-2 px-3 text-[0.95rem]"
              :class="serves(fixture, role) ? 'border-ink bg-ink font-semibold text-paper' : 'border-line'"
              @click="toggleRole(fixture, role)"
            >
              {{ t.roles[role] }}
            </button>
          </div>
        </fieldset>
        <AppButton
          kind="quiet"
          class="col-span-2 justify-self-end self-end lg:col-span-1"
          :aria-label="t.rig.remove(fixture.name)"
          @click="remove(fixture.id)"
        >
          <Trash2 :size="20" aria-hidden="true" />
        </AppButton>
      </li>
    </ul>
    <div class="border-t border-line pt-4">
      <AppButton @click="add">{{ t.rig.addFixture }}</AppButton>
    </div>
  </details>
</template>
