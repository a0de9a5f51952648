/** Opaque, stable, never reused. The flow ends of `FLOW_ENDS` are reserved and never ids. */
export type Id = string

/** Where a flow may come from or go to besides a container. */
export const FLOW_ENDS = ['body', 'brought-in', 'consumed', 'carried-out', 'ground', 'kept'] as const
export type FlowEnd = (typeof FLOW_ENDS)[number]

/** Index of a model's container, of its activity, of its stream. */
export type ContainerIndex = number
export type ActivityIndex = number
export type StreamIndex = number
/** A model's container, or the code of a flow end (negative). */
export type EndCode = number

/** @throws RangeError where there is none */
export function found<T extends { id: Id }>(list: readonly T[], id: Id, what: string): T {
  const entry = list.find((candidate) => candidate.id === id)
  if (!entry) throw new RangeError(`no ${what} '${id}' in the document`)
  return entry
}
