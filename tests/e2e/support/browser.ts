import { chromium, type Browser } from 'playwright-core'

const FLAGS = [
  '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking',
  '--disable-component-update', '--disable-sync',
] // prettier-ignore

/** Debian's Chromium, headless. */
export function launch(): Promise<Browser> {
  return chromium.launch({ executablePath: '/usr/bin/chromium', args: FLAGS })
}
