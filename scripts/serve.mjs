// npm run serve: the build, without the demo. npm start is the same with it.
import { build, installPackages, requireNode, run } from './prepare.mjs'

export function serve(extra) {
  requireNode()
  installPackages()
  build()
  const done = run(process.execPath, [
    '--import',
    'tsx',
    'server/main.ts',
    ...extra,
    ...process.argv.slice(2),
  ])
  process.exit(done.status ?? 0)
}

if (process.argv[1]?.endsWith('serve.mjs')) serve([])
