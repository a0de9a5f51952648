// npm run serve: the build, without the demo. npm start is the same with it.
import { spawn } from 'node:child_process'
import { build, installPackages, requireNode } from './prepare.mjs'

const LOOK_MS = 500

export function serve(extra) {
  requireNode()
  installPackages()
  build()
  const server = spawn(
    process.execPath,
    ['--import', 'tsx', 'server/main.ts', ...extra, ...process.argv.slice(2)],
    // The channel closes when this process ends, however it ends, and the server ends with it.
    { stdio: ['inherit', 'inherit', 'inherit', 'ipc'] },
  )
  for (const signal of ['SIGTERM', 'SIGINT', 'SIGHUP']) process.on(signal, () => server.kill(signal))
  server.on('exit', (code) => process.exit(code === null ? 1 : code))
  if (process.env.npm_lifecycle_event !== undefined) endWith(process.ppid, server)
}

/** npm may be ended without telling anybody. */
function endWith(starter, server) {
  setInterval(() => {
    if (process.ppid !== starter) server.kill('SIGTERM')
  }, LOOK_MS).unref()
}

if (process.argv[1]?.endsWith('serve.mjs')) serve([])
