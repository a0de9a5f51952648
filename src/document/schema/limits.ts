/** Bounds of a document: wide enough for any camper, narrow enough that a slip of the keyboard is noticed. */
export const LIMITS = {
  capacityL: { min: 0.1, max: 20_000 },
  levelL: { min: 0, max: 20_000 },
  volumeL: { min: 0, max: 1_000 },
  ratePerDay: { min: 0, max: 200 },
  factor: { min: 0, max: 20 },
  spread: { min: 0, max: 3 },
  bother: { min: 0, max: 5 },
  horizonDays: { min: 1, max: 366 },
  share: { min: 0, max: 1 },
  day: { min: 0, max: 366 },
  nameLength: 80,
  noteLength: 400,
  idLength: 64,
  /** Per list: rigs, containers, activities, habits and so on. */
  entries: 200,
  persons: 60,
  absences: 10_000,
  fileBytes: 50 * 1024 * 1024,
} as const
