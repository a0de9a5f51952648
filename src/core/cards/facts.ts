import {
  isSoiled,
  pointTaking,
  pointWithWater,
  sparesOf,
  wasteOf,
  type ActivityKind,
  type Container,
  type Place,
  type PlaceRule,
  type Run,
  type StayCase,
  type TankContainer,
  type TreatedKind,
} from '../domain'
import { wastesOf } from '../places'
import { joinedTanks, type Binding, type CardCase, type Subject } from './cardCase'
import {
  NOTHING,
  chargeDropped,
  chargeMoved,
  chargeOfTank,
  headOver,
  leftoverOf,
  loadedOf,
  productsFor,
  topUpOf,
} from './amounts'
import { urinePerDay } from './numbers/carried'
import { quantityOf } from './quantities'
import { takenHere } from './where'
import { carriedKg, freshDrain } from './weights'
import type { Condition, Fact } from './template'

type Says = (card: CardCase, subject: Subject, binding: Binding) => boolean

const has = ({ stayCase }: CardCase, kind: Container['kind']) =>
  stayCase.rig.containers.some((container) => container.kind === kind)
const moves = ({ steps }: CardCase, id: string | undefined, does: string) =>
  steps.some(({ step, moved }) => step.do === does && (step.to === id || step.from === id) && moved > NOTHING)
const hasBlack = ({ stayCase: { rig } }: CardCase) => rig.containers.some((one) => isSoiled(rig, one))
const hasGray = ({ stayCase: { rig } }: CardCase) =>
  rig.containers.some((one) => one.kind === 'gray' || (one.kind === 'black' && !isSoiled(rig, one)))
const isUsed = ({ stayCase: { crew } }: CardCase, kind: ActivityKind) =>
  crew.activities.some((one) => one.kind === kind && one.volume.value > 0)
const flushFixtures = ({ stayCase }: CardCase, id: string | undefined) =>
  stayCase.rig.fixtures.filter(({ drains, solids }) => drains === id || solids === id)

/** Nobody measured the heights: only while gray surely holds something, and black surely has room. */
function mayPulse(
  card: CardCase,
  gray: TankContainer | undefined,
  black: TankContainer | undefined,
): boolean {
  const [over, under] = [gray, black].map((tank) => tank && card.contents.get(tank.id))
  if (!gray || !black || !over || !under) return false
  return (
    2 * over.likely - over.high > NOTHING &&
    under.high < black.safeFill.value * black.capacity.value - NOTHING
  )
}

/** L: less is not worth a hose. */
const FLUSH_ROOM_L = 0.5
/** m: a bore under this is that of a hose for gray alone. */
const GRAY_HOSE_M = 0.06
const isFresh = ({ rig }: CardCase['stayCase'], id: string | null) =>
  rig.containers.some((one) => one.id === id && one.kind === 'fresh')

/** A black tank that stands open to gray is a part of gray: nothing is topped up in it. */
const isJoined = ({ rig }: CardCase['stayCase'], id: string) =>
  rig.outlets.some(({ joined }) => joined.includes(id))

