import { chromium } from 'playwright-core'
import { createServer } from '../server/app.ts'
const app = await createServer({ root: new URL('../dist', import.meta.url).pathname, demo: true }); const url = await app.listen({ port: 0, host: '127.0.0.1' })
const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] })
// args: name hash phone|wide theme [open,ids|-] [full]
for (const spec of process.argv.slice(2)) {
  const [name, hash, size = 'wide', theme = 'light', open = '-', full = ''] = spec.split('~')
  const phone = size === 'phone'
  const c = await b.newContext({ viewport: phone ? { width: 390, height: 844 } : { width: 1280, height: 800 }, locale: 'en-GB', serviceWorkers: 'block', reducedMotion: 'reduce', isMobile: phone, hasTouch: phone })
  const p = await c.newPage(); p.on('pageerror', (e) => console.log('ERR', name, e.message)); p.on('console', (m) => m.type() === 'error' && console.log('CON', m.text()))
  await p.addInitScript(([t, o]) => { localStorage.setItem('dry-count:theme', t); if (o !== '-') localStorage.setItem('dry-count:open', JSON.stringify(o.split(','))) }, [theme, open])
  await p.goto(`${url}/#${hash}`); await p.waitForTimeout(3500)
  console.log(name, 'height', await p.evaluate(() => document.documentElement.scrollHeight), 'overflow', await p.evaluate(() => document.documentElement.scrollWidth - innerWidth))
  await p.screenshot({ path: `/tmp/shot-${name}.png`, fullPage: full === 'full' }); await c.close()
}
await b.close(); await app.close()
