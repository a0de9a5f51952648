let rules: Intl.PluralRules | null = null

/**
 * What is said of one, or of any other number, by the rules of English. A number that comes as text is one only where it is
 * shown as `1`: "1.0 days".
 */
export function plural(n: number | string, one: string, other: string): string {
  if (typeof n === 'string' && !/^\d+$/.test(n)) return other
  rules ??= new Intl.PluralRules('en')
  return rules.select(Number(n)) === 'one' ? one : other
}
