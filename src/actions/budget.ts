import * as edits from '@/document/edits'
import { action } from './action'

export const setGoal = action('budget', edits.setGoal)
export const setBudgetConfidence = action('budget', edits.setBudgetConfidence)
export const setApart = action('budget', edits.setApart)
export const setSaves = action('budget', edits.setSaves)
export const addSwap = action('budget', edits.addSwap)
export const dropSwaps = action('budget', edits.dropSwaps)
export const declineAdvice = action('budget', edits.declineAdvice)
export const hearAllAdvice = action('budget', edits.hearAllAdvice)
