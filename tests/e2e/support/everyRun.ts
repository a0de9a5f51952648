/**
 * Tests that are in every run, by how they begin: what holds data, safety or the count together. The others are in three shares,
 * of which each day has one and the proof all.
 */
export const EVERY_RUN = [
  'a dump with a rinse',
  'shows two tabs',
  'undoes and redoes',
  'a full disk',
  'a finger that scrolls',
  'counts from now',
  'is planned before',
  'twenty uses',
  'the whole panel',
  'a tab that is killed',
  'loses nothing',
  'a walk and a shower',
  'by touch: each of the three',
  'opens the demo',
  'follows a level',
  'keeps an edited',
  'exports, clears',
  'shows the count with less',
  'keeps the room',
  'panel, uses',
  'builds a rig',
  'says on Camp',
  'reaches nine',
  'a run to a place',
  'the nights of three',
  'an ordinary family',
  'the second of two',
  'the next best thing is done',
  'has nothing for axe',
  'answers how long and what first',
  'screens are no longer',
]

/** The share of a test, 0 to 2: by its name, so that a new one does not move the others. */
export const shareOf = (name: string) => Buffer.from(name).reduce((sum, byte) => sum + byte, 0) % 3
