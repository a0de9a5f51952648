import type { Household } from './household'

/** When it truly ended, days from a part's start: within a part the levels move evenly. */
export function breachedAt({ model, levels, capacities }: Household, part: number): number {
  const { grid, containers } = model
  const past = (c: number, i: number) => {
    const { side, limit } = containers[c]!
    const level = levels[c * (grid.count + 1) + i]!
    if (limit === null) return -1
    return side === 'supply' ? limit - level : level - limit * capacities[c]!
  }
  if (containers.some((_, c) => past(c, part) > 0)) return 0
  for (let i = part; i < grid.count; i++) {
    const crossed = containers.flatMap((_, c) => {
      const [from, to] = [past(c, i), past(c, i + 1)]
      return to > 0 ? [-from / (to - from)] : []
    })
    if (crossed.length === 0) continue
    const length = grid.edges[i + 1]! - grid.edges[i]!
    return grid.edges[i]! + Math.min(...crossed) * length - grid.edges[part]!
  }
  return grid.edges[grid.count]! - grid.edges[part]!
}
