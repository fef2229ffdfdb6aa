import { spawn } from 'node:child_process'
import { root } from './install.mjs'

/** Starts a program of the project, from its source if it is TypeScript. */
export function startProgram(file, env) {
  const loader = file.endsWith('.ts') ? ['--import', 'tsx'] : []
  return spawn(process.execPath, [...loader, file], {
    cwd: root,
    stdio: ['ignore', 'inherit', 'inherit'],
    env: { NODE_ENV: 'production', ...process.env, ...env },
  })
}

/** Runs a program to its end; rejects if it fails. */
export function runProgram(file, env) {
  return new Promise((resolve, reject) => {
    startProgram(file, env).on('exit', (code) =>
      code === 0 ? resolve() : reject(new Error(`${file} ended with ${code}`)),
    )
  })
}

/** Stops all of them with this process, and this process when one of them ends. */
export function tieTogether(children) {
  let stopping = false
  const stop = (code) => {
    if (stopping) return
    stopping = true
    for (const child of children) child.kill('SIGTERM')
    const alive = children.filter((child) => child.exitCode === null && child.signalCode === null)
    let left = alive.length
    if (left === 0) process.exit(code)
    for (const child of alive) child.on('exit', () => --left === 0 && process.exit(code))
  }
  for (const child of children) child.on('exit', (code) => stop(code ?? 1))
  process.on('SIGINT', () => stop(0))
  process.on('SIGTERM', () => stop(0))
}

/** Waits until an address answers or the process ends. */
export async function answers(url, child) {
  while (child.exitCode === null) {
    const answer = await fetch(url).catch(() => null)
    if (answer?.ok) return
    await new Promise((resolve) => setTimeout(resolve, 100))
  }
  throw new Error(`${url} does not answer`)
}

/** Rejects with a clear message if a port is taken. */
export async function portFree(port, variable) {
  const { createServer } = await import('node:net')
  await new Promise((resolve, reject) => {
    const probe = createServer()
    probe.once('error', () => reject(new Error(`Port ${port} is taken. Set ${variable} to a free one.`)))
    probe.listen(port, () => probe.close(resolve))
  })
}
