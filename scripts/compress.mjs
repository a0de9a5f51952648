// Writes .br and .gz beside every text file of the build, for the server to send as they are.
import { readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { brotliCompressSync, constants, gzipSync } from 'node:zlib'

const TEXT = /\.(html|js|css|svg|json|webmanifest|wasm|txt)$/
const SMALLEST = 600

export function compressFolder(folder) {
  for (const name of readdirSync(folder)) {
    const path = join(folder, name)
    if (statSync(path).isDirectory()) compressFolder(path)
    else if (TEXT.test(name) && statSync(path).size > SMALLEST) {
      const bytes = readFileSync(path)
      writeFileSync(
        `${path}.br`,
        brotliCompressSync(bytes, { params: { [constants.BROTLI_PARAM_QUALITY]: 9 } }),
      )
      writeFileSync(`${path}.gz`, gzipSync(bytes, { level: 9 }))
    }
  }
}

compressFolder('dist')
