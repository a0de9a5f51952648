/** Opaque, stable, never reused. The flow ends of `FLOW_ENDS` are reserved and never ids. */
export type Id = string

/** Where a flow may come from or go to besides a container. */
export const FLOW_ENDS = ['body', 'brought-in', 'consumed', 'carried-out', 'ground', 'kept'] as const
export type FlowEnd = (typeof FLOW_ENDS)[number]
