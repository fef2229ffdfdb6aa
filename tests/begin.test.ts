import { createServer, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { startEmpty, type Running } from './support/application'
import { desk, phone, withBrowser } from './support/browser'
import { pageOf, PATIENCE_MS } from './support/page'
import { paste } from './support/paste'
import { submit } from './support/submissions'

let running: Running
let bad: Server
let badHost: string
beforeAll(async () => {
  bad = createServer((req, res) => {
    if (req.url === '/inward') res.writeHead(302, { Location: 'http://169.254.169.254/' }).end()
    else if (req.url === '/file') res.writeHead(200, { 'Content-Type': 'application/zip' }).end('PK')
    else res.writeHead(200, { 'Content-Type': 'text/html' }).end('x'.repeat(3_000_000))
  })
  await new Promise<void>((resolve) => bad.listen(0, resolve))
  badHost = `localhost:${(bad.address() as AddressInfo).port}`
  running = await startEmpty()
  const shopHost = new URL(running.shopUrl).host
  await running.kill()
  await running.restart({ ELOGIO_ALLOW_HOSTS: `${shopHost},${badHost}` })
})
afterAll(async () => {
  await running.stop()
  bad.closeAllConnections()
  bad.close()
})

test('from a site’s address to a shop, its display in the site’s theme, and praise ready to show', async () => {
  await withBrowser(desk, async (driver) => {
    const page = pageOf(driver)
    await page.go(running.url)
    await page.sees('Where is your shop on the web?')
    await page.accessible()

    const tryAddress = async (address: string, answer: string) => {
      await driver.executeScript("document.querySelector('[name=site]').value = ''")
      await page.type('[name=site]', address)
      await page.press('Read my site')
      await page.sees(answer)
    }
    await tryAddress('http://10.0.0.1/', 'leads to a private network')
    await tryAddress(`${badHost}/inward`, 'leads to a private network')
    await tryAddress(`${badHost}/file`, 'it isn’t a web page')
    await tryAddress(`${badHost}/huge`, 'too large')
    await tryAddress('http://no-such-shop.example/', 'no site by that name')

    await tryAddress(running.shopUrl, 'Here’s what we found for Wrenfield Bee Supply')
    await page.accessible()
    expect(await (await page.find('[name=brand]')).getAttribute('value')).toBe('#e9b949')
    expect(await (await page.find('[name=background]')).getAttribute('value')).toBe('#fcf7eb')
    expect(await (await page.find('[name=fonts]')).getAttribute('value')).toContain('Shopserif')
    await page.find('main img[src^="data:image/webp"]')

    await page.type('[name=member_name]', 'Mara Oduya')
    await page.type('[name=email]', 'mara@wrenfield.example')
    await page.type('[name=password]', 'short')
    await page.press('Create account and continue')
    await page.sees('At least 10 characters.')
    expect(await (await page.find('[name=email]')).getAttribute('value')).toBe('mara@wrenfield.example')
    await page.type('[name=password]', '-and-longer-now')
    await page.press('Create account and continue')
    await page.at('/gather')
    await page.sees('No reviews yet. Paste the first praise')
    await page.accessible()

    await page.press('See it with samples')
    await page.sees('Samples appear here until you have reviews')
    await page.sees('Samples for now')
    await page.accessible()
    await page.press('Gather')

    // From here four clicks lead to a published display and its embed code.
    await paste(
      page,
      'main textarea',
      '1. Anna Berg - 5/5 - Cut true, and no splinters.\n2. Nia Bevan, 3 May - 4/5 - Bees love it.\n3. Colm Garrity - 5/5 - The smoker stays lit.',
    )
    await page.sees('We found 3 reviews.')
    await page.accessible()
    await page.click('[name=consent]')
    await page.press('Save all 3')
    await page.sees('Saved 3 reviews.')
    await page.press('Show it on my site')
    await page.displayInside('[aria-label="Preview"]', /Cut true[\s\S]*|Bees love it/)
    await page.press('Publish')
    await page.sees('Paste this where the reviews should appear.', 'dialog')
    await page.accessible()
    const shown = async () => (await fetch(`${running.url}/d/wrenfield-bee-supply-front`)).text()
    await driver.wait(async () => (await shown()).includes('Cut true'), PATIENCE_MS, 'the published display')
  })
})

test('settings keep what is corrected, and a changed password works from then on', async () => {
  await withBrowser(desk, async (driver) => {
    const page = pageOf(driver)
    await page.go(running.url)
    await page.type('[name=email]', 'mara@wrenfield.example')
    await page.type('[name=password]', 'short-and-longer-now')
    await page.click('main form button')
    await page.at('/gather')
    const settings = (await driver.getCurrentUrl()).replace('/gather', '/settings')
    for (const section of ['style', 'languages', 'email', 'jobs']) {
      await page.go(`${settings}/${section}`)
      await page.accessible()
    }
    await page.go(settings)
    await page.accessible()
    await page.type('[name=name]', ' & Daughters')
    await page.press('Save changes')
    await page.sees('Saved.')
    await page.sees('Wrenfield Bee Supply & Daughters', 'header')
    await page.press('Your account')
    await page.sees('Current password')
    await page.accessible()
    await page.type('[name=present]', 'not this one')
    await page.type('[name=password]', 'wax-and-twine-45')
    await page.press('Change password')
    await page.sees('isn’t your current password')
    await driver.executeScript("document.querySelector('[name=present]').value = ''")
    await page.type('[name=present]', 'short-and-longer-now')
    await driver.executeScript("document.querySelector('[name=password]').value = ''")
    await page.type('[name=password]', 'wax-and-twine-45')
    await page.press('Change password')
    await page.sees('Your password is changed.')
  })
})

test('whoever tries too often waits, and is told how long; others do not', async () => {
  const tryOnce = (email: string) =>
    fetch(`${running.url}/sign-in`, {
      method: 'POST',
      redirect: 'manual',
      headers: { Origin: running.url },
      body: new URLSearchParams({ email, password: 'a guess' }),
    })
  const answers: Response[] = []
  for (let i = 0; i < 12; i++) answers.push(await tryOnce('ned@wrenfield.example'))
  expect(answers.map(({ status }) => status).filter((status) => status === 401)).toHaveLength(10)
  expect(answers.at(-1)!.status).toBe(429)
  expect(Number(answers.at(-1)!.headers.get('Retry-After'))).toBeGreaterThan(0)
  expect(await answers.at(-1)!.text()).toContain('That was a lot of attempts.')
  expect((await tryOnce('somebody@wrenfield.example')).status).toBe(401)

  const statuses: number[] = []
  for (let i = 0; i < 61; i++) statuses.push((await submit(running.url, 'wrenfield-bee-supply', {})).status)
  expect(statuses.filter((status) => status === 201)).toHaveLength(60)
  expect(statuses.at(-1)).toBe(429)
})

test('by hand, on a phone and without a site: nothing sticks out, and a shop is kept all the same', async () => {
  const empty = await startEmpty()
  try {
    await withBrowser(phone, async (driver) => {
      const page = pageOf(driver)
      await page.go(empty.url)
      await page.accessible()
      await page.press('I don’t have a site yet')
      await page.sees('Tell us how your shop looks')
      await page.accessible()
      expect(await driver.executeScript('return document.documentElement.scrollWidth')).toBe(390)
      await page.type('[name=name]', 'Tarn & Thistle')
      await page.type('[name=member_name]', 'Ines')
      await page.type('[name=email]', 'ines@tarn.example')
      await page.type('[name=password]', 'moss-and-mallow')
      await page.press('Create account and continue')
      await page.at('/s/tarn-thistle/gather')
      await page.press('See it with samples')
      await page.at('/s/tarn-thistle/show/tarn-thistle-front')
      await page.sees('Samples appear here')
    })
  } finally {
    await empty.stop()
  }
})
