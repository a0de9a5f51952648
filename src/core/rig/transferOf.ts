import { levelAt, type Ledger } from '../count'
import { headOf, type Model } from '../compile'
import type { Id, Outlet, Rig, RunStep } from '../domain'
import type { Days, Litres } from '../quantities'
import { headCase, headTransfer, type Transfer, type TransferRefusal } from '../runs'

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
  const step: RunStep = {
    do: 'by-head',
    from: options.gray,
    to: options.black,
    amount: { as: 'all' },
    loads: 1,
  }
  const head = headOf(rig, step, options.readingError)
  if (!head) return { ok: false, refusal: 'not-measured' }
  const level = (id: Id) => {
    const index = model.containers.findIndex((container) => container.id === id)
    return levelAt(model, ledger, index, options.at)
  }
  const residue = model.containers.find(({ id }) => id === options.gray)?.residue ?? 0
  const answer = headTransfer(headCase(head, level(options.gray), level(options.black), residue))
  return answer.ok ? { ...answer, gray: options.gray, black: options.black, outlet } : answer
}
