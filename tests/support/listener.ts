import { mkdtempSync, rmSync } from 'node:fs'
import { connect, type Socket } from 'node:net'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { startApplication, type Overrides } from '../../server/application'
import { readConfig } from '../../server/config'
import type { Shop } from '../../server/data/shops'
import { buildLog } from '../../server/log'
import type { Mailer } from '../../server/mail/mailer'
import type { Services } from '../../server/services'
import { inlineWorkers } from '../../server/workers/inline'
import { copyMigrated } from './prepared'
import { notePlans } from './queryPlans'
import { addMember, addShop, type TestMember } from './shop'

export type Sent = Parameters<Mailer['send']>[0]

/** The whole application in this process, behind its real listener, with one small shop. */
export interface Listening {
  url: string
  port: number
  dataFolder: string
  services: Services
  shop: Shop
  member: TestMember
  /** What a test moves. */
  clock: { now: Date }
  /** Lines of the log, as they were written. */
  log: Record<string, unknown>[]
  /** Emails that went out. */
  mails: Sent[]
  /** Ends the application as a signal would; its data folder stays. */
  close: () => Promise<void>
  stop: () => Promise<void>
}

/**
 * @param env configuration as environment variables; throttles are on unless it says otherwise
 * @param overrides long work is done in this thread unless they say otherwise: starting one takes two seconds
 */
export async function startListener(
  env: Record<string, string> = {},
  overrides: Overrides = {},
): Promise<Listening> {
  const dataFolder = mkdtempSync(path.join(tmpdir(), 'elogio-listener-'))
  await copyMigrated(dataFolder)
  const clock = { now: new Date('2026-11-25T12:00:00Z') }
  const log: Record<string, unknown>[] = []
  const mails: Sent[] = []
  const config = readConfig({ PORT: '0', ELOGIO_DATA: dataFolder, PUBLIC_URL: 'http://localhost', ...env })
  const application = await startApplication(
    config,
    buildLog('info', { write: (line) => void log.push(JSON.parse(line) as Record<string, unknown>) }),
    {
      now: () => clock.now,
      argon: { memoryCost: 1024, timeCost: 1 },
      mailer: {
        from: 'reviews@elogio.example',
        through: 'test',
        send: async (mail) => void mails.push(mail),
      },
      workersFor: inlineWorkers,
      ...overrides,
    },
  )
  const { services, port } = application
  notePlans(services.db)
  const member = await addMember(services, 'Mara')
  const shop = await addShop(services, 'wrenfield', [member])
  return {
    url: `http://localhost:${port}`,
    port,
    dataFolder,
    services,
    shop,
    member,
    clock,
    log,
    mails,
    close: application.stop,
    stop: async () => {
      await application.stop()
      rmSync(dataFolder, { recursive: true, force: true })
    },
  }
}

export interface RawAnswer {
  /** 0 when the connection was closed without one. */
  status: number
  /** Head and body as they came. */
  text: string
}

/** Sends bytes over a socket of its own and answers what came until it was closed. */
export function sendRaw(
  port: number,
  bytes: string | Buffer,
  { withinMs = 10_000 }: { withinMs?: number } = {},
): Promise<RawAnswer> {
  return new Promise((resolve) => {
    const socket = connect(port, '127.0.0.1')
    const parts: Buffer[] = []
    const done = () => {
      clearTimeout(late)
      socket.destroy()
      const text = Buffer.concat(parts).toString('latin1')
      resolve({ status: Number(/^HTTP\/1\.1 (\d{3})/.exec(text)?.[1] ?? 0), text })
    }
    const late = setTimeout(done, withinMs)
    socket.on('data', (part: Buffer) => parts.push(part))
    socket.on('close', done)
    socket.on('error', done)
    socket.write(bytes)
  })
}

/** A connection that a test feeds by and by. */
export function openSocket(port: number): Promise<Socket> {
  return new Promise((resolve, reject) => {
    const socket = connect(port, '127.0.0.1', () => resolve(socket))
    socket.on('error', reject)
  })
}

/** A request as text, closed after its answer. */
export function rawRequest(
  line: string,
  headers: Record<string, string | string[]> = {},
  body: string | Buffer = '',
): Buffer {
  const all = { Host: 'localhost', Connection: 'close', ...headers }
  const lines = Object.entries(all).flatMap(([name, value]) => [value].flat().map((one) => `${name}: ${one}`))
  return Buffer.concat([Buffer.from(`${[line, ...lines].join('\r\n')}\r\n\r\n`, 'latin1'), Buffer.from(body)])
}
