import { kgPerUnit, sparesOf, WATER_KG_PER_L, type Container } from '../domain'
import type { Amount, Kilograms, Litres } from '../quantities'
import type { CardCase } from './cardCase'

/** What one of several alike holds: as full as it may be, or all there is. */
export function contentOfOne(card: CardCase, container: Container): Amount {
  const { likely } = card.contents.get(container.id) ?? { likely: 0 }
  if (!('safeFill' in container)) return likely
  const each = container.safeFill.value * container.capacity.value
  return sparesOf(container) > 0 ? Math.min(each, likely) : likely
}

/** kg of one of them with its shell, as it is carried. */
export function carriedKg(card: CardCase, container: Container): Kilograms {
  const shell = 'shell' in container ? container.shell.value : 0
  return shell + contentOfOne(card, container) * kgPerUnit(container)
}

/** L of a rinse that a vessel may hold so that somebody can lift it, at most its safe fill. */
export function liftedRinse(card: CardCase, container: Container): Litres {
  if (!('shell' in container)) return 0
  const byLift = (card.stayCase.crew.liftLimit.value - container.shell.value) / WATER_KG_PER_L
  const safe =
    'safeFill' in container ? container.safeFill.value * container.capacity.value : container.capacity.value
  return Math.max(0, Math.min(byLift, safe))
}

/** L of fresh that are drained before a drive: what the errand drains, else by the crew's side down to the road's reserve. */
export function freshDrain(card: CardCase, tank: Container | null): Litres {
  if (tank?.kind !== 'fresh') return 0
  const drained = card.steps.find(({ step }) => step.do === 'empty' && step.from === tank.id)
  if (drained) return drained.moved
  return 0
}

/** kg of water and waste aboard once the errand is done. */
export function aboardKg(card: CardCase): Kilograms {
  return card.model.containers.reduce((sum, { kgPer, members }, c) => {
    const before = members.reduce((all, id) => all + (card.contents.get(id)?.likely ?? 0), 0)
    return sum + kgPer * Math.max(0, before + changeOf(card, c))
  }, 0)
}

/** What the errand adds to a container of the model. */
export function changeOf({ steps, model }: CardCase, c: number): Amount {
  const { members } = model.containers[c]!
  return steps.reduce((sum, { step, from, to }) => {
    const out = step.from !== null && members.includes(step.from) && from ? from.after - from.before : 0
    const into = step.to !== null && members.includes(step.to) && to ? to.after - to.before : 0
    return sum + out + into
  }, 0)
}
