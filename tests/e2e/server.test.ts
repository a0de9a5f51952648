import { spawn } from 'node:child_process'
import { expect, it, vi } from 'vitest'

const STARTER = `
  const args = ['--import', 'tsx', 'server/main.ts', '--port', '0']
  const stdio = ['ignore', 'pipe', 'inherit', 'ipc']
  const server = require('node:child_process').spawn(process.execPath, args, { stdio })
  server.stdout.on('data', (data) => process.stdout.write(server.pid + ' ' + data))
`

function isAlive(pid: number): boolean {
  try {
    return process.kill(pid, 0)
  } catch {
    return false
  }
}

it('the server ends with the process that started it, however that ends', async () => {
  const starter = spawn(process.execPath, ['-e', STARTER], { stdio: ['ignore', 'pipe', 'inherit'] })
  const line = await new Promise<string>((resolve) => {
    starter.stdout.once('data', (data: Buffer) => resolve(String(data)))
  })
  const pid = Number(line.split(' ')[0])
  expect(line).toContain('Dry Count is at')
  expect(isAlive(pid)).toBe(true)
  starter.kill('SIGKILL')
  await vi.waitFor(() => expect(isAlive(pid)).toBe(false), { timeout: 10_000 })
})
