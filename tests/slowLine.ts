import { startDemo } from './support/application'
import { closeBrowsers, desk, withBrowser } from './support/browser'
import { removePrepared } from './support/prepared'
import { meetSlowly } from './support/slowLine'

/** Layout shift, largest paint and weight of every public page over a slow line, at eight widths: `npm run slow-line`. */
const widths = process.argv[2]
  ? process.argv[2].split(',').map(Number)
  : [360, 390, 480, 600, 768, 900, 1024, 1280]
const keys = [
  'front-page',
  'side-column',
  'on-the-map',
  'tasting-day',
  'everywhere',
  'at-the-edge',
  'all-in-numbers',
  'beside-names',
  'product-page',
  'workshop-wall',
]

const demo = await startDemo()
try {
  const pages = [
    ...['/', '/goods', '/journal', '/tasting', '/saltmarsh'].map((page) => new URL(page, demo.shopUrl).href),
    ...keys.map((key) => `${demo.url}/d/${key}`),
    `${demo.url}/f/tell-us`,
    `${demo.url}/how/wrenfield`,
  ]
  console.log(
    `${'page'.padEnd(24)} ${widths.map((width) => String(width).padStart(6)).join('')}   paint, kB at ${widths[0]}`,
  )
  for (const url of pages) {
    const met = []
    for (const width of widths) met.push(await withBrowser(desk, (driver) => meetSlowly(driver, url, width)))
    const where = new URL(url)
    const name = (where.origin === new URL(demo.url).origin ? 'elogio ' : 'shop ') + where.pathname
    const shifts = met.map(({ shift }) => shift.toFixed(3).padStart(6)).join(' ')
    console.log(
      `${name.padEnd(24)} ${shifts}   ${Math.round(met[0]!.paint)} ms, ${Math.round(met[0]!.bytes / 1000)} kB`,
    )
  }
} finally {
  await closeBrowsers()
  await demo.stop()
  removePrepared()
}
