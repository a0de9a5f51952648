/** After what is being rendered now is on the page: for what the first view need not wait for. */
export function later(): Promise<void> {
  return new Promise((resolve) => setTimeout(resolve))
}
