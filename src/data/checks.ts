/** What holds documents against their rules: large, and not needed until something is edited, read again or opened. */
export type Checks = Pick<
  typeof import('@/document/checking'),
  'checked' | 'checkedEdit' | 'checkedEntry' | 'gaveWay' | 'readDocument' | 'whatChanged'
>

const later = () => new Promise((resolve) => setTimeout(resolve))

/** Fetched once, after what is to be shown is shown; a fetch that failed is tried again. */
export async function loadChecks(): Promise<Checks> {
  // A piece at a time, the screen between two of them: all of the rules at once would hold it up.
  await later()
  await import('@/document/schema/zod')
  await later()
  await import('@/document/schema/logEntry')
  await later()
  return import('@/document/checking')
}
