import { readConfig } from '../server/config'
import { fillDemo } from './fill'

const config = readConfig(process.env)
await fillDemo(config.dataFolder, {
  ...config,
  siteUrl: `http://localhost:${process.env.STANDIN_PORT ?? '4311'}`,
})
