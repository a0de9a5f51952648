<script setup lang="ts">
import { ref } from 'vue'
import type { useBoard } from './useBoard'
import { setAbsence } from '@/actions/people'
import { PARTS, PARTS_PER_DAY, type Part } from '@/core/calendar'
import { isAwayOn } from '@/core/domain'
import { useWorkspaceStore } from '@/data/workspaceStore'
import * as t from '@/texts/t'
import { useGridKeys } from '@/ui/useGridKeys'

const props = defineProps<{ board: NonNullable<ReturnType<typeof useBoard>['value']> }>()
const workspace = useWorkspaceStore()
const element = ref<HTMLElement | null>(null)
const { onKeydown, onFocusin, tabindex, startAt } = useGridKeys(() => element.value)
startAt(0, props.board.firstPart)

/** Whether somebody is away in a part: absent, or a guest on another day. */
const isAway = (person: string, day: number, part: Part) => {
  const { stay } = props.board
  if (isGuestGone(person, day)) return true
  return stay.absences.some((one) => one.person === person && one.part === part && isAwayOn(one, stay, day))
}
const isGuestGone = (person: string, day: number) => {
  const guest = props.board.stay.guests.find((one) => one.person === person)
  return guest !== undefined && (day < guest.days[0] || day > guest.days[1])
}

function toggle(person: string, day: number, part: Part) {
  workspace.act(setAbsence(props.board.stay.id, person, day, part, !isAway(person, day, part)))
}
</script>

<template>
  <div ref="element" role="group" :aria-label="t.board.people" @keydown="onKeydown" @focusin="onFocusin">
    <div v-for="(person, r) in board.crew.persons" :key="person.id" class="flex items-center">
      <span class="board-label content-center self-stretch leading-tight wrap-anywhere">{{
        person.name
      }}</span>
      <span v-for="day in board.days" :key="day.day" class="flex w-(--day) pr-[3px]">
        <button
          v-for="(part, p) in PARTS"
          :key="part"
          type="button"
          role="checkbox"
          class="grid h-9 flex-1 place-items-center disabled:opacity-20 max-lg:h-11"
          :disabled="(day.day === 0 && p < board.firstPart) || isGuestGone(person.id, day.day)"
          :data-row="r"
          :data-col="day.day * PARTS_PER_DAY + p"
          :tabindex="tabindex(r, day.day * PARTS_PER_DAY + p)"
          :aria-checked="!isAway(person.id, day.day, part)"
          :aria-label="t.board.presence(person.name, day.label, t.parts[part])"
          :title="t.board.presence(person.name, day.label, t.parts[part])"
          @click="toggle(person.id, day.day, part)"
        >
          <span
            class="block w-1.5 rounded-full"
            :class="isAway(person.id, day.day, part) ? 'h-1.5 bg-(--faint)' : 'h-6 bg-ink'"
          />
        </button>
      </span>
    </div>
  </div>
</template>
