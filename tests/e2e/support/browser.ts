import { chromium, type Browser } from 'playwright-core'

const FLAGS = [
  '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking',
  '--disable-component-update', '--disable-sync',
] // prettier-ignore

/** Debian's Chromium. */
export const CHROMIUM = '/usr/bin/chromium'

/** The same, headless. */
export function launch(): Promise<Browser> {
  return chromium.launch({ executablePath: CHROMIUM, args: FLAGS })
}
