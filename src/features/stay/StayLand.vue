<script setup lang="ts">
import { setRule, setRuleLitres, setRuleSource } from '@/actions/stay'
import { LAND_RULES, type LandRule, type Stay } from '@/core/domain'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { LIMITS } from '@/document'
import QuantityField from '@/parts/fields/QuantityField.vue'
import TextField from '@/parts/fields/TextField.vue'
import { useLandUse } from '@/parts/habits/useLandUse'
import { useClockStore } from '@/data/clockStore'
import { useAmounts } from '@/parts/useAmounts'
import { formatDate } from '@/texts'
import * as t from '@/texts/t'

const props = defineProps<{ stay: Stay }>()
const clock = useClockStore()
const workspace = useWorkspaceStore()
const CHOICES = [
  { allowed: null, words: t.land.unknown },
  { allowed: true, words: t.land.yes },
  { allowed: false, words: t.land.no },
]
const { uses, over } = useLandUse()
const { volume } = useAmounts()
const useOf = (rule: LandRule) => uses.value.find((use) => use.rule === rule) ?? null
const isOver = (rule: LandRule) => over.value.some((use) => use.rule === rule)
const recorded = (rule: LandRule) => props.stay.rules.find((entry) => entry.rule === rule)
const isAllowed = (rule: LandRule) => recorded(rule)?.allowed ?? null

function choose(rule: LandRule, allowed: boolean | null) {
  const source = recorded(rule)?.source ?? ''
  workspace.act(setRule(props.stay.id, rule, allowed, source, clock.now.slice(0, 10)))
}
function setSource(rule: LandRule, source: string) {
  const { allowed } = recorded(rule)!
  return workspace.act(setRuleSource(props.stay.id, rule, allowed, source, clock.now.slice(0, 10)))
}
/** Rules that may say how much of it; 0 stands for no limit given. */
const ON_GROUND: readonly LandRule[] = ['washing-water', 'tank-gray', 'urine']
function setLitres(rule: LandRule, litres: number) {
  return workspace.act(setRuleLitres(props.stay.id, rule, litres))
}
</script>

<template>
  <div>
    <p class="text-soft">{{ t.land.hint }} {{ t.cautions['land-rules'] }}</p>
    <ul class="mt-2">
      <li
        v-for="rule in LAND_RULES"
        :key="rule"
        class="grid items-center gap-x-6 gap-y-2 border-t border-line py-2 lg:grid-cols-[minmax(0,4fr)_minmax(0,5fr)_minmax(0,5fr)]"
        :data-testid="`rule-${rule}`"
      >
        <p :id="`rule-${rule}`" class="leading-tight font-bold">{{ t.landRules[rule] }}</p>
        <div role="radiogroup" :aria-labelledby="`rule-${rule}`" class="flex flex-wrap gap-2">
          <button
            v-for="choice in CHOICES"
            :key="choice.words"
            type="button"
            role="radio"
            :aria-checked="isAllowed(rule) === choice.allowed"
            class="min-h-11 border-2 px-3"
            :class="
              isAllowed(rule) === choice.allowed
                ? 'border-ink bg-ink font-semibold text-paper'
                : 'border-line'
            "
            @click="choose(rule, choice.allowed)"
          >
            {{ choice.words }}
          </button>
        </div>
        <div v-if="recorded(rule)" class="flex flex-wrap items-end gap-x-4">
          <TextField
            class="grow basis-48"
            :label="t.land.source"
            :value="recorded(rule)!.source"
            :save="(source) => setSource(rule, source)"
          />
          <QuantityField
            v-if="isAllowed(rule) && ON_GROUND.includes(rule)"
            class="w-36"
            :label="t.land.litres"
            :value="recorded(rule)!.litres ?? 0"
            dimension="volume"
            :min="0"
            :max="LIMITS.volumeL.max"
            :save="(litres) => setLitres(rule, litres)"
          />
          <p
            v-if="useOf(rule)"
            class="w-full py-1 text-[0.95rem]"
            :class="isOver(rule) ? 'font-bold text-oxide' : 'text-soft'"
            :data-testid="`land-use-${rule}`"
          >
            {{
              isOver(rule)
                ? t.habits.overLand(volume(useOf(rule)!.most), volume(useOf(rule)!.allowed))
                : t.land.used(volume(useOf(rule)!.most))
            }}
          </p>
          <span class="pb-2.5 text-[0.95rem] text-soft">{{
            t.land.on(formatDate(`${recorded(rule)!.date}T12:00`))
          }}</span>
        </div>
      </li>
    </ul>
  </div>
</template>
