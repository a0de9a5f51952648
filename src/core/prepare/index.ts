export { drinkingReserve, preparationOf } from './prepare'
export type { DrinkingReserve, Preparation } from './prepare'
