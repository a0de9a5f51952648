import { sideOf, type Container, type Crew, type Id, type StartLevel, type Weather } from '@/core/model'
import { fromSource, type Quantity } from '@/core/quantities'

/** What a crew is taken to bear and to do in heat until it says otherwise. */
export function assumedCrew(): Pick<Crew, 'heat' | 'liftLimit' | 'flushFloor' | 'flush'> {
  return {
    heat: {
      above: fromSource(25, 'assumed'),
      drinking: fromSource(0.4, 'assumed'),
      showers: fromSource(0.1, 'assumed'),
    },
    liftLimit: fromSource(15, 'iso-11228'),
    flushFloor: fromSource(2, 'assumed'),
    flush: {
      school: 'plenty',
      plenty: fromSource(4, 'assumed'),
      rinsesAtFloor: fromSource(4, 'assumed'),
      rinsesAtPlenty: fromSource(2, 'assumed'),
    },
  }
}

/** A mild day with twelve hours of light. */
export function assumedWeather(): Weather {
  return {
    usual: fromSource(18, 'assumed'),
    spread: fromSource(3, 'assumed'),
    days: [],
    sunrise: '07:00',
    sunset: '19:00',
  }
}

/** A starting level, taken as it stands until the owner says how well it is known. */
export function startLevel(container: Id, level: Quantity): StartLevel {
  return { container, level, error: { shape: 'even', size: fromSource(0, 'assumed') } }
}

/** Where a container starts unless somebody says otherwise: supply full, waste empty. */
export function fullOrEmpty({ id, kind, capacity }: Container): StartLevel {
  return startLevel(id, fromSource(sideOf(kind) === 'supply' ? capacity.value : 0, 'assumed'))
}
