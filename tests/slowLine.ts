import { startDemo } from './support/application'
import { closeBrowsers, desk, withBrowser } from './support/browser'
import { pageOf, signIn } from './support/page'
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

/** Publishes the layouts that no page of the demo shows: a sliding row, and a badge. Returns their keys. */
async function publishOthers(): Promise<string[]> {
  return withBrowser(desk, async (driver) => {
    const page = pageOf(driver)
    await signIn(page, `${demo.url}/s/wrenfield/show/summer-band`)
    await page.press('Publish')
    await page.sees('Published today')
    await page.go(`${demo.url}/s/wrenfield/show/new`)
    await page.press('Badge')
    await page.press('Publish')
    await page.sees('Published today')
    const key = new URL(await driver.getCurrentUrl()).pathname.split('/').at(-1)!
    return ['summer-band', key]
  })
}

try {
  const pages = [
    ...['/', '/goods', '/journal', '/tasting', '/saltmarsh'].map((page) => new URL(page, demo.shopUrl).href),
    ...[...keys, ...(await publishOthers())].map((key) => `${demo.url}/d/${key}`),
    ...['tell-us', 'clubs'].map((slug) => `${demo.url}/f/${slug}`),
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
