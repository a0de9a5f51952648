import { group } from '../group'

/** What is said beside a field. */
export const field = /* @__PURE__ */ group('field', {
  empty: 'Put in a number.',
  'not-a-number': (found: string) => `“${found}” is not a number Dry Count can read.`,
  'unknown-unit': (found: string) => `Dry Count does not know the unit “${found}”.`,
  'wrong-dimension': (found: string) => `“${found}” is not a unit that fits here.`,
  atLeast: (min: string) => `At least ${min}, please.`,
  atMost: (max: string) => `At most ${max}, please.`,
  counted: { number: '', uses: 'uses', minutes: 'min' },
  kept: (good: string) => `Still counting with ${good}.`,
})
