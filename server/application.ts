import { randomBytes } from 'node:crypto'
import { createServer, type IncomingMessage, type Server, type ServerResponse } from 'node:http'
import path from 'node:path'
import { pathToFileURL } from 'node:url'
import { setTimeout } from 'node:timers/promises'
import type { ServerBuild } from 'react-router'
import packageJson from '../package.json' with { type: 'json' }
import { originsAt } from '../core/listing/origins'
import type { Config } from './config'
import { databaseFile, mediaFolder, protectFolder, signingKey } from './dataFolder'
import { Turns } from './data/turns'
import { buildElogio } from './elogio'
import { openData } from './backup/openData'
import { buildFaults } from './faults'
import { lockForApplication } from './folderLock'
import { watchLoopDelay } from './loopDelay'
import { behaviourAddresses, builtFiles, onsiteFiles } from './http/files'
import { displayVariants } from './http/displayVariants'
import { buildOpenRequests } from './http/gracefulClose'
import { answerHealth } from './http/health'
import { asBuffers } from './http/prepared'
import { loadLiveDisplays } from './http/liveDisplays'
import { mediaAnswers } from './http/media'
import { answerPublic } from './http/publicPaths'
import { publicSiteOf } from './http/publicSite'
import { patience as usualPatience, type Patience } from './http/requestBody'
import { buildRequestListener } from './http/requestListener'
import { buildRouteListener } from './http/routeListener'
import { limitConnections } from './http/serverTimeouts'
import { answeringStorageFaults } from './http/storageAnswers'
import { buildThrottle } from './http/throttle'
import { buildUploadMemory } from './http/uploadMemory'
import { jobKinds } from './jobKinds'
import { releaseAll } from './jobs/queue'
import { startJobRunner } from './jobs/runner'
import type { Log } from './log'
import { smtpMailer } from './mail/mailer'
import { rememberLatestShops } from './moderation/rememberLatestShops'
import { buildFormVisits } from './collection/formVisits'
import { buildSeen } from './publishing/seen'
import { markInstallationStale } from './publishing/staleDisplays'
import { buildServices, systemClock, type Services } from './services'
import { buildStorageCheck } from './storageCheck'
import { buildThreads, type ThreadsGiven } from './workers/threads'
import type { Workers } from './workers/workers'

/** What tests replace. */
export interface Overrides extends Partial<
  Pick<Services, 'now' | 'argon' | 'fetchOutside' | 'mailer' | 'origins' | 'newId' | 'newSecret'>
> {
  patience?: Patience
  /** Shared with threads of a test's own. */
  turns?: Turns
  /** Replaces the worker threads. */
  workersFor?: (services: () => Services) => Workers
}

export interface Application {
  port: number
  services: Services
  isEmpty: () => Promise<boolean>
  /** Counts unexpected errors. */
  noteFault: (error: unknown) => void
  /** Answers pending requests, then ends. */
  stop: () => Promise<void>
}

const MAX_STOPPING_MS = 10_000
/** The longest time that the start waits for loading arrival histories. */
const MAX_HISTORY_MS = 5000
/** How often the timeouts of connections are checked. */
const CHECKING_MS = 5000

/**
 * Opens the data folder, starts the jobs and listens. Rejects if it can't listen, or another process has the data
 * folder.
 */
export async function startApplication(
  config: Config,
  log: Log,
  overrides: Overrides = {},
): Promise<Application> {
  const unlock = lockForApplication(config.dataFolder)
  try {
    return await start(config, log, unlock, overrides)
  } catch (error) {
    unlock()
    throw error
  }
}

