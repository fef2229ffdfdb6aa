import { spawn, type ChildProcess } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { owner } from '../../demo/members'
import { databaseFile } from '../../server/dataFolder'
import { openDatabase } from '../../server/data/database'
import { CHECK_LISTING } from '../../server/listing/checkListingJob'
import { makeLive } from '../../server/publishing/draft'
import { copyDemo, copyMigrated, FILLED_SITE, SECRET } from './prepared'
import { addMember, addShop, send, testServices } from './shop'

const HOUR_MS = 3_600_000

/** The whole thing as people meet it: the application and the outside world, each on a port and in a process of its own. */
export interface Running {
  url: string
  shopUrl: string
  dataFolder: string
  /** The application's process. */
  pid: () => number
  /** Kills the application without a word, as a power cut would. */
  kill: () => Promise<void>
  restart: (env?: Record<string, string>) => Promise<void>
  stop: () => Promise<void>
}

/** Starts the demo on free ports with a data folder of its own, a copy of one that is filled once. */
export async function startDemo(more: Record<string, string> = {}): Promise<Running> {
  const env = {
    ELOGIO_DEMO_SIGN_IN: `${owner.email}:${owner.password}`,
    ELOGIO_THROTTLE: 'off',
    ...more,
  }
  return start(copyFilled, env, true)
}

/** A copy of what was filled once, for a stand-in site on another port. */
async function copyFilled(dataFolder: string, siteUrl: string): Promise<void> {
  await copyDemo(dataFolder)
  const db = await openDatabase(databaseFile(dataFolder))
  await db.raw('UPDATE shop SET site_url = replace(site_url, ?, ?)', [FILLED_SITE, siteUrl])
  await db.raw('UPDATE display_version SET configuration = replace(configuration, ?, ?)', [
    FILLED_SITE,
    siteUrl,
  ])
  for (const column of ['url', 'write_url'])
    await db.raw('UPDATE listing SET ?? = replace(??, ?, ?)', [column, column, FILLED_SITE, siteUrl])
  // Rows of a sheet are known by its address too: a check would bring all of them again.
  await db('job')
    .where({ kind: CHECK_LISTING })
    .update({ due_at: new Date(Date.now() + HOUR_MS).toISOString() })
  await db.raw("UPDATE review_version SET seen_url = replace(seen_url, ?, ?) WHERE seen_url <> ''", [
    FILLED_SITE,
    siteUrl,
  ])
  await db.destroy()
}

/** Starts one small shop, `wrenfield`, with a published display `wrenfield-page` and the member `mara@elogio.example`. */
export function startSmall(env: Record<string, string> = {}, mails = false): Promise<Running> {
  return start(
    async (dataFolder) => {
      await copyMigrated(dataFolder)
      const db = await openDatabase(databaseFile(dataFolder))
      const { services } = await testServices({ db, now: () => new Date() })
      const mara = await addMember(services, 'Mara')
      const shop = await addShop(services, 'wrenfield', [mara])
      await send(services, 'wrenfield')
      await makeLive(services, shop, mara, 'wrenfield-page')
      await db.destroy()
    },
    env,
    mails,
  )
}

/** Starts an installation that nobody has set up yet, beside the outside world. */
export function startEmpty(env: Record<string, string> = {}): Promise<Running> {
  return start(copyMigrated, env)
}

async function start(
  fill: (dataFolder: string, siteUrl: string) => Promise<void>,
  env: Record<string, string>,
  mails = false,
): Promise<Running> {
  const [port, shopPort, smtpPort] = await Promise.all([freePort(), freePort(), freePort()])
  const url = `http://localhost:${port}`
  const dataFolder = mkdtempSync(path.join(tmpdir(), 'elogio-data-'))
  await fill(dataFolder, `http://localhost:${shopPort}`)

  const startApplication = (more: Record<string, string> = {}) =>
    startProgram('build/app/main.js', `${url}/healthz`, {
      PORT: String(port),
      PUBLIC_URL: url,
      ELOGIO_DATA: dataFolder,
      ELOGIO_SECRET: SECRET,
      ELOGIO_ALLOW_HOSTS: `localhost:${shopPort}`,
      ELOGIO_SITES: `http://localhost:${shopPort}`,
      ...(mails && { SMTP_URL: `smtp://localhost:${smtpPort}`, MAIL_FROM: 'reviews@elogio.example' }),
      ...env,
      ...more,
    })
  const outside = await startProgram('build/app/standins.js', `http://localhost:${shopPort}/`, {
    STANDIN_PORT: String(shopPort),
    STANDIN_SMTP_PORT: String(smtpPort),
    ELOGIO_URL: url,
  })
  let application = await startApplication()
  return {
    url,
    shopUrl: `http://localhost:${shopPort}/`,
    dataFolder,
    pid: () => application.pid!,
    kill: () => ended(application, 'SIGKILL'),
    restart: async (more) => {
      application = await startApplication(more)
    },
    stop: async () => {
      await Promise.all([ended(application, 'SIGTERM'), ended(outside, 'SIGTERM')])
      rmSync(dataFolder, { recursive: true, force: true })
    },
  }
}

async function startProgram(
  file: string,
  health: string,
  env: Record<string, string>,
): Promise<ChildProcess> {
  const child = spawn(process.execPath, [file], {
    stdio: ['ignore', 'ignore', 'inherit'],
    env: { ...process.env, NODE_ENV: 'production', ...env },
  })
  while (child.exitCode === null) {
    const answer = await fetch(health).catch(() => null)
    if (answer?.ok) return child
    await new Promise((resolve) => setTimeout(resolve, 50))
  }
  throw new Error(`${file} ended with ${child.exitCode} before it answered`)
}

async function ended(child: ChildProcess, signal: NodeJS.Signals): Promise<void> {
  if (child.exitCode !== null || child.signalCode !== null) return
  const gone = new Promise((resolve) => child.once('exit', resolve))
  child.kill(signal)
  await gone
}

export function freePort(): Promise<number> {
  return new Promise((resolve, reject) => {
    const probe = createServer()
    probe.once('error', reject)
    probe.listen(0, () => {
      const address = probe.address()
      const port = typeof address === 'object' && address ? address.port : 0
      probe.close(() => resolve(port))
    })
  })
}
