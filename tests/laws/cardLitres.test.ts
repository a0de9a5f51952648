import fc from 'fast-check'
import { expect, it } from 'vitest'
import type { CardCase, CardStep, QuantityId } from '@/core/cards'
import { isSoiled, type Container, type StayCase } from '@/core/domain'
import { drawn, made } from '../support/drawnCards'
import { often } from '../support/thorough'

/**
 * Every volume on every card a second time, from model.md section 8 and the rig's own numbers; nothing of the cards' own sums is
 * used.
 */
interface Second {
  stayCase: StayCase
  card: CardCase
  step: CardStep
  outlet: string | null
  tank: Container | null
  about: Container | null
}
const KG = 0.998
/** L */
const HAIR = 1e-6
const BUCKET = 10
const nineInTen = 1.2816

/** L that its level says. */
const levelOf = ({ rig, stay }: StayCase, id: string): number => {
  const level = (one: string) => stay.levels.find(({ container }) => container === one)?.level.value ?? 0
  const joined = rig.outlets.find((outlet) => outlet.joined.includes(id))?.joined ?? [id]
  const capacity = (one: string) => rig.containers.find((tank) => tank.id === one)!.capacity.value
  const sum = (of: (one: string) => number) => joined.reduce((all, one) => all + of(one), 0)
  return (sum(level) / sum(capacity)) * capacity(id)
}
/** What there is of it: a heater whose water counts is one with its supply, and full. */
const likelyOf = (stayCase: StayCase, id: string): number => {
  const { heater } = stayCase.rig
  return levelOf(stayCase, id) + (heater?.counted && heater.supply === id ? heater.volume.value : 0)
}
const highOf = (stayCase: StayCase, tank: Container): number => {
  const { error } = stayCase.stay.levels.find(({ container }) => container === tank.id)!
  const likely = likelyOf(stayCase, tank.id)
  const spread = 'spread' in tank ? nineInTen * tank.spread.value * likely : 0
  return Math.min(capacityOf(tank), likely + error.size.value / 2 + spread)
}
const capacityOf = (tank: Container) => tank.capacity.value * ('spares' in tank ? 1 + tank.spares : 1)
const limitOf = (tank: Container) =>
  'safeFill' in tank ? tank.safeFill.value * tank.capacity.value : tank.capacity.value
const restOf = (tank: Container) => ('residue' in tank ? tank.residue.value : 0)
const freshOf = ({ rig }: StayCase) => rig.containers.find(({ kind }) => kind === 'fresh')

function topUp({ stayCase, tank }: Second) {
  const { sides, topUpTo, roadReserve } = stayCase.crew.schools
  const target =
    sides['dump-black'] === 'full'
      ? limitOf(tank!)
      : Math.min(limitOf(tank!), topUpTo.value * tank!.capacity.value)
  const [likely, high] = [likelyOf(stayCase, tank!.id), highOf(stayCase, tank!)]
  const missing = Math.max(0, target - high)
  const fresh = freshOf(stayCase)
  const above = fresh ? Math.max(0, likelyOf(stayCase, fresh.id) - roadReserve.value) : 0
  const drawn = sides['dump-black'] === 'every-move' ? 0 : Math.min(above, Math.max(0, target - likely))
  const room = Math.max(0, limitOf(tank!) - high)
  const fromFresh = Math.min(drawn, missing, room)
  return { target, missing, fromFresh, hose: Math.max(0, Math.min(missing - fromFresh, room - fromFresh)) }
}
const rinsedByHose = ({ rig }: StayCase, { id }: Container) =>
  rig.gear.includes('rinse-wand') || rig.outlets.some(({ rinses }) => rinses === id)
const roundsOf = ({ stayCase, tank }: Second) =>
  rinsedByHose(stayCase, tank!) ? stayCase.crew.schools.rinseRounds.value : 3
