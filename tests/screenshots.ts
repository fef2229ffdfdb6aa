import { mkdirSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import { startDemo, startEmpty } from './support/application'
import { desk, phone, closeBrowsers, withBrowser } from './support/browser'
import { Key, pageOf, type Page } from './support/page'
import { paste } from './support/paste'
import { removePrepared } from './support/prepared'

/** One current picture of each main view, from the demo data. */
const folder = 'docs/screenshots'
mkdirSync(folder, { recursive: true })

const pasted = `From: Anna Berg <anna@berg.example>
Date: 3 May 2026 14:03
Subject: the hive

Hi Mara,

the hive went together in an afternoon. I would give it 4 out of 5, the plan is a little thin.

Best regards,
Anna Berg
Berg Bakery

On 2 May 2026 Wrenfield wrote:
> How was it?`

const demo = await startDemo()
try {
  await withBrowser(desk, async (driver) => {
    const page = pageOf(driver)
    await page.go(`${demo.url}/sign-in`)
    await page.click('main form button')
    await page.sees('reviews in the last 30 days')
    await keep(page, 'gather')
    await paste(page, 'main textarea', pasted)
    await page.sees('we found')
    await keep(page, 'write-down')
    await page.go(`${demo.url}/s/wrenfield/decide?lane=held`)
    await page.sees('Why it’s held back')
    await keep(page, 'decide')
    await page.go(`${demo.url}/s/wrenfield/decide?lane=waiting`)
    await page.press('Edith Fallow')
    await page.click('[aria-label="Photo 1 of 1"]')
    await page.sees('The text stays', 'dialog')
    await keep(page, 'decide-photo')
    await page.go(`${demo.url}/s/wrenfield/decide?lane=approved&q=box`)
    await page.sees(/\S/, '#writer')
    await page.keys(Key.SPACE)
    await page.chord(Key.SHIFT, Key.ARROW_DOWN)
    await page.chord(Key.SHIFT, Key.ARROW_DOWN)
    await page.sees(/[23] selected/)
    await page.click('[data-filter=and]')
    await page.sees('Source', '#filter-strip')
    await keep(page, 'decide-many')
    await page.go(`${demo.url}/s/wrenfield/gather/products`)
    await page.sees('18 products')
    await keep(page, 'products')
    await page.go(`${demo.url}/s/wrenfield/gather/connect?site=lanternway&id=LW9P2U6B4D`)
    await page.sees('Bridge Street 31')
    await keep(page, 'connect')
    await page.go(`${demo.url}/s/wrenfield/settings/style`)
    await page.sees('Brand colour')
    await keep(page, 'settings')
    for (const path of ['tasting', '']) {
      await page.go(demo.shopUrl + path)
      await driver.wait(
        () =>
          driver.executeScript(
            'return [...document.querySelectorAll("[data-elogio]")].every(({ shadowRoot }) => shadowRoot)',
          ),
        5000,
        `every display of ${path} is filled`,
      )
    }
    await keep(page, 'site')
    await page.go(`${demo.url}/s/wrenfield/show`)
    await page.sees('10 displays are published.')
    await page.sees('seen today')
    await keep(page, 'show')
    await page.press('Front page')
    await page.displayInside('[aria-label="Preview"]', /Kept bees/)
    await page.click('[data-part=theme]')
    await page.sees('press cuttings')
    await page.displayInside('[data-looks]', /bought here/)
    await keep(page, 'editor')
    await page.go(`${demo.url}/s/wrenfield/gather`)
    await page.press('Clubs and companies')
    await page.press('How easy was it to order for many?')
    await page.sees('Words at the end')
    await new Promise((resolve) => setTimeout(resolve, 1500))
    await keep(page, 'form-editor')
    await page.go(`${demo.url}/how/wrenfield`)
    await page.sees('How we decide')
    await keep(page, 'how')
    await page.go(`${demo.url}/f/tell-us`)
    await fillIn(page)
    await keep(page, 'form')
    await driver.executeScript('document.cookie = "elogio_theme=night; path=/"')
    await page.go(`${demo.url}/s/wrenfield/decide?lane=approved&rating=2`)
    await page.sees(/\S/, '#writer')
    await keep(page, 'decide-night')
  })
  await withBrowser(phone, async (driver) => {
    const page = pageOf(driver)
    await page.go(`${demo.url}/f/tell-us`)
    await fillIn(page)
    await keep(page, 'form-phone')
    await page.go(demo.shopUrl)
    await page.displaySees(/Kept bees/)
    await driver.executeScript('document.querySelector("[data-elogio]").scrollIntoView()')
    await keep(page, 'site-phone')
    await page.go(`${demo.url}/s/wrenfield/decide?lane=held`)
    await page.click('main form button')
    await page.sees('Why it’s held back')
    await keep(page, 'decide-phone')
  })
  const empty = await startEmpty({ ELOGIO_ALLOW_HOSTS: new URL(demo.shopUrl).host })
  try {
    await withBrowser(desk, async (driver) => {
      const page = pageOf(driver)
      await page.go(`${empty.url}/begin?site=${encodeURIComponent(demo.shopUrl)}`)
      await page.sees('Here’s what we found for Wrenfield Bee Supply')
      await keep(page, 'set-up')
    })
  } finally {
    await empty.stop()
  }
} finally {
  await demo.stop()
  await closeBrowsers()
  removePrepared()
}

async function fillIn(page: Page): Promise<void> {
  await page.click('input[name=rating][value="4"] + span')
  await page.type('select[name=product]', 'Hive kit, two')
  await page.type('[name=order_number]', 'WB-2091')
  await page.type(
    '[name=body]',
    'Cut true and easy to put together. One bag of nails was short, but they posted it the same day.',
  )
  await page.type('[name=author_name]', 'Piotr Lis')
  await page.type('[name=author_email]', 'piotr@lis.example')
  await page.driver.executeScript('document.activeElement.blur(); window.scrollTo(0, 0)')
  await page.sees('shown as “Piotr L.”')
}

async function keep({ driver }: Page, name: string): Promise<void> {
  await driver.executeScript('return document.fonts.ready.then(() => true)')
  writeFileSync(path.join(folder, `${name}.png`), await driver.takeScreenshot(), 'base64')
}
