import { spawn } from 'node:child_process'
import net from 'node:net'

/** Runs a program to its end; rejects with what it printed when it fails. */
export function run(command, args, options = {}) {
  return new Promise((resolve, reject) => {
    const quiet = options.quiet ?? false
    const child = spawn(command, args, {
      ...options,
      stdio: quiet ? ['ignore', 'pipe', 'pipe'] : ['ignore', 'inherit', 'inherit'],
    })
    let output = ''
    child.stdout?.on('data', (data) => {
      output += data
    })
    child.stderr?.on('data', (data) => {
      output += data
    })
    child.on('error', reject)
    child.on('close', (code) => {
      if (code === 0) resolve(output)
      else reject(new Error(`${command} ${args.join(' ')} failed (${code})\n${output}`))
    })
  })
}

/** A port of the loopback interface that nobody listens on: `wanted` when it is free. */
export function freePort(wanted = 0) {
  return new Promise((resolve, reject) => {
    const probe = net.createServer()
    probe.once('error', (error) => {
      if (wanted === 0) reject(error)
      else resolve(freePort())
    })
    probe.listen(wanted, '127.0.0.1', () => {
      const { port } = probe.address()
      probe.close(() => resolve(port))
    })
  })
}

export const isAlive = (pid) => {
  try {
    process.kill(pid, 0)
    return true
  } catch (error) {
    return error.code === 'EPERM'
  }
}