/** L by the crew's answer; into a tank that the card empties first, or into one as it stands. */
function charge({ stayCase, card, tank }: Second): number {
  const { sides, smallCharge, largeCharge, chargeShare } = stayCase.crew.schools
  // On the road it is said of black, of which nothing is moved any more.
  const into = tank ?? stayCase.rig.containers.find(({ kind }) => kind === 'black')!
  // Tanks that stand open to each other are one, of their capacities together.
  const joined = (tank && stayCase.rig.outlets.find((outlet) => outlet.joined.includes(tank.id))?.joined) ?? [
    into.id,
  ]
  const members = stayCase.rig.containers.filter(({ id }) => joined.includes(id))
  const sum = (of: (one: Container) => number) => members.reduce((all, one) => all + of(one), 0)
  const asked = {
    none: 0,
    small: smallCharge.value,
    large: largeCharge.value,
    fifth: chargeShare.value * sum(({ capacity }) => capacity.value),
  }[sides.charge]
  if (!tank) return asked
  const isEmptied = card.run.steps.some(
    (one) => one.do === 'empty' && one.from !== null && joined.includes(one.from),
  )
  const before = sum((one) => {
    const level = likelyOf(stayCase, one.id)
    return isEmptied ? Math.min(restOf(one), level) : level
  })
  return Math.min(asked, Math.max(0, sum(limitOf) - before))
}
/** Through two valves and bends, worst readings, model.md section 8. */
function head({ stayCase, step }: Second): { litres: number; seconds: number } {
  const { rig } = stayCase
  const outlet = rig.outlets.find(
    ({ containers }) =>
      containers.includes(step.tank ?? '') ||
      step.acts.some(({ tank }) => tank !== null && containers.includes(tank)),
  )!
  const shaped = (isBlack: boolean) =>
    rig.containers.find(
      (one) =>
        outlet.containers.includes(one.id) && 'shape' in one && one.shape && isSoiled(rig, one) === isBlack,
    ) as Extract<Container, { shape: unknown }>
  const [gray, black] = [shaped(false), shaped(true)]
  const area = (tank: typeof gray) => tank.capacity.value / 1000 / tank.shape!.height.value
  // A card by itself reads within what is known, and at least within the 10 L of an errand of its kind.
  const read = (tank: typeof gray) => {
    const likely = likelyOf(stayCase, tank.id)
    const off = Math.max(10, highOf(stayCase, tank) - likely)
    return { likely, low: Math.max(0, likely - off), high: Math.min(tank.capacity.value, likely + off) }
  }
  const [over, under] = [read(gray), read(black)]
  const surface = (tank: typeof gray, litres: number, error: number) =>
    tank.shape!.bottom.value + error * tank.shape!.error.value + litres / 1000 / area(tank)
  const least = surface(gray, over.low, -1) - surface(black, under.high, 1)
  const most = surface(gray, over.high, 1) - surface(black, under.low, -1)
  const steep = 1 / area(gray) + 1 / area(black)
  const litres = Math.min(
    0.8 * (least / steep) * 1000,
    over.low,
    over.likely - gray.residue.value,
    limitOf(black) - under.high,
  )
  const bore = (Math.PI / 4) * outlet.bore.value ** 2
  const left = Math.max(0, most - (litres / 1000) * steep)
  return {
    litres,
    seconds: (2 * (Math.sqrt(most) - Math.sqrt(left))) / (0.6 * bore * Math.sqrt(2 * 9.80665) * steep),
  }
}
const lifted = ({ stayCase, about }: Second) => {
  const one = about as Extract<Container, { shell: unknown; safeFill: unknown }>
  return Math.max(0, Math.min((stayCase.crew.liftLimit.value - one.shell.value) / KG, limitOf(one)))
}
const toteFill = (one: Extract<Container, { payload: unknown }>) => {
  const full = one.kind === 'tote' ? 0.9 * one.capacity.value : one.capacity.value
  return one.payload === null ? full : Math.max(0, Math.min(full, (one.payload.value - one.shell.value) / KG))
}
const system = ({ rig }: StayCase) =>
  rig.containers.reduce(
    (sum, one) => (one.kind === 'fresh' ? sum + one.capacity.value : sum),
    rig.heater?.volume.value ?? 0,
  ) + 5
const use = ({ crew }: StayCase, kind: string) => crew.activities.find((one) => one.kind === kind)

