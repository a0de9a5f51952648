import type { DocumentFault, FaultCode } from '@/document'
import * as words from './words'
import { group } from '../group'

type Words = (fault: DocumentFault) => string

/** What is wrong, in the owner's words; one per code. */
export const faults: Record<FaultCode, Words> = /* @__PURE__ */ group('faults', {
  'too-large': ({ found, expected }) => `The file is ${found}; Dry Count reads up to ${expected}.`,
  'not-json': () => 'This is not a Dry Count file: it does not read as JSON.',
  'cut-short': () =>
    'This is a Dry Count file, but its end is missing: it was cut off while it was copied or saved. Use the original.',
  foreign: () => 'This is not a Dry Count file.',
  'too-new': ({ found }) =>
    `The file was written by a newer Dry Count (version ${found}). Update, then open it again.`,
  'unknown-version': ({ found, expected }) => `The file says it is version ${found}; known are ${expected}.`,
  missing: () => 'Something is missing here.',
  'wrong-type': ({ found, expected }) => `Found ${found}, expected ${typeWords(expected)}.`,
  'unknown-field': ({ found }) => `${found} does not belong here.`,
  'too-small': ({ expected }) => `It cannot be less than ${expected}.`,
  'too-big': ({ expected }) => `It cannot be more than ${expected}.`,
  'bad-choice': ({ found, expected }) => `Found ${found}${expected === '' ? '' : `, expected ${expected}`}.`,
  'too-long': ({ expected }) => `Too long: ${expected} characters at most.`,
  'too-many': ({ expected }) => `Too many: ${expected} at most.`,
  'too-few': ({ expected }) => `Too few: at least ${expected}.`,
  'bad-text': () => 'Names are plain text: no angle brackets or control characters, and not empty.',
  'bad-time': ({ found }) => `${found} is not a date and time.`,
  'reserved-id': ({ found }) => `${found} is a reserved word and cannot be an id.`,
  'duplicate-id': ({ found }) => `The id ${found} is used twice.`,
  dangling: ({ found, expected }) => `There is no ${expected} ${found}.`,
  'draws-from-waste': () => 'A fixture draws from fresh or flush water, not from a waste tank.',
  'drains-into-supply': () =>
    'A loop: a fixture drains into a waste container, never back into the water it draws from.',
  'shares-not-one': ({ found }) =>
    `The fixtures of one role share it: the shares must add up to 1 (${found}).`,
  'weights-not-one': ({ found }) => `The four parts of the day must add up to 1, not ${found}.`,
  'level-missing': ({ found }) => `The stay has no starting level for ${found}.`,
  'level-unknown': ({ found }) => `A starting level names ${found}, which the rig does not have.`,
  'reserve-over-capacity': () => 'The reserve must be smaller than the tank.',
  'step-astray': () =>
    'A step of an errand must say from where to where: waste never goes into fresh water, and a bin is emptied by itself.',
  'ends-before-start': () => 'You leave before you arrive.',
  'stretch-backwards': () => 'The stretch ends before it begins.',
  'beyond-horizon': ({ expected }) => `The stay is longer than the ${expected} days Dry Count looks ahead.`,
  'days-reversed': ({ found }) => `The days run backwards: ${found}.`,
  'rate-of-crew-activity': ({ found }) =>
    `${found} is counted for the whole crew, so nobody has a rate of their own.`,
  rationed: ({ found }) =>
    `No habit may cut down on this: ${found}. Drinking and hand-washing are never rationed.`,
  'rivals-on': ({ found }) => `${found} and a habit it replaces are both on.`,
  'follows-later': ({ found }) => `${found} would follow a stay that begins no earlier.`,
  'listed-twice': ({ found }) => `${found} is listed twice.`,
  'liquid-into-solids': () =>
    'A solids bin must stay damp, not wet: nothing drains into it. Give it as the place for solids.',
  'solids-astray': () => 'Solids go to a solids bin, a cassette or a black tank.',
  'two-outlets': ({ found }) => `${found} already meets the others at another outlet.`,
  'joined-alone': ({ found }) => `At least two tanks have to be open to each other; ${found} is alone.`,
  'joined-without-end-valve': ({ found }) =>
    `${found} has no end valve: open tanks would run out at the cap.`,
  'no-vessel': ({ found }) => `${found} keeps water for later but has nothing to keep it in.`,
  'gray-reuse': ({ found }) =>
    `Water that was used once is only for the toilet, and nobody drinks what was caught. ${found} cannot have it.`,
  'reuse-loop': ({ found }) => `A loop: ${found} would draw the water that it gives.`,
  'gear-missing': ({ found, expected }) =>
    `${found} needs ${gearWords(expected)}, which the rig does not list.`,
  'not-allowed': ({ found, expected }) =>
    `${found} needs a rule of the land that is not recorded as allowing it: ${ruleWords(expected)}.`,
  'night-before-day': () => 'The sun sets after it rises.',
  'body-changed': ({ found }) => `${found}: no habit can change how much a body gives.`,
  'probes-fall': () => 'The marks of a panel rise from the lowest to the highest.',
})

function gearWords(gear: string): string {
  return gear
    .split(', ')
    .map((item) => words.gearNames[item as keyof typeof words.gearNames] ?? item)
    .join(' and ')
}

function ruleWords(rule: string): string {
  return (words.landRules[rule as keyof typeof words.landRules] ?? rule).toLowerCase()
}

function typeWords(expected: string): string {
  const words: Record<string, string> = {
    string: 'text',
    number: 'a number',
    int: 'a whole number',
    array: 'a list',
    object: 'a group of fields',
    tuple: 'a short list',
  }
  return words[expected] ?? expected
}
