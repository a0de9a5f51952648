import { leaveAfterNights, nightsBetween } from '@/core/calendar'
import { startOf, type Reading } from '@/core/domain'
import type { ModelContainer } from '@/core/compile'
import type { Document, Id } from '@/core/domain'
import { owned } from '@/core/quantities'
import { stayOf } from './find'

/** Recipes on a draft: a stay's times, levels and weather. */

export function setLevel(draft: Document, stayId: Id, containerId: Id, litres: number): void {
  const entry = stayOf(draft, stayId).levels.find(({ container }) => container === containerId)
  if (entry) entry.level = owned(litres)
}

/**
 * Sets what was read of the tanks that the count takes as one; a panel's step and a share are each tank's own. Amounts are
 * parted by size.
 */
export function setReading(draft: Document, stayId: Id, members: readonly Id[], reading: Reading): void {
  const stay = stayOf(draft, stayId)
  const rig = draft.rigs.find(({ id }) => id === stay.rig)!
  const tanks = rig.containers.filter(({ id }) => members.includes(id))
  const total = tanks.reduce((sum, { capacity }) => sum + capacity.value, 0)
  for (const tank of tanks) {
    const share = tank.capacity.value / total
    const entry = stay.levels.find(({ container }) => container === tank.id)!
    Object.assign(entry, startOf(partOf(reading, share), tank))
  }
}

function partOf(reading: Reading, share: number): Reading {
  if (reading.method === 'panel') return reading
  const level = reading.level * share
  if (reading.method === 'known') return { method: 'known', level }
  if (reading.method === 'about') return { method: 'about', level, within: reading.within * share }
  return { method: 'measured', level, deviation: reading.deviation * share }
}

/**
 * Sets the level of what the count takes as one: tanks that stand open to each other share it by their size, and a
 * heater that counts keeps its own.
 */
export function setModelLevel(
  draft: Document,
  stayId: Id,
  { members }: Pick<ModelContainer, 'members'>,
  amount: number,
): void {
  const rig = draft.rigs.find(({ id }) => id === stayOf(draft, stayId).rig)!
  const { heater } = rig
  const heated = heater?.counted && members.includes(heater.supply) ? heater.volume.value : 0
  const tanks = rig.containers.filter(({ id }) => members.includes(id))
  const total = tanks.reduce((sum, { capacity }) => sum + capacity.value, 0)
  for (const { id, capacity } of tanks)
    setLevel(draft, stayId, id, (Math.max(0, amount - heated) * capacity.value) / total)
}

/** Moves the start and keeps the number of nights. */
export function setStart(draft: Document, stayId: Id, start: string): void {
  const stay = stayOf(draft, stayId)
  const nights = nightsBetween(stay.start, stay.leaveAt)
  stay.leaveAt = leaveAfterNights(start, stay.leaveAt, nights)
  stay.start = start
}

export function setNights(draft: Document, stayId: Id, nights: number): void {
  const stay = stayOf(draft, stayId)
  stay.leaveAt = leaveAfterNights(stay.start, stay.leaveAt, nights)
}

/** The warmest of one day, °C; a day like the usual one is not kept apart. */
export function setWarmest(draft: Document, stayId: Id, day: number, celsius: number): void {
  const { weather } = stayOf(draft, stayId)
  weather.days = weather.days.filter((entry) => entry.day !== day)
  if (celsius !== weather.usual.value) weather.days.push({ day, warmest: owned(celsius) })
}
