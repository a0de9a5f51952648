/** What holds documents against their rules: large, and not needed until something is edited, read again or opened. */
export type Checks = Pick<
  typeof import('@/document/checking'),
  'checked' | 'checkedEdit' | 'checkedEntry' | 'readDocument'
>

/** Fetched once, after what is to be shown is shown; a fetch that failed is tried again. */
export async function loadChecks(): Promise<Checks> {
  await new Promise((resolve) => setTimeout(resolve))
  return import('@/document/checking')
}
