// npm run dev: Vite's development server.
import { installPackages, requireNode, run } from './prepare.mjs'

requireNode()
installPackages()
process.exit(run('npx', ['vite', '--host', '127.0.0.1', ...process.argv.slice(2)]).status ?? 0)
