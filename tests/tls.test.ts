import { writeFileSync } from 'node:fs'
import path from 'node:path'
import sharp from 'sharp'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { startSmall, type Running } from './support/application'
import { desk, openTab, withBrowser } from './support/browser'
import { confirmLinkFor } from './support/letters'
import { pageOf } from './support/page'
import { hasNginx, startNginx } from './support/nginx'
import { startOtherSite, type OtherSite } from './support/otherSite'
import { startTlsProxy, type TlsProxy } from './support/tlsProxy'

const HOST = 'reviews.wrenfield.example'
const PUBLIC = `https://${HOST}`

const SHOP_HOST = 'shop.wrenfield.example'

let running: Running
let shop: OtherSite
let proxy: TlsProxy
beforeAll(async () => {
  running = await startSmall({ PUBLIC_URL: PUBLIC, TRUST_PROXY: '1' }, true)
  shop = await startOtherSite()
  const others = { [SHOP_HOST]: shop.show('') }
  proxy = hasNginx()
    ? await startNginx(HOST, running.url, others)
    : await startTlsProxy(HOST, running.url, others)
})
afterAll(async () => {
  proxy.stop()
  shop.stop()
  await running.stop()
})

test('behind a proxy that ends TLS an owner signs in and sees live what a customer sends, with a photo, and confirms', async () => {
  const photo = path.join(running.dataFolder, 'hive.jpg')
  writeFileSync(
    photo,
    await sharp({ create: { width: 900, height: 600, channels: 3, background: '#c90' } })
      .jpeg()
      .toBuffer(),
  )
  const window = {
    ...desk,
    args: [
      '--ignore-certificate-errors',
      `--host-resolver-rules=MAP ${HOST}:443 127.0.0.1:${proxy.port},MAP ${SHOP_HOST}:443 127.0.0.1:${proxy.port}`,
    ],
  }
  await withBrowser(window, async (driver) => {
    const page = pageOf(driver)
    await page.go(`${PUBLIC}/s/wrenfield/decide`)
    await page.type('[name=email]', 'mara@elogio.example')
    await page.type('[name=password]', 'Mara-secret')
    await page.click('form button')
    await page.at('/s/wrenfield/decide')
    await page.sees('Piotr Lis')
    await page.counts({ waiting: 1, held: 0 })
    const cookies = await driver.manage().getCookies()
    expect(cookies.map(({ name, secure, httpOnly }) => [name, secure, httpOnly])).toContainEqual([
      'elogio_session',
      true,
      true,
    ])

    const owner = await driver.getWindowHandle()
    await openTab(driver)
    await page.go(`${PUBLIC}/f/wrenfield`)
    await page.click('input[name=rating][value="5"] + span')
    await page.type('[name=body]', 'It came through the tunnel whole.')
    await page.type('[name=author_name]', 'Ines Walcott')
    await page.type('[name=author_email]', 'ines@post.example')
    await page.type('input[type=file]', photo)
    await page.click('input[name=consent]')
    await page.press('Send my review')
    await page.sees('Thank you')

    const link = await confirmLinkFor(running, 'ines@post.example')
    expect(link.startsWith(`${PUBLIC}/confirm/`)).toBe(true)
    await page.go(link)
    await page.sees('It came through the tunnel whole.')
    await page.press('Yes, it’s mine')
    await page.at('/r/')
    await page.sees('It came through the tunnel whole.')

    await driver.switchTo().window(owner)
    // Nobody has loaded this page again: the stream has told it.
    await page.counts({ waiting: 1, held: 1 })
    await page.go(`${PUBLIC}/s/wrenfield/decide?lane=held`)
    await page.sees('It came through the tunnel whole.', 'article')
    await page.keys('1')
    await page.counts({ approved: 1, held: 0 })
    const display = await fetch(`${running.url}/d/wrenfield-page.json`)
    expect(JSON.stringify(await display.json())).not.toContain('http://')

    shop.show(`<div data-elogio="wrenfield-page"><a href="${PUBLIC}/d/wrenfield-page">Reviews</a></div>
      <script async src="${PUBLIC}/embed.js"></script>`)
    await page.go(`https://${SHOP_HOST}/`)
    await page.displaySees(/It came through the tunnel whole/)
  })
})
