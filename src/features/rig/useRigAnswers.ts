import { computed } from 'vue'
import { unitOf, type Container, type Rig, type StayCase } from '@/core/domain'
import { aboardKg } from '@/core/rig'
import { useForecastStore } from '@/data/forecastStore'
import { useAmounts } from '@/parts/useAmounts'
import { listed } from '@/texts'
import * as t from '@/texts/t'

/** What each section of the screen says while it is closed. */
export function useRigAnswers() {
  const forecast = useForecastStore()
  const { level, mass } = useAmounts()

  const tank = (container: Container) =>
    `${container.name} ${level(container.capacity.value, unitOf(container.kind))}`
  const nameOf = ({ containers }: Rig, id: string) => containers.find((one) => one.id === id)?.name ?? id
  /** Where each drain leads, those to one tank together. */
  function map(rig: Rig): string {
    const byTank = new Map<string, string[]>()
    for (const { name, drains } of rig.fixtures) byTank.set(drains, [...(byTank.get(drains) ?? []), name])
    return [...byTank].map(([id, names]) => t.map.into(listed(names), nameOf(rig, id))).join('; ')
  }
  function outlets(rig: Rig): string {
    if (rig.outlets.length === 0) return t.outlets.noneYet
    return rig.outlets
      .map(({ containers, endValve }) =>
        t.outlets.short(containers.map((id) => nameOf(rig, id)).join(' + '), endValve),
      )
      .join('; ')
  }
  /** What the water aboard may weigh, kg; null: no limit is known. */
  const roomOf = ({ payload }: Rig) => (payload ? payload.limit.value - payload.other.value : null)
  const aboard = computed(() => {
    const { model, result } = forecast
    return model && result ? aboardKg(model, result.ledger, -1) : null
  })
  function weight(rig: Rig): string {
    const [now, room] = [aboard.value, roomOf(rig)]
    if (now === null) return ''
    const when = weightWhen(forecast.stayCase)
    if (room === null) return t.weight.noLimit(mass(now), when)
    return now > room
      ? t.weight.shortOver(mass(now), when, mass(Math.ceil(now - room)))
      : t.weight.shortRoom(mass(now), when, mass(room))
  }
  const gear = (rig: Rig) =>
    rig.gear.length === 0 ? t.gear.noneYet : listed(rig.gear.map((item) => t.gearNames[item]))

  return computed(() => {
    const { rig } = forecast
    if (!rig) return {}
    return {
      tanks: listed(rig.containers.map(tank)),
      map: map(rig),
      outlets: outlets(rig),
      weight: weight(rig),
      isTooHeavy: (aboard.value ?? 0) > (roomOf(rig) ?? Infinity),
      gear: gear(rig),
    }
  })
}

/** What a weight at the beginning of the count is the weight of. */
export const weightWhen = (stayCase: StayCase | null) => (stayCase?.now ? t.weight.atNow : t.weight.atStart)
