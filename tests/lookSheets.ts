import { mkdirSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:http'
import type { AddressInfo } from 'node:net'
import type { Driver as ChromeDriver } from 'selenium-webdriver/chrome.js'
import { layouts, type Layout } from '../core/display/choices'
import { readyLooks, themeOfLook, type ReadyLook } from '../core/display/looks'
import type { ShowableReview } from '../core/display/showableReview'
import { reviews as stories } from '../demo/wrenfield/reviews'
import { renderDisplay } from '../onsite/render'
import { behaviourAddresses, onsiteFiles } from '../server/http/files'
import { closeBrowsers, withBrowser } from './support/browser'
import { beeShop, configured, showable, shownOf } from './support/display'

/**
 * Pictures of ready-made looks in layouts at three widths, on a light and a dark page, in `.work/looks`:
 * `npm run look-sheets [LOOK,… [LAYOUT,…]]`. They need a current build.
 */
const [wantedLooks = readyLooks.join(), wantedLayouts = 'grid,list,single'] = process.argv.slice(2)
const looks = readyLooks.filter((look) => wantedLooks.split(',').includes(look))
const kinds = wantedLayouts.split(',').filter((name): name is Layout => layouts.includes(name as Layout))
const widths = [1200, 600, 320]
const pages = {
  light: { background: '#fcf7eb', textColour: '#2a241a' },
  dark: { background: '#17211f', textColour: '#e9ede6' },
}
const files = onsiteFiles()
const modules = behaviourAddresses()
const folder = '.work/looks'

const reviews: ShowableReview[] = stories
  .filter(({ body, then }) => then === 'approve' && body.length > 40)
  .slice(0, 6)
  .map(({ body, name, rating, product }, i) =>
    showable(i + 1, rating ? rating * 100 : null, {
      title: i % 2 ? '' : 'A season later',
      body,
      authorName: name,
      productSku: product ?? null,
      productTitle: beeShop.products[product ?? ''] ?? null,
      boughtAt: i % 3 ? null : '2026-03-04T00:00:00Z',
      reply: i === 1 ? { name: 'Mara, Wrenfield', body: 'Thank you for writing.' } : null,
    }),
  )

function pageOf(look: ReadyLook, scheme: keyof typeof pages, width: number): string {
  const { background, textColour } = pages[scheme]
  const display = (kind: Layout) => {
    const configuration = configured({
      title: 'Kept bees a year longer',
      layout: { kind },
      theme: themeOfLook(look),
    })
    const model = shownOf(reviews, configuration, {}, { ...beeShop.site, background, textColour })
    const { html, css } = renderDisplay({ ...model, fontsUrl: '/fonts/' }, modules)
    const shown = html.replace('class="eg ', `class="eg eg-${scheme} `)
    const faces = css.match(/@font-face\{[^}]*\}/g)?.join('') ?? ''
    return `<style>${faces}</style><p class="kind">${look}, ${kind}</p><div class="box"><template shadowrootmode="open"><style>${css}</style>${shown}</template></div>`
  }
  return `<!doctype html><meta charset="utf-8"><style>body{margin:0;padding:16px 20px;background:${background};color:${textColour};font:17px/1.5 "Literata Variable",Georgia,"DejaVu Serif",serif}.box{width:${width - 40}px;margin-bottom:36px}.kind{font:11px sans-serif;opacity:.6;margin:0 0 6px}</style>${kinds.map(display).join('')}
<script type="module">for (const box of document.querySelectorAll('.box')) for (const address of (box.shadowRoot.querySelector('[data-modules]')?.dataset.modules ?? '').split(' ').filter(Boolean)) (await import(address)).default?.(box.shadowRoot)</script>`
}

const server = createServer((req, res) => {
  const file = files.get(req.url ?? '')
  if (file) return void res.writeHead(200, { 'Content-Type': file.headers['Content-Type'] }).end(file.plain)
  const [, look, scheme, width] = (req.url ?? '').split('/')
  if (!looks.includes(look as ReadyLook)) return void res.writeHead(404).end()
  res
    .writeHead(200, { 'Content-Type': 'text/html; charset=utf-8' })
    .end(pageOf(look as ReadyLook, scheme as 'light', Number(width)))
})
await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
const { port } = server.address() as AddressInfo
mkdirSync(folder, { recursive: true })
try {
  for (const width of widths)
    await withBrowser({ width, height: 800 }, async (driver) => {
      for (const look of looks)
        for (const scheme of Object.keys(pages)) {
          await driver.get(`http://127.0.0.1:${port}/${look}/${scheme}/${width}`)
          await driver.executeAsyncScript(
            'document.fonts.ready.then(() => requestAnimationFrame(arguments[0]))',
          )
          const shot = await (driver as ChromeDriver).sendAndGetDevToolsCommand('Page.captureScreenshot', {
            captureBeyondViewport: true,
          })
          const { data } = shot as unknown as { data: string }
          writeFileSync(`${folder}/${look}-${scheme}-${width}.png`, Buffer.from(data, 'base64'))
        }
    })
} finally {
  await closeBrowsers()
  server.close()
}
