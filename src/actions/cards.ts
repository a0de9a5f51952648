import * as edits from '@/document/edits'
import { action } from './action'

export const putCard = action('card', edits.putCard)
export const renameCard = action('card', edits.putCard, (_rig, { id }) => `card name ${id}`)
export const removeCard = action('remove', edits.removeCard)
/** What was measured on the way: the flow of a place's tap, and the liters of a tank. */
export const setFlow = action('card', edits.setFlow)
export const setMetered = action('rig', edits.setMetered)

export const putProduct = action('product', edits.putProduct)
/** @param what is typed of it */
export const typeProduct = action(
  'product',
  (draft, crew: string, product: Parameters<typeof edits.putProduct>[2], _what: string) =>
    edits.putProduct(draft, crew, product),
  (_crew, { id }, what) => `${what} ${id}`,
)
export const removeProduct = action('product', edits.removeProduct)
