import {
  QUESTIONS,
  noBudget,
  fillOf,
  type Container,
  type Crew,
  type Id,
  type Place,
  type Answers,
  type StartLevel,
  type Stay,
  type Weather,
} from '@/core/domain'
import { fromSource, type Quantity } from '@/core/quantities'

/** What a crew is taken to bear and to do in heat until it says otherwise. */
export function assumedCrew(): Pick<
  Crew,
  | 'heat'
  | 'liftLimit'
  | 'flushFloor'
  | 'flush'
  | 'schools'
  | 'costs'
  | 'products'
  | 'mediumStock'
  | 'saves'
  | 'road'
> {
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
    schools: {
      sides: firstSides(),
      smallCharge: fromSource(6, 'rule-of-thumb'),
      largeCharge: fromSource(15, 'rule-of-thumb'),
      chargeShare: fromSource(0.2, 'rule-of-thumb'),
      blackThreshold: fromSource(0.65, 'rule-of-thumb'),
      topUpTo: fromSource(0.75, 'rule-of-thumb'),
      roadReserve: fromSource(15, 'assumed'),
      hoseGray: fromSource(20, 'assumed'),
      rinseTo: fromSource(0.75, 'rule-of-thumb'),
      rinseRounds: fromSource(3, 'assumed'),
      hoseFlow: fromSource(10, 'assumed'),
    },
    costs: {
      money: fromSource(1, 'assumed'),
      minute: fromSource(0.1, 'assumed'),
      kilometre: fromSource(0.3, 'assumed'),
      litre: fromSource(0.05, 'assumed'),
      bother: fromSource(1, 'assumed'),
    },
    road: {
      factor: fromSource(1.3, 'assumed'),
      speed: fromSource(45, 'assumed'),
      packing: fromSource(30, 'assumed'),
      service: fromSource(20, 'assumed'),
    },
    products: [],
    mediumStock: fromSource(0, 'assumed'),
    saves: [],
  }
}

/** The default side of every question stands first. */
function firstSides(): Answers {
  const first = Object.entries(QUESTIONS).map(([question, sides]) => [question, sides[0]])
  return Object.fromEntries(first) as Answers
}

/** A site of which nothing is recorded, and no errand set. */
export function bareSite(): Pick<
  Stay,
  'site' | 'places' | 'ways' | 'follows' | 'endsAt' | 'runs' | 'budget'
> {
  return {
    site: {
      water: 'none',
      sewer: 'none',
      toilets: false,
      isPrivate: true,
      hookupNights: 0,
      stayLimit: null,
      quiet: null,
      position: null,
    },
    places: [],
    ways: [],
    follows: null,
    endsAt: null,
    runs: [],
    budget: noBudget(),
  }
}

/** A place of which nothing but its name is known: that is enough. */
export function newPlace(id: Id, name: string): Place {
  return {
    id,
    name,
    accepts: null,
    water: 'unknown',
    rule: 'unknown',
    flow: null,
    points: [],
    isHome: false,
    position: null,
    opening: null,
    access: 'unknown',
    fee: null,
    maxHeight: null,
    maxLength: null,
    approach: 'unknown',
    queue: fromSource(10, 'assumed'),
    offers: [],
    note: '',
    verified: null,
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
  return startLevel(id, fromSource(fillOf(kind) === 'supply' ? capacity.value : 0, 'assumed'))
}
