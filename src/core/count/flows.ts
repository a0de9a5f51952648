import type { PartIndex } from '../calendar'
import type { Amount } from '../quantities'
import { endId, type Model } from '../compile'
import type { Id, LevelUnit } from '../domain'
import type { Ledger } from './ledger'

/** One flow of one part: L (or uses) of an activity from one end to another. */
export interface Flow {
  part: PartIndex
  activity: Id
  from: Id
  to: Id
  amount: Amount
  unit: LevelUnit
}

/** The ledger's flows in part order, those with the same part, activity and ends added up, empty ones left out. */
export function flowsOf(model: Model, { amounts }: Ledger): Flow[] {
  const kinds = mergedStreams(model)
  const flows: Flow[] = []
  for (let part = 0; part < model.grid.count; part++)
    for (const { activity, from, to, unit, streams } of kinds) {
      const amount = streams.reduce((sum, s) => sum + amounts[s * model.grid.count + part]!, 0)
      if (amount !== 0) flows.push({ part, activity, from, to, amount, unit })
    }
  return flows
}

/** Streams with the same activity and ends, whatever fixture they pass. */
export function mergedStreams(model: Model): (Omit<Flow, 'part' | 'amount'> & { streams: number[] })[] {
  const merged = new Map<string, Omit<Flow, 'part' | 'amount'> & { streams: number[] }>()
  model.streams.forEach(({ activity, from, to }, s) => {
    const key = `${activity} ${from} ${to}`
    const known = merged.get(key)
    if (known) known.streams.push(s)
    else
      merged.set(key, {
        activity: model.activities[activity]!.id,
        from: endId(model, from),
        to: endId(model, to),
        unit: model.containers[to]?.unit ?? 'L',
        streams: [s],
      })
  })
  return [...merged.values()]
}
