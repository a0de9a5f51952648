import type { Position } from './place'

export const SITE_WATER = ['none', 'tap'] as const
export const SITE_SEWER = ['none', 'gray', 'all'] as const

/** What there is at the site of a stay. */
export interface Site {
  water: (typeof SITE_WATER)[number]
  sewer: (typeof SITE_SEWER)[number]
  toilets: boolean
  /** Whether nobody looks on when something is emptied or carried. */
  isPrivate: boolean
  /** Nights with a hookup, from the first. */
  hookupNights: number
  /** Nights that one may stay; null: no limit is known. */
  stayLimit: number | null
  /** Wall times `hh:mm` between which it is to be quiet; null: not known. */
  quiet: { from: string; until: string } | null
  /** Null: not known. */
  position: Position | null
}
