import MiniSearch from 'minisearch'
import { CARD_CAUTIONS, MISHAPS } from '@/core/cards'
import { CARD_KINDS, CAUTIONS, QUESTIONS, type Question } from '@/core/domain'
import { SOURCE_IDS } from '@/core/quantities'
import * as t from '@/texts/t'
import { handbookPages, plainText } from './handbook'
import { SEARCHING, searchTerm } from './searchTerm'

export type EntryKind = keyof typeof t.guide.kinds

/** One thing the guide tells. */
export interface GuideEntry {
  id: string
  kind: EntryKind
  title: string
  text: string
  /** What people type for it that it does not say itself. */
  asked: string
  /** Where it leads on; null: it is said here. */
  link: string | null
}

/** All that the guide tells, in the order of its sections. */
export function guideEntries(): GuideEntry[] {
  const entry = (
    kind: EntryKind,
    id: string,
    title: string,
    text: string,
    link: string | null = null,
  ): GuideEntry => ({
    id: `${kind}-${id}`,
    kind,
    title,
    text,
    asked: t.asked[`${kind}-${id}`] ?? '',
    link,
  })
  const questions = (Object.keys(QUESTIONS) as Question[]).map((question) => {
    const answers = Object.values(t.answerTexts[question]) as { name: string; reason: string }[]
    const text = `${answers.map(({ name, reason }) => `${name}: ${reason}`).join(' ')} ${t.questionTexts[question].why}`
    return entry('question', question, t.questionTexts[question].ask, text, '/guide/questions')
  })
  const { flush } = t.questions
  return [
    ...Object.entries({ ...t.terms, ...t.cardGlossary }).map(([id, { name, text }]) =>
      entry('term', id, name, text),
    ),
    entry(
      'question',
      'flush',
      flush.ask,
      `${flush.plenty.name}: ${flush.plenty.reason} ${flush.little.name}: ${flush.little.reason}`,
      '/guide/questions',
    ),
    ...questions,
    ...CARD_CAUTIONS.map((caution) => entry('caution', caution, t.cardCautions[caution], '')),
    ...CAUTIONS.map((caution) => entry('caution', `habit-${caution}`, t.cautions[caution], '')),
    ...MISHAPS.map((mishap) =>
      entry('mishap', mishap, t.mishaps[mishap].ask, t.mishaps[mishap].do.join(' ')),
    ),
    ...CARD_KINDS.map((kind) => entry('card', kind, t.cardNames[kind], t.cardFor[kind], '/cards')),
    ...Object.entries(t.guideScreens).map(([id, { name, text, to }]) => entry('screen', id, name, text, to)),
    ...handbookPages().flatMap(({ id, title, lead, parts }) => [
      entry('handbook', id, title, plainText(lead), `/guide/handbook/${id}`),
      ...parts.map((part, k) =>
        entry(
          'part',
          `${id}-${k}`,
          `${title}: ${part.title}`,
          plainText(part.markdown),
          `/guide/handbook/${id}?show=part-${k}`,
        ),
      ),
    ]),
    ...Object.entries(t.starters.habits).map(([id, { name, note }]) =>
      entry('habit', id, name, note, `/habits?show=habit-${id}`),
    ),
    ...Object.entries(t.chores.kind).map(([id, name]) => entry('chore', id, name, '', '/chores')),
    ...SOURCE_IDS.map((source) => entry('source', source, t.sources[source], '')),
    ...t.askLocally.map(({ ask, who }, k) => entry('ask', String(k), ask, who)),
  ]
}

/** Full-text search over the guide: parts of words, everyday words and slips of the finger are understood. */
export function guideSearch(entries: readonly GuideEntry[]): (words: string) => GuideEntry[] {
  const search = new MiniSearch<GuideEntry>({
    fields: ['title', 'asked', 'text'],
    processTerm: searchTerm,
    searchOptions: { ...SEARCHING, boost: { title: 3, asked: 2 } },
  })
  search.addAll(entries)
  const byId = new Map(entries.map((entry) => [entry.id, entry]))
  return (words) => search.search(words).flatMap(({ id }) => byId.get(String(id)) ?? [])
}
