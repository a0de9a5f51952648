// npm run bench: the benchmarks bundled as the product is, since code that is loaded module by module runs slower.
import { spawnSync } from 'node:child_process'
import { fileURLToPath } from 'node:url'
import { build } from 'vite'

const path = (name) => fileURLToPath(new URL(`../${name}`, import.meta.url))
const outDir = path('node_modules/.cache/dry-count/bench')

await build({
  configFile: false,
  root: path('.'),
  logLevel: 'warn',
  publicDir: false,
  resolve: { alias: { '@': path('src') } },
  ssr: { noExternal: true, external: ['playwright-core', 'fastify', '@fastify/static'] },
  build: {
    ssr: true,
    target: 'es2022',
    minify: true,
    outDir,
    emptyOutDir: true,
    rolldownOptions: {
      input: ['main', 'riskThread', 'riskMemory'].map((name) => path(`bench/${name}.ts`)),
      output: { entryFileNames: '[name].mjs' },
    },
  },
})
process.exitCode =
  spawnSync(process.execPath, [`${outDir}/main.mjs`, ...process.argv.slice(2)], {
    cwd: path('.'),
    stdio: 'inherit',
  }).status ?? 1