const SECOND: Partial<Record<QuantityId, (of: Second) => number>> = {
  content: ({ stayCase, tank }) => {
    const likely = likelyOf(stayCase, tank!.id)
    return 'spares' in tank! && tank.spares > 0 ? Math.min(limitOf(tank), likely) : likely
  },
  'content-high': ({ stayCase, tank }) => highOf(stayCase, tank!),
  limit: ({ tank }) => limitOf(tank!),
  capacity: ({ tank }) => tank!.capacity.value,
  'top-up': (of) => topUp(of).missing,
  'top-up-level': (of) => topUp(of).target,
  'top-up-fresh': (of) => topUp(of).fromFresh,
  'top-up-hose': (of) => topUp(of).hose,
  'top-up-kg': (of) => topUp(of).hose * KG,
  'road-reserve': ({ stayCase }) => stayCase.crew.schools.roadReserve.value,
  'rinse-litres': ({ stayCase, tank }) =>
    rinsedByHose(stayCase, tank!)
      ? Math.max(
          0,
          Math.min(stayCase.crew.schools.rinseTo.value * tank!.capacity.value, limitOf(tank!)) -
            restOf(tank!),
        )
      : BUCKET,
  'bucket-size': () => BUCKET,
  'gray-keep': (of) => roundsOf(of) * 10,
  rounds: roundsOf,
  'rounds-stop': (of) => roundsOf(of) + 2,
  'queue-low': () => 20,
  'queue-high': () => 40,
  pipe: ({ stayCase, outlet }) =>
    (Math.PI / 4) * stayCase.rig.outlets.find(({ id }) => id === outlet)!.bore.value ** 2 * 1000,
  charge,
  'head-litres': (of) => head(of).litres,
  'head-seconds': (of) => head(of).seconds,
  'flush-litres': ({ stayCase }) => {
    const flush = stayCase.rig.containers.find(({ kind }) => kind === 'flush')!
    return flush.capacity.value - likelyOf(stayCase, flush.id)
  },
  'cassette-rinse': (of) =>
    of.stayCase.crew.schools.sides['cassette-rinse'] === 'twice' ? Math.min(2, lifted(of)) : lifted(of),
  'dose-water': () => 1,
  'medium-litres': () => 4,
  fill: ({ stayCase, about }) => about!.capacity.value - levelOf(stayCase, about!.id),
  'fill-kg': ({ stayCase, about }) => (about!.capacity.value - levelOf(stayCase, about!.id)) * KG,
  'tote-litres': ({ about }) => toteFill(about as never),
  'tote-kg': ({ about }) =>
    (about as { shell: { value: number } }).shell.value + toteFill(about as never) * KG,
  'load-litres': ({ stayCase, tank, about, step }) => {
    const each = toteFill(about as never)
    const rounds = Math.max(1, Math.ceil(limitOf(tank!) / each - 1e-9))
    const whole = Math.min(likelyOf(stayCase, tank!.id) - restOf(tank!), rounds * each)
    return Math.max(0, Math.min(each, whole - (step.load!.n - 1) * each))
  },
  'drain-fresh': ({ stayCase, tank }) =>
    Math.max(0, likelyOf(stayCase, tank!.id) - stayCase.crew.schools.roadReserve.value),
  'flush-owed': ({ stayCase }) => 2 * Math.max(0.5, use(stayCase, 'solid-use')?.volume.value ?? 2),
  'flush-night': ({ stayCase }) => {
    const each = (kind: string) =>
      (use(stayCase, kind)?.rate.value ?? 0) * (use(stayCase, kind)?.volume.value ?? 0)
    return Math.max(2, ((each('liquid-use') + each('solid-use')) * stayCase.crew.persons.length) / 2)
  },
  'system-litres': ({ stayCase }) => system(stayCase),
  bleach: ({ stayCase, card }) => (system(stayCase) * 50) / (card.asks.bleachPercent * 10),
  'probe-low': ({ stayCase, about }) =>
    Math.min(about!.capacity.value / 4, Math.max(0, limitOf(about!) - highOf(stayCase, about!))),
  'probe-high': ({ stayCase, about }) =>
    Math.min(about!.capacity.value / 2, Math.max(0, limitOf(about!) - highOf(stayCase, about!))),
  'known-charge': ({ stayCase }) => stayCase.crew.schools.smallCharge.value,
  'shower-litres': ({ stayCase }) => use(stayCase, 'shower')!.volume.value,
  'dishes-litres': ({ stayCase }) => use(stayCase, 'dishes')!.volume.value,
  'metered-litres': ({ about }) =>
    'residue' in about! ? limitOf(about) - restOf(about) : about!.capacity.value,
}
/** Litres that are told elsewhere: of the room of all drains, and what an errand of several things moves. */
const ELSEWHERE: readonly QuantityId[] = ['gray-room', 'leftover', 'jug-litres', 'moved']

it('all litres on all cards are what a second sum makes of the same rig and levels', () => {
  const seen = new Set<QuantityId>()
  fc.assert(
    fc.property(drawn, (of) => {
      const one = made({ ...of, isLight: true })
      if (!one) return
      const { card, made: at } = one
      const { stayCase } = at
      const found = (id: string | null) => stayCase.rig.containers.find((tank) => tank.id === id) ?? null
      const wrong: string[] = []
      for (const step of card.steps)
        for (const { id, unit, value } of step.numbers) {
          if ((unit !== 'volume' && unit !== 'level' && !(id in SECOND)) || ELSEWHERE.includes(id)) continue
          const sum = SECOND[id]
          const tank = found(step.tank) ?? found(card.about)
          const second =
            sum?.({ stayCase, card: at, step, outlet: card.outlet, tank, about: found(card.about) }) ?? NaN
          if (sum) seen.add(id)
          if (!(Math.abs(value - second) < HAIR)) wrong.push(`${step.id} ${id}: ${value} not ${second}`)
        }
      expect([card.kind, ...wrong]).toEqual([card.kind])
    }),
    { numRuns: often(1_500, 20_000) },
  )
  expect(Object.keys(SECOND).filter((id) => !seen.has(id as QuantityId))).toEqual([])
})
