/**
 * The language in use, imported as a whole (`import * as t`): what a screen does not name does not come with it.
 */
export * from './en'
