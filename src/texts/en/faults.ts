import type { DocumentFault, FaultCode } from '@/document'

type Words = (fault: DocumentFault) => string

/** What is wrong, in the owner's words; one per code. */
export const faults: Record<FaultCode, Words> = {
  'too-large': ({ found, expected }) => `The file is ${found}; Dry Count reads up to ${expected}.`,
  'not-json': () => 'This is not a Dry Count file: it does not read as JSON.',
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
  'draws-from-waste': () => 'A fixture draws from a fresh tank, not from a waste tank.',
  'drains-into-supply': () => 'A fixture drains into a waste tank, never into fresh water.',
  'shares-not-one': ({ found }) =>
    `The fixtures of one role share it: the shares must add up to 1 (${found}).`,
  'weights-not-one': ({ found }) => `The four parts of the day must add up to 1, not ${found}.`,
  'level-missing': ({ found }) => `The stay has no starting level for ${found}.`,
  'level-unknown': ({ found }) => `A starting level names ${found}, which the rig does not have.`,
  'reserve-over-capacity': () => 'The reserve must be smaller than the tank.',
  'ends-before-start': () => 'You leave before you arrive.',
  'beyond-horizon': ({ expected }) => `The stay is longer than the ${expected} days Dry Count looks ahead.`,
  'days-reversed': ({ found }) => `The days run backwards: ${found}.`,
  'rate-of-crew-activity': ({ found }) =>
    `${found} is counted for the whole crew, so nobody has a rate of their own.`,
  rationed: ({ found }) =>
    `No habit may cut down on this: ${found}. Drinking and hand-washing are never rationed.`,
  'rivals-on': ({ found }) => `${found} and a habit it replaces are both on.`,
  'listed-twice': ({ found }) => `${found} is listed twice.`,
}

function typeWords(expected: string): string {
  const words: Record<string, string> = {
    string: 'text', number: 'a number', int: 'a whole number', array: 'a list', object: 'a group of fields', tuple: 'a short list',
  } // prettier-ignore
  return words[expected] ?? expected
}
