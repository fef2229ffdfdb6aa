import { createRequestListener } from '@react-router/node'
import { randomBytes } from 'node:crypto'
import { createServer, type IncomingMessage, type Server, type ServerResponse } from 'node:http'
import path from 'node:path'
import { pathToFileURL } from 'node:url'
import type { ServerBuild } from 'react-router'
import packageJson from '../package.json' with { type: 'json' }
import { readConfig, type Config } from './config'
import { databaseFile, mediaFolder, signingKey } from './dataFolder'
import { openDatabase } from './data/database'
import { buildElogio, jobKinds, mailKinds } from './elogio'
import { smtpMailer } from './mail/mailer'
import { behaviourAddresses, builtFiles, onsiteFiles } from './http/files'
import { refuse } from './http/guard'
import { displayVariants } from './http/displayVariants'
import { answerHealth } from './http/health'
import { answerPublic } from './http/publicPaths'
import { wantsFormJson } from './http/formJson'
import { mediaAnswers } from './http/media'
import { askerOf, nameAsker } from './http/asker'
import { setSecurityHeaders } from './http/securityHeaders'
import { buildThrottle } from './http/throttle'
import { releaseAll } from './jobs/queue'
import { startJobRunner } from './jobs/runner'
import { loadLiveDisplays } from './http/liveDisplays'
import { markInstallationStale } from './publishing/staleDisplays'
import { buildSeen } from './publishing/seen'
import { buildServices } from './services'
import { tidyByTheHour } from './tidyUp'

async function start(config: Config): Promise<void> {
  const db = await openDatabase(databaseFile(config.dataFolder))
  const services = buildServices({
    db,
    signingKey: signingKey(config.dataFolder, config.secret),
    publicUrl: config.publicUrl,
    mediaFolder: mediaFolder(config.dataFolder),
    allowedHosts: config.allowedHosts,
    behaviours: behaviourAddresses(),
    mailer: config.smtp && smtpMailer(config.smtp.url, config.smtp.from),
    wakeJobs: () => {
      jobs.wake()
      mails.wake()
    },
  })
  const live = await loadLiveDisplays(db)
  await markInstallationStale(services)
  await releaseAll(db)
  const jobs = startJobRunner(services, jobKinds(services, live))
  const mails = startJobRunner(services, mailKinds(services))
  const stopTidying = tidyByTheHour(services)
  const elogio = buildElogio(services, live)
  const variants = displayVariants(services, live)
  const hearSeen = buildSeen(services)
  const answerMedia = mediaAnswers(mediaFolder(config.dataFolder))
  const throttle = buildThrottle(config.throttle)
  const secure = config.publicUrl.startsWith('https:')

  const server = createServer()
  const { build, files, vite } = config.development ? await developing(server) : await producing()
  const route = createRequestListener({
    build,
    mode: config.development ? 'development' : 'production',
    getLoadContext: () => ({
      elogio,
      throttle,
      demoSignIn: config.demoSignIn,
      secureCookies: secure,
      askerOf,
      nonce: randomBytes(18).toString('base64url'),
    }),
  })

  server.on('request', (req, res) => {
    if (answerPublic(req, res, { live, variants, files, hearSeen }) || answerMedia(req, res)) return
    if (answerHealth(req, res, { db, jobs, now: services.now, version: packageJson.version })) return
    if (refuse(req, res, config.publicUrl)) return
    nameAsker(req, config.trustedProxies)
    if (wantsFormJson(req)) req.url = `/api${req.url}`
    setSecurityHeaders(res, secure)
    const pass = () => void route(req, res)
    if (vite) vite(req, res, pass)
    else pass()
  })
  server.on('error', (error: NodeJS.ErrnoException) => {
    console.error(
      error.code === 'EADDRINUSE'
        ? `Port ${config.port} is taken. Set PORT to a free one.`
        : `The server could not start: ${error.message}`,
    )
    process.exit(1)
  })
  const empty = await elogio.isEmpty()
  server.listen(config.port, () => {
    const address = server.address()
    const port = typeof address === 'object' && address ? address.port : config.port
    console.log(`Elogio listens on port ${port}`)
    if (empty) console.log(`Nobody is here yet: open ${config.publicUrl} and set up your shop.`)
  })

  let stopping = false
  const stop = async () => {
    if (stopping) return
    stopping = true
    server.close()
    server.closeAllConnections()
    stopTidying()
    await jobs.stop()
    await mails.stop()
    await db.destroy()
    process.exit(0)
  }
  process.on('SIGINT', () => void stop())
  process.on('SIGTERM', () => void stop())
}

type Middleware = (req: IncomingMessage, res: ServerResponse, next: () => void) => void

async function producing() {
  const entry = pathToFileURL(path.resolve('build/server/index.js')).href
  return {
    build: (await import(entry)) as ServerBuild,
    files: new Map([...builtFiles('build/client'), ...onsiteFiles()]),
    vite: null as Middleware | null,
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

try {
  await start(readConfig(process.env))
} catch (error) {
  console.error(error instanceof Error ? error.message : error)
  process.exit(1)
}