/** When each fact is so. */
const FACT: Record<Fact, Says> = {
  'end-valve': (_, { outlet }) => outlet?.endValve ?? false,
  'gray-here': (card, { outlet, grays }) => (outlet ? grays.length > 0 : hasGray(card)),
  'black-here': (card, { outlet, blacks }) => (outlet ? blacks.length > 0 : hasBlack(card)),
  // What a card lets go of, and whether that is known to be taken.
  'ask-toilet': (card, { blacks, grays, container }) => {
    if (container?.kind === 'cassette') return takenHere(card, 'cassette') === 'ask'
    const all = [...blacks, ...grays]
    const given = container?.kind === 'tote' ? loadedOf(card, all) : all
    return (
      given.some((tank) => wasteOf(card.stayCase.rig, tank) === 'black') && takenHere(card, 'black') === 'ask'
    )
  },
  'ask-gray': (card, { grays }) =>
    grays.some((tank) => wasteOf(card.stayCase.rig, tank) === 'gray') && takenHere(card, 'gray') === 'ask',
  'toilet-in-gray': (card, { grays }) => grays.some((tank) => wasteOf(card.stayCase.rig, tank) === 'black'),
  'old-black': ({ stayCase: { rig } }, { grays }) =>
    grays.some((one) => one.kind === 'black' && !isSoiled(rig, one)),
  'no-toilet-waste': (card) => takenHere(card, 'black') !== 'yes',
  'rule-unknown': (card) => {
    const { place, stayCase, run } = card
    return (
      place !== null &&
      stayCase.crew.schools.sides.treatment !== 'none' &&
      rulesFor(place, stayCase, run).includes('unknown')
    )
  },
  'drinking-here': ({ place, run, stayCase }) =>
    place
      ? pointWithWater(place).water === 'potable'
      : run.kind === 'restock' && stayCase.stay.site.water === 'tap',
  'drinking-asked': ({ place, run }) =>
    place ? pointWithWater(place).water === 'unknown' : run.kind !== 'restock',
  'drinking-never': ({ place }, { container }) => {
    const water = place && pointWithWater(place).water
    return water === 'none' || (water === 'not-potable' && container?.kind === 'fresh')
  },
  'toilet-here': ({ stayCase }) => stayCase.rig.roles.some(({ role }) => role === 'toilet'),
  bowl: (card) => hasBlack(card) || has(card, 'cassette'),
  'flush-jug': hasBlack,
  'waste-here': (card) => hasBlack(card) || hasGray(card) || has(card, 'cassette') || has(card, 'solids'),
  'waste-tank': (_, { container }) =>
    container !== null && (container.kind === 'gray' || container.kind === 'black'),
  treats: (card, subject, binding) =>
    card.stayCase.crew.schools.sides.treatment !== 'none' && !FACT['charge-dropped'](card, subject, binding),
  'goes-in': (card, subject, binding) =>
    FACT['charge-some'](card, subject, binding) || FACT['treats'](card, subject, binding),
  'charge-dropped': (card, subject, { tank }) => {
    const into = tank ?? subject.container
    return into !== null && chargeDropped(card, into)
  },
  'gray-enough': (card, subject, binding) => {
    const wanted = quantityOf('gray-keep', card, subject, binding)?.value ?? Infinity
    const there = subject.grays.reduce((sum, { id }) => sum + (card.contents.get(id)?.likely ?? 0), 0)
    return there >= wanted - 1e-9
  },
  'back-fill-here': (card, { outlet }) =>
    card.stayCase.crew.schools.sides['rinse-way'] === 'back-fill' &&
    (outlet?.endValve ?? false) &&
    card.asks.stays,
  'joined-here': ({ stayCase }, subject) => joinedTanks(stayCase.rig, subject).length > 0,
  'top-up-cut': (card, { container }) => topUpOf(card, container).cut > NOTHING,
  'top-up-adds': (card, { container }) => {
    // What comes from fresh is aboard already.
    return topUpOf(card, container).hose > NOTHING
  },
  'urine-here': (card) => has(card, 'urine'),
  'for-guests': ({ asks }) => asks.forGuests,
  'flush-plenty': ({ stayCase }) => stayCase.crew.flush.school === 'plenty',
  'showers-here': (card) => isUsed(card, 'shower'),
  'dishes-here': (card) => isUsed(card, 'dishes'),
  'habits-on': ({ stayCase: { stay, habits } }) =>
    stay.habits.some(({ habit }) => habits.some(({ id }) => id === habit)),
  rinses: (card, subject) =>
    subject.blacks.some((tank) => FACT['rinse-now'](card, subject, { ...NOTHING_BOUND, tank })),
  pumped: ({ run }) => run.kind === 'macerate',
  'last-load': (card, { container, blacks, grays }, { tank, load }) => {
    const last = loadedOf(card, [...grays, ...blacks]).at(-1)
    return container !== null && last?.id === tank?.id && load?.n === load?.of
  },
  'probe-room': (card, subject, binding) =>
    (quantityOf('probe-high', card, subject, binding)?.value ?? 0) >= 1,
  panel: ({ stayCase }, { blacks, grays, container }) => {
    const seen =
      container && 'panel' in container
        ? [container]
        : blacks.length + grays.length > 0
          ? [...blacks, ...grays]
          : stayCase.rig.containers
    return seen.some((one) => 'panel' in one && one.panel !== null)
  },
  'under-threshold': (card, _, { tank }) => {
    const { sides, blackThreshold } = card.stayCase.crew.schools
    if (
      !tank ||
      !isSoiled(card.stayCase.rig, tank) ||
      !('safeFill' in tank) ||
      sides['dump-black'] === 'every-move'
    )
      return false
    if (moves(card, tank.id, 'top-up') || isJoined(card.stayCase, tank.id)) return false
    const threshold = sides['dump-black'] === 'full' ? tank.safeFill.value : blackThreshold.value
    return (card.contents.get(tank.id)?.likely ?? 0) < threshold * tank.capacity.value - 1e-9
  },
  'others-wait': ({ asks }) => asks.othersWait,
  'stays-there': ({ asks }) => asks.stays,
  'rinse-inlet': ({ stayCase }, { outlet }, { tank }) =>
    tank !== null && (outlet ? [outlet] : stayCase.rig.outlets).some(({ rinses }) => rinses === tank.id),
  wand: ({ stayCase }) => stayCase.rig.gear.includes('rinse-wand'),
  meter: ({ stayCase }) => stayCase.rig.gear.includes('flow-meter'),
  'water-here': ({ place, run, stayCase }) =>
    place
      ? pointWithWater(place).water !== 'none'
      : run.kind !== 'restock' || stayCase.stay.site.water === 'tap',
  septic: ({ place, stayCase, run }) => rulesFor(place, stayCase, run).includes('septic-safe'),
  'nothing-in': ({ place, stayCase, run }) => rulesFor(place, stayCase, run).includes('nothing'),
  hookup: ({ stayCase }) => stayCase.stay.site.sewer !== 'none' && stayCase.stay.site.hookupNights > 0,
  'has-fresh': (card) => has(card, 'fresh'),
  // It is filled on this run, was offered before, or is drained for the road afterwards.
  'fresh-done': (card) =>
    card.turn.isLater ||
    card.steps.some(
      ({ step, moved }) =>
        (step.do === 'fill' && moved > NOTHING) || (step.do === 'empty' && isFresh(card.stayCase, step.from)),
    ),
  'two-people': ({ asks, stayCase }) => asks.areTwo ?? stayCase.crew.persons.length > 1,
  'goes-on': ({ turn }) => turn.goesOn,
  'leads-on': ({ turn }) => turn.leadsOn,
  // A thin hose of its own for gray, as sites abroad have it: nothing to turn tight or press in.
  'gray-hose': (_, { outlet, blacks }) =>
    outlet !== null && blacks.length === 0 && outlet.bore.value < GRAY_HOSE_M,
  heights: (card) => headOver(card) !== null,
  'runs-over': (card, { grays, blacks }) => {
    const over = headOver(card)
    return over ? over.answer.ok && over.answer.value.volume > NOTHING : mayPulse(card, grays[0], blacks[0])
  },
  'rinse-now': (card, _, { tank }) => {
    // One that stands open to gray holds nothing that clings.
    if (tank && isJoined(card.stayCase, tank.id)) return false
    const when = card.stayCase.crew.schools.sides['rinse-when']
    const isMove = ['move', 'on-the-road', 'go-home', 'restock'].includes(card.run.kind)
    const wanted = when === 'every-dump' || (when === 'every-move' && isMove)
    return wanted && !card.asks.othersWait && FACT['water-here'](card, NOBODY, NOTHING_BOUND)
  },
  'charge-some': (card, _, { tank }) =>
    tank ? chargeOfTank(card, tank) > NOTHING : chargeMoved(card) > NOTHING,
  'charge-from-tap': (card, _, { tank }) =>
    !card.steps.some(({ step }) => step.do === 'charge' && step.to === tank?.id && step.from !== null),
  'own-product': (card, subject, { tank }) => {
    const treated = tank ?? subject.container
    return treated !== null && productsFor(card, treated.kind as TreatedKind).length > 0
  },
  powder: (_, __, { product }) => product?.form === 'powder',
  sachet: (_, __, { product }) => product?.form === 'sachet',
  'top-up-fresh': (card, subject, { tank }) => topUpOf(card, tank ?? subject.container).fresh > NOTHING,
  'top-up-hose': (card, subject, { tank }) => topUpOf(card, tank ?? subject.container).hose > NOTHING,
  leftover: (card, { container }) => leftoverOf(card, container) > NOTHING,
  'flush-own': (card) => has(card, 'flush'),
  'flush-room': (card, subject, binding) =>
    (quantityOf('flush-litres', card, subject, binding)?.value ?? 0) >= FLUSH_ROOM_L,
  'flush-from-fresh': (card, { container }) => {
    const flush = card.stayCase.rig.containers.filter(({ kind }) => kind === 'flush')
    const drawn = flushFixtures(card, container?.id).map(({ draws }) => draws)
    return flush.length === 0 || drawn.some((id) => id !== null && !flush.some((tank) => tank.id === id))
  },
  'too-heavy': (card, { container }) =>
    container !== null && carriedKg(card, container) > card.stayCase.crew.liftLimit.value + 1e-9,
  spare: (_, { container }) => container !== null && sparesOf(container) > 0,
  'going-home': ({ run }) => run.kind === 'go-home',
  sawdust: (_, { container }) => container?.kind === 'solids' && container.medium === 'short',
  wet: ({ stayCase }, { container }) =>
    container?.kind === 'solids' && stayCase.crew.schools.sides.vent === 'aired',
  'other-toilet': ({ stayCase }) => stayCase.stay.site.toilets,
  jugs: (card, { container }) => moves(card, container?.id, 'jugs'),
  'in-vehicle': (_, { container }) =>
    container !== null && 'payload' in container && container.payload !== null,
  heater: ({ stayCase }) => stayCase.rig.heater !== null,
  'cassette-here': (card) => has(card, 'cassette'),
  'solids-here': (card) => has(card, 'solids'),
  'drain-fresh': (card, _, { tank }) => freshDrain(card, tank) > NOTHING,
  // Only into a valve that stands open: what fills a shut tank wants the others shut.
  'with-gray': (card, subject) => {
    const { sides } = card.stayCase.crew.schools
    const isOpen = sides['rinse-way'] === 'open' || !card.asks.stays
    return sides['rinse-water'] === 'with-gray' && subject.grays.length > 0 && isOpen
  },
  'urine-flows': (card, { container }) => container !== null && urinePerDay(card, container.id) > NOTHING,
  'fresh-room': (card, { container }) =>
    container !== null &&
    (moves(card, container.id, 'fill') ||
      (card.contents.get(container.id)?.likely ?? 0) < container.capacity.value - 1),
  freezing: ({ stayCase }) =>
    stayCase.stay.weather.usual.value <= 0 ||
    stayCase.stay.weather.days.some(({ warmest }) => warmest.value <= 0),
  'place-named': ({ place }) => place !== null,
}
const NOBODY: Subject = { outlet: null, blacks: [], grays: [], container: null }
const NOTHING_BOUND: Binding = { tank: null, product: null, load: null }

/** Whether a condition holds: all of its atoms; of a list among them, one. */
export function holds(
  when: Condition | undefined,
  card: CardCase,
  subject: Subject,
  binding: Binding,
): boolean {
  const is = (atom: string): boolean => {
    if (atom.startsWith('!')) return !is(atom.slice(1))
    const [question, side] = atom.split('=')
    if (side !== undefined)
      return (card.stayCase.crew.schools.sides as Record<string, string>)[question!] === side
    return FACT[atom as Fact](card, subject, binding)
  }
  return (when ?? []).every((one) => (typeof one === 'string' ? is(one) : one.some(is)))
}

/** What the points say that take what a run lets go; where it lets go nothing, what the first one says. */
function rulesFor(place: Place | null, { rig }: StayCase, run: Run): PlaceRule[] {
  if (!place) return []
  const points = wastesOf(rig, run).flatMap((what) => pointTaking(place, what) ?? [])
  return points.length > 0 ? points.map(({ rule }) => rule) : [place.rule]
}
