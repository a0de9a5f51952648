import { baseArea, type Head } from '../model'
import type { Amount, Factor, Litres } from '../quantities'

/** How much of the way to level surfaces is used: what remains is the margin. Source: model.md section 8. */
export const SHARE_OF_LEVELLING = 0.8

/**
 * L of gray that surely run into black, gray read low and black read high, where nothing but the heights and gray's content
 * holds it back: V = min(0.8·Δ0/S, gray), S = 1/Ag + 1/Ab; 0 where black stands as high.
 * @param gray L in it @param black L in it @param grayShare its own capacity over the one given, and black's
 */
export function byHead(
  { gray: from, black: to, readingError }: Head,
  gray: Amount,
  black: Amount,
  grayShare: Factor = 1,
  blackShare: Factor = 1,
): Litres {
  const grayCapacity = from.capacity * grayShare
  const blackCapacity = to.capacity * blackShare
  const low = Math.max(0, gray - readingError)
  const high = black + readingError
  const head =
    from.bottom + (low / grayCapacity) * from.height - (to.bottom + (high / blackCapacity) * to.height)
  const steepness = 1 / baseArea(grayCapacity, from.height) + 1 / baseArea(blackCapacity, to.height)
  return Math.max(0, Math.min((SHARE_OF_LEVELLING * head * 1000) / steepness, low))
}
