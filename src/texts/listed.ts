/** Names one after the other; those that have commas of their own stand apart by semicolons. */
export function listed(names: readonly string[]): string {
  return names.join(names.some((name) => name.includes(',')) ? '; ' : ', ')
}
