import { addWallDays, type WallTime } from '../calendar'
import type { Model } from '../compile'

/**
 * When gray is shut at a hookup, so that enough comes together to wash the hose with before the rig leaves it; null where
 * there is no hookup, or gray stands shut all along.
 */
export function shutGrayAt({ grayOpen, grid, start }: Model): WallTime | null {
  return grayOpen ? addWallDays(start, grid.edges[grayOpen.lastIndexOf(1) + 1]!) : null
}
