/** The luck of the trips: one for all, so that what differs between two answers is the stay. */
export const SEED = 20_270
