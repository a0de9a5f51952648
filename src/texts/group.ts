/** One group of texts in another language, made from its name and the English one, which has the same shape. */
export type Translate = <T extends object>(name: string, english: T) => T

/** Groups that were asked for so far: with each screen come its own. */
const groups = new Map<string, object>()
let translate: Translate | null = null

/** A group of texts, English in the code, in the language that is spoken wherever it is shown. */
export function group<T extends object>(name: string, english: T): T {
  groups.set(name, english)
  if (translate) putInPlace(english, translate(name, english))
  return english
}

/** From now on every group speaks so; asked for once, before anything is shown. */
export function speakWith(language: Translate): void {
  translate = language
  for (const [name, english] of groups) putInPlace(english, language(name, english))
}

function putInPlace(target: object, source: object): void {
  const into = target as Record<string, unknown>
  for (const [key, value] of Object.entries(source)) {
    const there = into[key]
    if (isGroup(value) && isGroup(there)) putInPlace(there, value)
    else into[key] = value
  }
}

const isGroup = (value: unknown): value is object => typeof value === 'object' && value !== null
