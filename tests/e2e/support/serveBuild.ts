import type { TestProject } from 'vitest/node'
import { createServer } from '../../../server/app'

/** Serves the build twice: with the demo, and without. */
export default async function setup(project: TestProject): Promise<() => Promise<void>> {
  const root = new URL('../../../dist', import.meta.url).pathname
  const demo = await createServer({ root, demo: true })
  const mine = await createServer({ root, demo: false })
  project.provide('demoUrl', await demo.listen({ port: 0, host: '127.0.0.1' }))
  project.provide('mineUrl', await mine.listen({ port: 0, host: '127.0.0.1' }))
  return async () => {
    await demo.close()
    await mine.close()
  }
}

declare module 'vitest' {
  interface ProvidedContext {
    demoUrl: string
    mineUrl: string
  }
}
