import { startApplication } from './application'
import { readConfig } from './config'
import { buildLog } from './log'

// The database contains customers' addresses, so only this account may read new files.
process.umask(0o077)

try {
  const config = readConfig(process.env)
  const log = buildLog(config.logLevel)
  const application = await startApplication(config, log)
  process.on('unhandledRejection', application.noteFault)
  process.on('uncaughtException', application.noteFault)
  console.log(`Elogio listens on port ${application.port}`)
  if (await application.isEmpty())
    console.log(`Nobody is here yet: open ${config.publicUrl} and set up your shop.`)

  const stop = () =>
    void application.stop().then(() => {
      process.exit(0)
    })
  process.on('SIGINT', stop)
  process.on('SIGTERM', stop)
} catch (error) {
  console.error(error instanceof Error ? error.message : error)
  process.exit(1)
}
