import { pointWithWater, type Document, type Id, type OwnCard, type Product } from '@/core/domain'
import { owned } from '@/core/quantities'
import { containerOf, crewOf, rigOf, stayOf } from './find'
import { setCapacity } from './rigEdits'

/** Recipes on a draft: cards that the owner made, what tanks are treated with, and what was measured with a bucket or a meter. */

/** A card is changed, or added. */
export function putCard(draft: Document, rigId: Id, card: OwnCard): void {
  put(rigOf(draft, rigId).cards, structuredClone(card))
}

export function removeCard(draft: Document, rigId: Id, cardId: Id): void {
  const rig = rigOf(draft, rigId)
  rig.cards = rig.cards.filter(({ id }) => id !== cardId)
}

/** A product is changed, or added. */
export function putProduct(draft: Document, crewId: Id, product: Product): void {
  put(crewOf(draft, crewId).products, structuredClone(product))
}

export function removeProduct(draft: Document, crewId: Id, productId: Id): void {
  const crew = crewOf(draft, crewId)
  crew.products = crew.products.filter(({ id }) => id !== productId)
}

/** L a minute of a place's tap by a bucket test; where no place is named, of the crew's hose. */
export function setFlow(draft: Document, stayId: Id, placeId: Id | null, litresPerMinute: number): void {
  const stay = stayOf(draft, stayId)
  const place = stay.places.find(({ id }) => id === placeId)
  if (place) pointWithWater(place).flow = owned(litresPerMinute)
  else crewOf(draft, stay.crew).schools.hoseFlow = owned(litresPerMinute)
}

/** What a tank holds by a meter: it is not unsure of it any more. */
export function setMetered(draft: Document, rigId: Id, containerId: Id, litres: number): void {
  setCapacity(draft, rigId, containerId, litres)
  const container = containerOf(rigOf(draft, rigId), containerId)
  if ('spread' in container) container.spread = owned(0)
}

function put<T extends { id: Id }>(list: T[], one: T): void {
  const at = list.findIndex(({ id }) => id === one.id)
  list.splice(at < 0 ? list.length : at, at < 0 ? 0 : 1, one)
}
