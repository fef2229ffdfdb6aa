import { writeFileSync } from 'node:fs'
import { startDemo } from './support/application'
import { closeBrowsers, desk, withBrowser } from './support/browser'
import { pageOf } from './support/page'
import { removePrepared } from './support/prepared'

/**
 * The embed codes of the demo as the editor gives them, for the pages of the stand-in shops: the part that reserves
 * the height, by display. Run it again when a display of the demo looks different: `npm run standin-code`.
 */
const displays = {
  wrenfield: [
    'front-page',
    'beside-names',
    'product-page',
    'side-column',
    'on-the-map',
    'tasting-day',
    'at-the-edge',
    'all-in-numbers',
  ],
  saltmarsh: ['workshop-wall'],
}

const reserved: Record<string, string> = {}
const demo = await startDemo()
try {
  await withBrowser({ ...desk, width: 1440 }, async (driver) => {
    const page = pageOf(driver)
    await page.go(`${demo.url}/sign-in`)
    await page.click('main form button')
    await page.sees('reviews in the last 30 days')
    for (const [shop, keys] of Object.entries(displays))
      for (const key of keys) {
        await page.go(`${demo.url}/s/${shop}/show/${key}`)
        await page.press('Get the embed code')
        await page.sees('</script>', '[data-code]')
        const code = await driver.executeScript<string>(
          'return document.querySelector("[data-code]").textContent',
        )
        reserved[key] = /^<style>.*<\/style>/.exec(code)?.[0] ?? ''
      }
  })
} finally {
  await closeBrowsers()
  await demo.stop()
  removePrepared()
}
writeFileSync('standins/reserved.json', `${JSON.stringify(reserved, null, 2)}\n`)
