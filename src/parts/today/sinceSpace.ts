import { heldSpace } from '@/ui/heldSpace'

/** What moved since yesterday takes as many lines as it usually does. */
export const sinceSpace = heldSpace('min-h-[3.15rem]')
