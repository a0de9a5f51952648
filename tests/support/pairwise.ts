/** Fields with their values, as a test varies them. */
export type Fields = Record<string, readonly unknown[]>
export type Choice = Record<string, unknown>

/** How many there are of all combinations. */
export function sizeOf(fields: Fields): number {
  return Object.values(fields).reduce((size, values) => size * values.length, 1)
}

/** Every combination. */
export function allOf(fields: Fields): Choice[] {
  return Object.entries(fields).reduce<Choice[]>(
    (choices, [name, values]) =>
      choices.flatMap((choice) => values.map((value) => ({ ...choice, [name]: value }))),
    [{}],
  )
}

/**
 * So few combinations that every two values of two fields meet in one of them: each is begun with a pair that has not met yet,
 * and filled up with what brings the most new pairs.
 */
export function pairwise(fields: Fields): Choice[] {
  const names = Object.keys(fields)
  const open = new Set<string>()
  const key = (a: number, i: number, b: number, j: number) =>
    a < b ? `${a} ${i} ${b} ${j}` : `${b} ${j} ${a} ${i}`
  names.forEach((first, a) =>
    names
      .slice(a + 1)
      .forEach((second, k) =>
        fields[first]!.forEach((_, i) =>
          fields[second]!.forEach((__, j) => open.add(key(a, i, a + 1 + k, j))),
        ),
      ),
  )
  const rows: number[][] = []
  while (open.size > 0) {
    const [a, i, b, j] = [...open][0]!.split(' ').map(Number) as [number, number, number, number]
    const row = names.map((_, n) => (n === a ? i : n === b ? j : -1))
    names.forEach((name, n) => {
      if (row[n]! >= 0) return
      const news = fields[name]!.map(
        (_, v) => row.filter((at, m) => at >= 0 && open.has(key(n, v, m, at))).length,
      )
      row[n] = news.indexOf(Math.max(...news))
    })
    row.forEach((v, n) => row.slice(n + 1).forEach((w, k) => open.delete(key(n, v, n + 1 + k, w))))
    rows.push(row)
  }
  return rows.map((row) => Object.fromEntries(names.map((name, n) => [name, fields[name]![row[n]!]])))
}