async function start(
  config: Config,
  log: Log,
  unlock: () => void,
  { patience = usualPatience, turns = new Turns(), workersFor, ...overrides }: Overrides,
): Promise<Application> {
  const file = databaseFile(config.dataFolder)
  const db = await openData(config.dataFolder, (overrides.now ?? systemClock)(), turns)
  protectFolder(config.dataFolder)
  const threads: ThreadsGiven = {
    databaseFile: file,
    mediaFolder: mediaFolder(config.dataFolder),
    publicUrl: config.publicUrl,
    behaviours: behaviourAddresses(),
    sites: config.sites,
    turns,
    log,
    announce: (...change) => services.changes.announce(...change),
    wakeJobs: () => jobs.check(),
    published: (display, json) => live.put(display, asBuffers(json)),
  }
  const workers = workersFor?.(() => services) ?? buildThreads(threads)
  const services: Services = buildServices({
    db,
    workers,
    published: (display) => live.put(display),
    signingKey: signingKey(config.dataFolder, config.secret),
    publicUrl: config.publicUrl,
    mediaFolder: mediaFolder(config.dataFolder),
    allowedHosts: config.allowedHosts,
    diskReserve: config.diskReserve,
    origins: config.sites === null ? [] : originsAt(config.sites),
    behaviours: behaviourAddresses(),
    mailer: config.smtp && smtpMailer(config.smtp.url, config.smtp.from),
    wakeJobs: () => jobs.check(),
    stopJob: (id) => jobs.cancel(id),
    log,
    ...overrides,
  })
  const histories = rememberLatestShops(services)
  const faults = buildFaults(log)
  const live = await loadLiveDisplays(db)
  await markInstallationStale(services)
  await releaseAll(db)
  const jobs = startJobRunner(services, jobKinds(services, live))

  const server = createServer({ connectionsCheckingInterval: CHECKING_MS })
  limitConnections(server)
  const requests = buildOpenRequests(server)
  const { build, files, vite } = config.development
    ? await developing(server)
    : await (produced ??= producing())
  const throttle = buildThrottle(config.throttle)
  const memory = buildUploadMemory()
  const site = publicSiteOf(config.publicUrl)
  const formVisits = buildFormVisits(services)
  const elogio = answeringStorageFaults(buildElogio(services, live, formVisits))
  const publicAnswers = {
    live,
    variants: displayVariants(services, live),
    files,
    hearSeen: buildSeen(services),
    throttle,
    memory,
    patience,
    log,
  }
  const answerMedia = mediaAnswers(services.mediaFolder)
  const checkStorage = buildStorageCheck({ db, folder: config.dataFolder, now: services.now })
  const loopDelay = watchLoopDelay()
  const health = {
    checkStorage,
    jobs,
    faults: faults.count,
    heldMs: loopDelay.heldMs,
    version: packageJson.version,
  }
  const route = buildRouteListener(build, config.development ? 'development' : 'production', site)
  const listener = buildRequestListener({
    site,
    trustedProxies: config.trustedProxies,
    log,
    faults,
    requests,
    memory,
    patience,
    answerers: [
      (req, res, client) => answerPublic(req, res, client, publicAnswers),
      (req, res) => answerMedia(req, res),
      (req, res) => answerHealth(req, res, health),
    ],
    route,
    contextFor: (clientAddress, form) => ({
      elogio,
      throttle,
      demoSignIn: config.demoSignIn,
      secureCookies: site.protocol === 'https:',
      clientAddress,
      form,
      log,
      nonce: randomBytes(18).toString('base64url'),
    }),
  })
  server.on('request', (req, res) => (vite ? vite(req, res, () => listener(req, res)) : listener(req, res)))
  // The first review after a restart is answered as fast as any other.
  await Promise.race([histories, setTimeout(MAX_HISTORY_MS, undefined, { ref: false })])
  const port = await listening(server, config.port)

  let stopped: Promise<void> | null = null
  const stop = async () => {
    services.streams.endAll()
    await requests.close(MAX_STOPPING_MS)
    loopDelay.stop()
    await formVisits
      .flush()
      .catch((error: unknown) => log.warn({ error: String(error) }, 'form visits were not counted'))
    await jobs.stop()
    await workers.close()
    await db.destroy()
    unlock()
  }
  return { port, services, isEmpty: elogio.isEmpty, noteFault: faults.note, stop: () => (stopped ??= stop()) }
}

/** Returns the port; 0 asks for a free one. */
function listening(server: Server, port: number): Promise<number> {
  return new Promise((resolve, reject) => {
    server.once('error', (error: NodeJS.ErrnoException) =>
      reject(
        new Error(
          error.code === 'EADDRINUSE'
            ? `Port ${port} is taken. Set PORT to a free one.`
            : `The server could not start: ${error.message}`,
        ),
      ),
    )
    server.listen(port, () => {
      const address = server.address()
      resolve(typeof address === 'object' && address ? address.port : port)
    })
  })
}

type Middleware = (req: IncomingMessage, res: ServerResponse, next: () => void) => void

/** Compressing the built files takes seconds, so it is done once in a process. */
let produced: ReturnType<typeof producing> | undefined

async function producing() {
  const entry = pathToFileURL(path.resolve('build/server/index.js')).href
  return {
    build: (await import(entry)) as ServerBuild,
    files: new Map([...builtFiles('build/client'), ...onsiteFiles()]),
    vite: null,
  }
}

async function developing(server: Server) {
  const { createServer: createVite } = await import('vite')
  const vite = await createVite({ appType: 'custom', server: { middlewareMode: true, hmr: { server } } })
  return {
    build: () =>
      vite.ssrLoadModule('virtual:react-router/server-build') as Promise<unknown> as Promise<ServerBuild>,
    files: onsiteFiles(),
    vite: vite.middlewares as Middleware,
  }
}
