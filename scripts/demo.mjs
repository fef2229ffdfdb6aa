import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import { answers, portFree, runProgram, startProgram, tieTogether } from './children.mjs'
import { build, fail, installPackages, root } from './install.mjs'

const port = process.env.PORT ?? '4310'
const standinPort = process.env.STANDIN_PORT ?? '4311'
const smtpPort = process.env.STANDIN_SMTP_PORT ?? '4312'
const publicUrl = process.env.PUBLIC_URL ?? `http://localhost:${port}`
const data = path.resolve(root, process.env.ELOGIO_DATA ?? './data')
const database = path.join(data, 'elogio.db')
/** When the demo was filled: reviews on the other sites keep their dates. */
const sinceFile = path.join(data, 'demo-since')

installPackages()
build()
try {
  await portFree(port, 'PORT')
  await portFree(standinPort, 'STANDIN_PORT')
  await portFree(smtpPort, 'STANDIN_SMTP_PORT')
  if (process.argv.includes('--fresh')) rmSync(database, { force: true })
  const isFilled = existsSync(database)
  const since = isFilled && existsSync(sinceFile) ? readFileSync(sinceFile, 'utf8') : new Date().toISOString()
  // The made-up shop is connected to the outside sites while it is filled.
  const outside = startProgram('build/app/standins.js', {
    STANDIN_PORT: standinPort,
    STANDIN_SMTP_PORT: smtpPort,
    ELOGIO_URL: publicUrl,
    STANDIN_SINCE: since,
  })
  process.once('exit', () => outside.kill())
  await answers(`http://localhost:${standinPort}/`, outside)
  const env = { PORT: port, PUBLIC_URL: publicUrl, ELOGIO_DATA: data }
  if (!isFilled) {
    console.log('Filling a new data folder with the made-up shops.')
    await runProgram('demo/main.ts', { ...env, STANDIN_PORT: standinPort })
  }
  writeFileSync(sinceFile, since)
  const { owner } = await readMembers()
  const application = startProgram('build/app/main.js', {
    ...env,
    ELOGIO_ALLOW_HOSTS: process.env.ELOGIO_ALLOW_HOSTS ?? `localhost:${standinPort}`,
    ELOGIO_SITES: process.env.ELOGIO_SITES ?? `http://localhost:${standinPort}`,
    SMTP_URL: process.env.SMTP_URL ?? `smtp://localhost:${smtpPort}`,
    MAIL_FROM: process.env.MAIL_FROM ?? 'reviews@elogio.example',
    // The terminal shows where to go, without a line for each request.
    LOG_LEVEL: process.env.LOG_LEVEL ?? 'warn',
    ELOGIO_DEMO_SIGN_IN: `${owner.email}:${owner.password}`,
  })
  tieTogether([application, outside])
  await answers(`http://localhost:${port}/healthz`, application)
  console.log(
    `Elogio is ready at ${publicUrl} (sign in as ${owner.email} with ${owner.password}; it is filled in). ` +
      `The shop's own page is at http://localhost:${standinPort}, its form at ${publicUrl}/f/tell-us, ` +
      `and the emails it sends are at http://localhost:${standinPort}/mailbox.`,
  )
} catch (error) {
  fail(error instanceof Error ? error.message : String(error))
}

async function readMembers() {
  const { register } = await import('tsx/esm/api')
  const unregister = register()
  const members = await import('../demo/members.ts')
  await unregister()
  return members
}
