import { computed } from 'vue'
import { asReading, panelMarks, type Reading } from '@/core/domain'
import { sparesOf, unitOf, type Id, type Panel } from '@/core/domain'
import { useForecastStore } from '@/data/forecastStore'
import { useAmounts } from '@/parts/useAmounts'
import * as t from '@/texts/t'

/** What was read of the tanks that are counted as one, and that in words. */
export function useReading(members: () => readonly Id[]) {
  const forecast = useForecastStore()
  const { level: amount } = useAmounts()

  const tanks = computed(() => (forecast.rig?.containers ?? []).filter(({ id }) => members().includes(id)))
  const first = computed(() => tanks.value[0] ?? null)
  const unit = computed(() => (first.value ? unitOf(first.value.kind) : 'L'))
  const full = computed(() =>
    tanks.value.reduce((sum, tank) => sum + (1 + sparesOf(tank)) * tank.capacity.value, 0),
  )
  const panel = computed((): Panel => (first.value && 'panel' in first.value ? first.value.panel : null))
  /** Of tanks that are joined the amounts are those of all of them. */
  const reading = computed((): Reading | null => {
    const levels = forecast.stay?.levels.filter(({ container }) => members().includes(container)) ?? []
    if (!first.value || levels.length === 0) return null
    const one = asReading(
      levels.find(({ container }) => container === first.value!.id)!,
      first.value,
    )
    if (one.method === 'panel') return one
    const level = levels.reduce((sum, entry) => sum + entry.level.value, 0)
    const size = levels.reduce((sum, entry) => sum + entry.error.size.value, 0)
    if (one.method === 'known') return { method: 'known', level }
    return one.method === 'about'
      ? { method: 'about', level, within: size / 2 }
      : { method: 'measured', level, deviation: size }
  })
  const steps = computed(() => (panel.value ? panelMarks(panel.value) : []))
  const words = computed(() => {
    const read = reading.value
    if (!read) return ''
    if (read.method === 'known') return t.levels.words.known
    if (read.method === 'about') return t.levels.words.about(amount(read.within, unit.value))
    if (read.method === 'measured') return t.levels.words.measured(amount(read.deviation, unit.value))
    const { from, to } = steps.value[read.mark]!
    return t.levels.words.panel(amount(from * full.value, unit.value), amount(to * full.value, unit.value))
  })

  return { first, unit, full, panel, reading, steps, words, amount }
}
