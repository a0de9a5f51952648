/**
 * How numbers, clocks and dates are written: the words are those of the language, the rest is the custom of the place that the
 * browser names. A German browser with English words has `4,5`, `16:00` and `Thu 16 Sept`; an American one `4.5`, `4 pm` and
 * `Thu Sep 16`.
 */
export interface Locale {
  /** Of digits and their separators, always with Latin digits. */
  numbers: string
  /** Of weekdays, months and their order. */
  dates: string
  isTwelveHours: boolean
  /** What parts a whole from its decimals, when it is shown and when it is typed. */
  decimal: '.' | ','
}

/** What tests, the command line and a browser that names nothing have. */
export const PLAIN_LOCALE: Locale = localeFor('en', 'en-GB')
let inUse = PLAIN_LOCALE

export const localeInUse = (): Locale => inUse

/** Asked for once, before anything is shown. */
export function writeAs(locale: Locale): void {
  inUse = locale
}

/** @param language of the words, `en`; @param tag what the browser names, `de-AT`; one it does not know is as if it named none */
export function localeFor(language: string, tag: string): Locale {
  const known = canonical(tag) ?? 'en-GB'
  const { region } = new Intl.Locale(known).maximize()
  const own = `${language}-${region}`
  const isKnown = new Intl.DateTimeFormat(own).resolvedOptions().locale === own
  const { hourCycle } = new Intl.DateTimeFormat(known, { hour: 'numeric' }).resolvedOptions()
  const numbers = `${new Intl.Locale(known).baseName}-u-nu-latn`
  return {
    ...{ numbers, dates: isKnown ? own : language === 'en' ? 'en-GB' : language },
    isTwelveHours: hourCycle === 'h12' || hourCycle === 'h11',
    decimal: new Intl.NumberFormat(numbers).format(1.5).includes(',') ? ',' : '.',
  }
}

function canonical(tag: string): string | null {
  try {
    return Intl.getCanonicalLocales(tag)[0] ?? null
  } catch {
    // Such as `C` on a bare system.
    return null
  }
}
