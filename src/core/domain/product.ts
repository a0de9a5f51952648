import type { Quantity } from '../quantities'
import type { Id } from './ids'

export const PRODUCT_FORMS = ['liquid', 'powder', 'sachet'] as const
export type ProductForm = (typeof PRODUCT_FORMS)[number]
export const DOSED_BY = ['capacity', 'charge', 'each'] as const
export const TREATED_KINDS = ['black', 'gray', 'cassette'] as const
export type TreatedKind = (typeof TREATED_KINDS)[number]

/** What the crew puts into a waste tank after an emptying, as its label says; several for a tank go in in their order. */
export interface Product {
  id: Id
  name: string
  form: ProductForm
  for: TreatedKind[]
  /** mL of a liquid, g of a powder, or sachets. */
  dose: Quantity
  /** `capacity`: the dose is for so many litres of the tank; `charge`: of the liquid put in; `each`: for every emptying alike. */
  per: (typeof DOSED_BY)[number]
  perLitres: Quantity
  /** What there is of it, in the unit of the dose. */
  stock: Quantity
}
