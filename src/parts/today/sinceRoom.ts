import { room } from '@/ui/room'

/** What moved since yesterday takes as many lines as it usually does. */
export const sinceRoom = room('min-h-[3.15rem]')
