import type { Quantity } from '../quantities'

/**
 * Questions in which good practitioners disagree, and the sides of each, the default first. Flush water has its own place
 * (`FlushHabits`), and so has a solids bin's medium.
 */
export const QUESTIONS = {
  'valve-first': ['black', 'gray-pulse'],
  'dump-black': ['two-thirds', 'full', 'every-move'],
  'gray-at-hookup': ['shut', 'open'],
  paper: ['thin', 'dissolving', 'any', 'none'],
  'paper-mixed': ['all-alike', 'first-flushed'],
  treatment: ['biological', 'chemical', 'household', 'none'],
  'treatment-rhythm': ['emptying', 'weekly'],
  'gray-treated': ['standing', 'always', 'never'],
  'rinse-way': ['open', 'metered', 'back-fill'],
  'rinse-when': ['every-dump', 'every-move', 'convenient'],
  'rinse-water': ['after', 'before', 'with-gray'],
  'on-the-road': ['dry', 'cleaner'],
  charge: ['small', 'none', 'large', 'fifth'],
  'first-connection': ['ground', 'rig'],
  'hose-wash': ['gray', 'fresh', 'soap'],
  'solids-aboard': ['any', 'never'],
  'fresh-left': ['drained', 'into-black'],
  'fresh-driving': ['reserve', 'full'],
  'cassette-uses': ['all', 'liquids'],
  'cassette-when': ['weight', 'light'],
  'cassette-rinse': ['twice', 'soaked'],
  'cassette-flush': ['plain', 'product'],
  'cassette-dose': ['liquid', 'sachet'],
  seals: ['lubricant', 'olive-oil'],
  'bowl-water': ['some', 'none'],
  bowl: ['wipes', 'vinegar', 'brush'],
  vent: ['always', 'aired'],
  outdoors: ['never', 'allowed'],
} as const
export type Question = keyof typeof QUESTIONS
export type AnswerOf<Q extends Question> = (typeof QUESTIONS)[Q][number]
export type Answers = { [Q in Question]: AnswerOf<Q> }

/** The owner's sides, and the numbers that go with them. */
export interface CrewAnswers {
  sides: Answers
  /** L of a small and of a large charge, and the share of the tank that 'a fifth' is. */
  smallCharge: Quantity
  largeCharge: Quantity
  chargeShare: Quantity
  /** Share of black's capacity under which it is not dumped, and up to which it is topped up. */
  blackThreshold: Quantity
  topUpTo: Quantity
  /** L of fresh water kept for the road. */
  roadReserve: Quantity
  /** L of gray that wash the hose. */
  hoseGray: Quantity
  /** Share of capacity that a rinse fills, rounds of it, and L a minute of the hose. */
  rinseTo: Quantity
  rinseRounds: Quantity
  hoseFlow: Quantity
}

/** What the owner would pay to be spared one of each, in the owner's money. */
export interface CostWeights {
  /** What a unit of a fee counts; 1 as it is. */
  money: Quantity
  minute: Quantity
  kilometre: Quantity
  /** A litre carried by hand. */
  litre: Quantity
  /** A point of bother, and of a habit a day of it. */
  bother: Quantity
}
