import { afterAll, beforeAll, expect, test } from 'vitest'
import { customerMessages } from '../core/messages/customers'
import { customerLanguages } from '../core/messages/customers/languages'
import { startSmall, type Running } from './support/application'
import { phone, withBrowser } from './support/browser'
import { pageOf } from './support/page'

let running: Running
beforeAll(async () => {
  running = await startSmall()
})
afterAll(() => running.stop())

test('each language is accessible on customers’ pages, fits a phone, and words mistakes as they are made', async () => {
  await withBrowser(phone, async (driver) => {
    const page = pageOf(driver)
    for (const language of customerLanguages) {
      const words = customerMessages(language)
      await page.go(`${running.url}/f/wrenfield?lang=${language}`)
      await page.sees(words.form.send)
      await page.press(words.form.send)
      await page.sees(words.form.error.name)
      await page.accessible()
      const width = await driver.executeScript('return document.documentElement.scrollWidth')
      expect(width, language).toBe(phone.width)
      await page.go(`${running.url}/how/wrenfield?lang=${language}`)
      await page.sees(words.policy.title)
      await page.accessible()
    }
  })
}, 90_000)
