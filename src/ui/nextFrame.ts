/** Until what stands now is drawn; in a tab that nobody sees, until it is. */
export function nextFrame(): Promise<void> {
  return new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve)))
}
