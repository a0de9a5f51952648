import { ref } from 'vue'

const MOVES: Record<string, [number, number]> = {
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
  ArrowUp: [-1, 0],
  ArrowDown: [1, 0],
}

/**
 * One tab stop for a grid of buttons; arrows, Home and End walk inside it. Buttons carry `data-row` and `data-col`.
 * @param container the element that holds them
 */
export function useGridKeys(container: () => HTMLElement | null) {
  const row = ref(0)
  const col = ref(0)
  const find = (r: number, c: number) =>
    container()?.querySelector<HTMLElement>(`[data-row="${r}"][data-col="${c}"]:not(:disabled)`) ?? null

  function focusAt(r: number, c: number): boolean {
    const target = find(r, c)
    if (!target) return false
    row.value = r
    col.value = c
    target.focus()
    target.scrollIntoView({ block: 'nearest', inline: 'nearest' })
    return true
  }

  function onKeydown(event: KeyboardEvent) {
    const move = MOVES[event.key]
    if (move) focusAt(row.value + move[0], col.value + move[1])
    else if (event.key === 'Home') focusAt(row.value, firstInRow())
    else if (event.key === 'End') focusAt(row.value, lastInRow())
    else return
    event.preventDefault()
  }

  const inRow = () => [
    ...(container()?.querySelectorAll<HTMLElement>(`[data-row="${row.value}"]:not(:disabled)`) ?? []),
  ]
  const colOf = (element: HTMLElement | undefined) => Number(element?.dataset.col ?? col.value)
  const firstInRow = () => colOf(inRow()[0])
  const lastInRow = () => colOf(inRow().at(-1))

  /** Where the focus went, by pointer or by tab. */
  function onFocusin(event: FocusEvent) {
    const { row: r, col: c } = (event.target as HTMLElement).dataset
    if (r === undefined || c === undefined) return
    row.value = Number(r)
    col.value = Number(c)
  }

  const tabindex = (r: number, c: number) => (r === row.value && c === col.value ? 0 : -1)

  /** The tab stop at the start: a grid may begin with buttons that are off. */
  function startAt(r: number, c: number) {
    row.value = r
    col.value = c
  }

  return { onKeydown, onFocusin, tabindex, startAt }
}
