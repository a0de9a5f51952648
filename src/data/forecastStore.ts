import { defineStore } from 'pinia'
import { computed } from 'vue'
import { count } from '@/core/count'
import { compile } from '@/core/model'
import { daysBought } from '@/core/habits'
import { useWorkspaceStore } from './workspaceStore'

/** The count of the current stay; moves with every edit. */
export const useForecastStore = defineStore('forecast', () => {
  const workspace = useWorkspaceStore()
  const stay = computed(() => {
    const { stays, currentStay } = workspace.document
    return stays.find(({ id }) => id === currentStay) ?? null
  })
  const rig = computed(() => workspace.document.rigs.find(({ id }) => id === stay.value?.rig) ?? null)
  const crew = computed(() => workspace.document.crews.find(({ id }) => id === stay.value?.crew) ?? null)
  const model = computed(() => (stay.value ? compile(workspace.document, stay.value.id) : null))
  const result = computed(() => (model.value ? count(model.value) : null))
  const bought = computed(() => (stay.value ? daysBought(workspace.document, stay.value.id) : []))
  return { stay, rig, crew, model, result, bought }
})
