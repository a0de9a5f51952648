import { fromSource } from '../quantities'
import {
  isSoiled,
  type CardKind,
  type Container,
  type Outlet,
  type StayCase,
  type TankContainer,
} from '../domain'
import type { Subject } from './cardCase'

/** All outlets; a tank that none names has one of its own, without an end valve. */
export function outletsOf({ rig }: Pick<StayCase, 'rig'>): Outlet[] {
  const named = new Set(rig.outlets.flatMap(({ containers }) => containers))
  const alone = rig.containers.filter(
    ({ id, kind }) => (kind === 'gray' || kind === 'black') && !named.has(id),
  )
  return [
    ...rig.outlets,
    ...alone.map(({ id, name }): Outlet => ({
      id,
      name,
      containers: [id],
      endValve: false,
      rinses: null,
      side: 'left',
      handle: 'pull',
      bore: fromSource(0.076, 'assumed'),
      joined: [],
    })),
  ]
}

/** Whom a card of a kind can be about on this rig, in the order of the work: outlets without gray first, most gray last. */
export function subjectsOf({ rig }: Pick<StayCase, 'rig'>, kind: CardKind): Subject[] {
  const none: Subject = { outlet: null, blacks: [], grays: [], container: null }
  const about = (wanted: Container['kind'][]) =>
    rig.containers
      .filter(({ kind: its }) => wanted.includes(its))
      .map((container) => withOutlet(rig, container, none))
  const outlets = outletsOf({ rig }).map((outlet): Subject => {
    const at = rig.containers.filter(
      (one): one is TankContainer =>
        (one.kind === 'black' || one.kind === 'gray') && outlet.containers.includes(one.id),
    )
    return {
      outlet,
      blacks: at.filter((one) => isSoiled(rig, one)),
      grays: at.filter((one) => !isSoiled(rig, one)),
      container: null,
    }
  })
  const soiled = () =>
    about(['black']).filter(
      ({ container, outlet }) => isSoiled(rig, container!) && !outlet?.joined.includes(container!.id),
    )
  const grayIn = ({ grays }: Subject) => grays.reduce((sum, { capacity }) => sum + capacity.value, 0)
  switch (kind) {
    case 'dump':
      return outlets.filter(({ blacks }) => blacks.length > 0).sort((a, b) => grayIn(a) - grayIn(b))
    case 'gray-only':
      return outlets.filter(({ grays }) => grays.length > 0)
    case 'macerator':
      return rig.gear.includes('macerator')
        ? outlets.filter((one) => one.blacks.length + one.grays.length > 0)
        : []
    case 'gray-to-black':
      return outlets.filter(
        ({ outlet, blacks, grays }) =>
          outlet!.endValve && outlet!.joined.length === 0 && blacks.length > 0 && grays.length > 0,
      )
    case 'top-up':
      return soiled()
    case 'rinse':
      return soiled()
    case 'charge':
      return about(['black', 'gray']).filter(
        ({ container }) => container!.kind === 'gray' || isSoiled(rig, container!),
      )
    case 'probes':
      return about(['black', 'gray']).filter(
        ({ container }) => container && 'panel' in container && container.panel !== null,
      )
    case 'tote':
      return about(['tote']).flatMap(({ container }) =>
        outlets
          .filter((one) => one.blacks.length + one.grays.length > 0)
          .map((outlet) => ({ ...outlet, container })),
      )
    case 'fresh':
      return about(['fresh', 'flush'])
    case 'by-hand':
      return []
    case 'cassette':
    case 'urine':
    case 'solids':
      return about([kind])
    case 'metered-fill':
      return about(['fresh', 'gray', 'black', 'flush'])
    case 'sanitize':
      return rig.containers.some(({ kind: its }) => its === 'fresh') ? [none] : []
    case 'seals':
      return rig.containers.some((one) => one.kind === 'cassette' || isSoiled(rig, one)) ? [none] : []
    default:
      return [none]
  }
}

/** A tank with the outlet it leaves through, alone on the card. */
function withOutlet(rig: StayCase['rig'], container: Container, none: Subject): Subject {
  if (container.kind !== 'black' && container.kind !== 'gray') return { ...none, container }
  const outlet = outletsOf({ rig }).find(({ containers }) => containers.includes(container.id)) ?? null
  const grays = rig.containers.filter(
    (one): one is TankContainer =>
      (one.kind === 'gray' || (one.kind === 'black' && !isSoiled(rig, one))) &&
      (outlet?.containers.includes(one.id) ?? false),
  )
  return { outlet, blacks: isSoiled(rig, container) ? [container] : [], grays, container }
}
