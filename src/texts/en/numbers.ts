const NUMBERS = [
  'no',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve',
]

/** Small numbers as words, the rest as figures. */
export function spelled(n: number): string {
  return NUMBERS[n] ?? String(n)
}
