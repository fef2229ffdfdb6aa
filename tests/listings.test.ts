import { afterAll, beforeAll, expect, test } from 'vitest'
import { startDemo, type Running } from './support/application'
import { desk, phone, withBrowser } from './support/browser'
import { startOtherSite, type OtherSite } from './support/otherSite'
import { pageOf, signIn, PATIENCE_MS } from './support/page'

let demo: Running
let site: OtherSite
beforeAll(async () => {
  demo = await startDemo()
  site = await startOtherSite()
})
afterAll(async () => {
  site.stop()
  await demo.stop()
})

test('from a mistyped name to the reviews of another site on her own page', async () => {
  await withBrowser(desk, async (driver) => {
    const page = pageOf(driver)
    await signIn(page, `${demo.url}/s/saltmarsh/gather`)
    await page.type('main textarea', 'Wrenfeild bee suply')
    await page.sees("Tanner's Row 4 · Lanternway")
    await page.sees('no street given')
    await page.press("Tanner's Row 4")
    await page.sees('Walked in knowing nothing')
    await page.accessible()
    await page.press('Yes, this is mine')
    await driver.wait(
      async () => (await page.text('main')).includes('122 new'),
      PATIENCE_MS,
      'the first read is complete',
    )
    await page.accessible()

    await page.press('Show these on my site')
    await page.displayInside('[aria-label="Preview"]', /4\.7 from 122 reviews on Lanternway/)
    await page.press('Publish')
    await page.sees('Not seen on your site yet', 'dialog')
    const code = await driver.executeScript<string>(
      'return document.querySelector("[data-code]").textContent',
    )
    await page.go(site.show(`<body><main>${code}</main></body>`))
    await page.displaySees(/4\.7 from 122 reviews on Lanternway[\s\S]*posted on Lanternway/)
    // Its own average is that of its own customers, so it has none here.
    await page.displaySees(/See all on Lanternway/)
  })
})

test('an address full of extra parts, a bare number, a wrong id and a stranger’s page', async () => {
  await withBrowser(desk, async (driver) => {
    const page = pageOf(driver)
    await signIn(page, `${demo.url}/s/saltmarsh/gather/connect`)
    const outside = demo.shopUrl.replace(/\/$/, '')
    const look = async (typed: string) => {
      await page.go(
        `${demo.url}/s/saltmarsh/gather/connect?${new URLSearchParams({ site: 'lanternway', q: typed }).toString()}`,
      )
    }
    await look(
      `See ${outside}/lanternway/place/lw3s8t5b1c/wrenfield-stall?from=share&zoom=12#reviews, thanks`,
    )
    await page.sees('Wrenfield Bee Supply, Saturday stall')
    await look('LW7Q4K2M9A')
    await page.sees("Tanner's Row 4")
    await look('LW0000000X')
    await page.sees('Lanternway has nothing at this address')
    await look('https://elsewhere.example/place/7')
    await page.sees('This page can’t be reached')
    await look('Zzyxquob')
    await page.sees('Nothing on Lanternway has a name like this')
  })
})

test('visitors read by origin: at once with scripts, as links without', async () => {
  await withBrowser(desk, async (driver) => {
    const page = pageOf(driver)
    await page.go(`${demo.url}/d/everywhere`)
    await page.sees(/Barrowmere 9\.0\/10/)
    await page.press('Brindlepost')
    await page.sees('I have named it')
    expect(await driver.executeScript('return document.querySelectorAll(".eg ol > li").length')).toBe(1)
    await page.press('Barrowmere')
    // Further ones are fetched once.
    await page.sees('My aunt thinks I paid three times what I did')
    await page.sees('Two left hands')
    await page.accessible()
  })
  const href = /href="([^"]+origin=brindlepost)"/.exec(await textAt(`${demo.url}/d/everywhere`))![1]!
  const page = await textAt(href.replaceAll('&amp;', '&'))
  expect(page).toContain('I have named it')
  expect(page).not.toContain('My aunt thinks')
})

test('a site whose access key was withdrawn says so first, and takes the new one', async () => {
  await withBrowser(phone, async (driver) => {
    const page = pageOf(driver)
    await signIn(page, `${demo.url}/s/wrenfield/gather`)
    await page.sees('Barrowmere refuses this access key')
    await page.press('Connect with a key')
    await page.type('[name=accessKey]', 'bw-guess')
    await page.press('Use this key')
    await page.sees(/Barrowmere refuses this access key[\s\S]*Barrowmere refuses this access key/)
    await driver.executeScript('document.querySelector("[name=accessKey]").value = ""')
    await page.type('[name=accessKey]', 'bw-4417-wrenfield')
    await page.press('Use this key')
    await page.sees(/Checked today [\d:]+, nothing new/)
    await page.press('Disconnect')
    await page.press('Disconnect and remove its reviews')
    await page.sees('its reviews were removed')
    await page.press('Undo')
    await page.sees(/50 of its reviews are ready to show/)
  })
})

const textAt = async (address: string) => (await fetch(address)).text()

test('from the address of a sheet to a table of its answers on her own page', async () => {
  const address = `${demo.shopUrl.replace(/\/$/, '')}/sheets/tasting-day`
  await withBrowser(desk, async (driver) => {
    const page = pageOf(driver)
    await signIn(page, `${demo.url}/s/saltmarsh/gather`)
    await page.type('main textarea', address)
    await page.sees('Tasting afternoon, answers · 14 reviews')
    await page.press('See it and connect')
    await page.sees('What is in the columns?')
    // What was guessed fits; the owner asks her question in her own words and leaves one out.
    await page.type('[aria-label="Your question, visitors see it"]', ' – favourite')
    await page.click('[aria-label="What “Would you come again?” is"] option[value=private]')
    await page.sees(/Which honey did you like best\? – favourite\s+Clover/)
    await page.accessible()
    await page.press('Bring in these reviews')
    await page.sees('14 new')
    await page.press('Show these on my site')
    const preview = '[aria-label="Preview"]'
    await page.displayInside(preview, /favourite[\s\S]*Marit O\.[\s\S]*Lime blossom/)
    await page.accessible()
    await page.press('Publish')
    await page.sees('Not seen on your site yet', 'dialog')
    const code = await driver.executeScript<string>(
      'return document.querySelector("[data-code]").textContent',
    )
    const own = site.show(`<body><main>${code}</main></body>`)
    await page.go(own)
    await page.displaySees(/Marit O\.[\s\S]*Holding a full frame/)
    await page.displaySees(/^(?![\s\S]*(Oostrum|post\.example|Maybe))/)
    await driver.manage().window().setRect({ width: 390, height: 800 })
    await page.displaySees(/Marit O\./)
    expect(
      await driver.executeScript(
        'return document.documentElement.scrollWidth <= document.documentElement.clientWidth',
      ),
    ).toBe(true)
  })
})
