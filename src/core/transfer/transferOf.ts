import { levelAt, type Ledger } from '../count'
import type { Model } from '../compile'
import type { Id, Outlet, Rig, TankContainer, TankShape } from '../model'
import type { Days, Litres } from '../quantities'
import { grayToBlack, type Range, type TankState, type Transfer, type TransferRefusal } from './grayToBlack'

/** Why no gray may run into the black tank in this rig, and how much may where it can. */
export type TransferAnswer =
  | { ok: true; value: Transfer; gray: Id; black: Id; outlet: Outlet }
  | { ok: false; refusal: TransferRefusal | 'no-shared-outlet' | 'no-end-valve' | 'joined' | 'not-measured' }

export interface TransferOptions {
  gray: Id
  black: Id
  /** Days from the start of the stay. */
  at: Days
  /** L by which a level read off the panel may be wrong either way. */
  readingError: Litres
}

/** Gray to black from the rig's own tanks at an instant of the stay. */
export function transferOf(rig: Rig, model: Model, ledger: Ledger, options: TransferOptions): TransferAnswer {
  const outlet = rig.outlets.find(
    ({ containers }) => containers.includes(options.gray) && containers.includes(options.black),
  )
  if (!outlet) return { ok: false, refusal: 'no-shared-outlet' }
  if (!outlet.endValve) return { ok: false, refusal: 'no-end-valve' }
  if (outlet.joined.length > 0) return { ok: false, refusal: 'joined' }
  const [gray, black] = [tankOf(rig, options.gray), tankOf(rig, options.black)]
  if (!gray?.shape || !black?.shape) return { ok: false, refusal: 'not-measured' }
  const level = (id: Id) => {
    const index = model.containers.findIndex((container) => container.id === id)
    return around(levelAt(model, ledger, index, options.at), options.readingError)
  }
  const answer = grayToBlack({
    gray: stateOf(gray, gray.shape, level(gray.id)),
    black: {
      ...stateOf(black, black.shape, level(black.id)),
      safeLevel: black.safeFill.value * black.capacity.value,
    },
    bore: outlet.bore.value,
  })
  return answer.ok ? { ...answer, gray: gray.id, black: black.id, outlet } : answer
}

function tankOf(rig: Rig, id: Id): TankContainer | null {
  const container = rig.containers.find((candidate) => candidate.id === id)
  return container && 'shape' in container ? container : null
}

function stateOf(
  { capacity }: TankContainer,
  { height, bottom, error }: TankShape,
  content: Range,
): TankState {
  return {
    capacity: capacity.value,
    height: height.value,
    bottom: { low: bottom.value - error.value, high: bottom.value + error.value },
    content,
  }
}

function around(litres: Litres, error: Litres): Range {
  return { low: Math.max(0, litres - error), high: litres + error }
}
