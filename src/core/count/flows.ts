import { FLOW_ENDS, endId, type Id, type Model } from '../model'
import type { Ledger } from './ledger'

/** One flow of one part: L (or uses) of an activity from one end to another. */
export interface Flow {
  part: number
  activity: Id
  from: Id
  to: Id
  amount: number
}

/** The ledger's flows in part order, empty ones left out. */
export function flowsOf(model: Model, { amounts }: Ledger): Flow[] {
  const flows: Flow[] = []
  for (let part = 0; part < model.grid.count; part++)
    model.streams.forEach((stream, s) => {
      const amount = amounts[s * model.grid.count + part]!
      if (amount === 0) return
      flows.push({
        part,
        activity: model.activities[stream.activity]!.id,
        from: endId(model, stream.from, FLOW_ENDS),
        to: endId(model, stream.to, FLOW_ENDS),
        amount,
      })
    })
  return flows
}
