import { speakWith, type Translate } from './group'
import { localeFor, writeAs } from './locale'
import type * as catalogue from './t'

/** All texts, a group per screen: a language is one object of this type, typed against the English one. */
export type Catalogue = typeof catalogue

interface Language {
  /** Of its weekdays, months and plurals, `de`. */
  words: string
  load: () => Promise<Translate>
}
/** A language of its own file: `{ words: 'de', load: () => import('./de').then(({ de }) => fromCatalogue(de)) }`. */
const LANGUAGES: Record<string, Language> = {
  pseudo: { words: 'de', load: () => import('./pseudo').then(({ pseudo }) => pseudo) },
}
const KEY = 'dry-count:language'

export const fromCatalogue =
  (language: Catalogue): Translate =>
  (name) =>
    (language as unknown as Record<string, never>)[name] ?? ({} as never)

/** The language of this browser, or null where it is the one that is there anyway: then nothing has to be waited for. */
export function languageChosen(): string | null {
  try {
    const chosen = localStorage.getItem(KEY)
    return chosen !== null && Object.hasOwn(LANGUAGES, chosen) ? chosen : null
  } catch {
    // A browser that keeps nothing has chosen nothing.
    return null
  }
}

/** @param tag what the browser names, `de-AT`: numbers, clock and dates follow it */
export async function speak(language: string | null, tag: string): Promise<void> {
  const chosen = language === null ? undefined : LANGUAGES[language]
  writeAs(localeFor(chosen?.words ?? 'en', tag))
  if (!chosen) return
  speakWith(await chosen.load())
  document.documentElement.lang = chosen.words
}
