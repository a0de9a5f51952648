import type { Model } from '../compile'
import { volumePerUse, type Activity, type Crew } from '../domain'
import type { Litres } from '../quantities'

/** What an activity draws in a whole day with everybody there and no habit on. */
export interface DailyUse {
  /** Uses a day, a line per person, or one for the crew (`person` null). */
  lines: { person: string | null; uses: number }[]
  /** L drawn by all of them. */
  litres: Litres
}

export function dailyUse(crew: Crew, activity: Activity): DailyUse {
  const lines =
    activity.per === 'crew'
      ? [{ person: null, uses: activity.rate.value }]
      : crew.persons.map(({ name, rates }) => ({
          person: name,
          uses: (rates.find((own) => own.activity === activity.id) ?? activity).rate.value,
        }))
  return { lines, litres: lines.reduce((sum, { uses }) => sum + uses, 0) * volumePerUse(activity) }
}

/** L drawn on the first whole day of a stay, with who is there and the habits that are on. */
export function drawnADay({ grid, activities, uses, volume }: Model): Litres {
  const { count, day } = grid
  const whole = day[0]! + (grid.part[0] === 0 ? 0 : 1)
  let litres = 0
  for (let a = 0; a < activities.length; a++)
    for (let i = 0; i < count; i++)
      if (day[i] === whole) litres += uses[a * count + i]! * volume[a * count + i]!
  return litres
}
