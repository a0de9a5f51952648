import * as edits from '@/document/edits'
import { action } from './action'

export const putChore = action('chore', edits.putChore)
export const removeChore = action('chore', edits.removeChore)
export const addUsualChores = action('chore', edits.addUsualChores)
export const setMediumStock = action('product', edits.setMediumStock)
