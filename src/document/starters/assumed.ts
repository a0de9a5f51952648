import type { Crew, Weather } from '@/core/model'
import { fromSource } from '@/core/quantities'

/** What a crew is taken to bear and to do in heat until it says otherwise. */
export function assumedCrew(): Pick<Crew, 'heat' | 'liftLimit' | 'flushFloor'> {
  return {
    heat: {
      above: fromSource(25, 'assumed'),
      drinking: fromSource(0.4, 'assumed'),
      showers: fromSource(0.1, 'assumed'),
    },
    liftLimit: fromSource(15, 'iso-11228'),
    flushFloor: fromSource(2, 'assumed'),
  }
}

/** A mild day with twelve hours of light. */
export function assumedWeather(): Weather {
  return { usual: fromSource(18, 'assumed'), days: [], sunrise: '07:00', sunset: '19:00' }
}
