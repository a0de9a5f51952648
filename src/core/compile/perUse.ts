import type { Amount, Litres } from '../quantities'
import type { PartIndex } from '../calendar'
import type { Stream } from './model'

// What one use of an activity moves along a stream (model.md section 3): here and nowhere else.

/**
 * All of it, before the part's portion. @param litres drawn by one use
 * @returns L (or uses of a solids bin)
 */
export function movedPerUse({ ofDraw, fixed }: Pick<Stream, 'ofDraw' | 'fixed'>, litres: Litres): Amount {
  return ofDraw * litres + fixed
}

/** Of the water that a use draws, what goes along the stream in a part, L. @param litres drawn by one use */
export function drawnPerUse(
  { ofDraw, portion }: Pick<Stream, 'ofDraw' | 'portion'>,
  litres: Litres,
  part: PartIndex,
): Litres {
  return ofDraw * (portion?.[part] ?? 1) * litres
}

/** Of what a use adds whatever it draws, what goes along the stream in a part, L (or uses). */
export function addedPerUse({ fixed, portion }: Pick<Stream, 'fixed' | 'portion'>, part: PartIndex): Amount {
  return fixed * (portion?.[part] ?? 1)
}
