import fc from 'fast-check'
import { isThorough } from './thorough'

/**
 * The examples of laws are the same in every run, so that a test that fails says that a change broke something. The proof
 * draws new ones each time; what it finds is kept as an example by hand.
 */
if (!isThorough) fc.configureGlobal({ seed: 20_270_911 })
