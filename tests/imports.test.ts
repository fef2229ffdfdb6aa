import { writeFileSync } from 'node:fs'
import path from 'node:path'
import { afterAll, beforeAll, test } from 'vitest'
import { startSmall, type Running } from './support/application'
import { desk, withBrowser } from './support/browser'
import { pageOf } from './support/page'

const LINES = 12_000

let running: Running
beforeAll(async () => {
  running = await startSmall()
})
afterAll(() => running.stop())

test('a large file of orders shows how far it is, is cancelled, goes on, is killed, and ends whole', async () => {
  const file = path.join(running.dataFolder, 'orders.csv')
  const rows = Array.from({ length: LINES }, (_, i) => `B-${i},b${i}@post.example,SKU-${i % 40},2026-03-02`)
  writeFileSync(file, ['number,email,product_sku,placed_at', ...rows, 'X,,SKU-1,soon'].join('\n'))
  await withBrowser(desk, async (driver) => {
    const page = pageOf(driver)
    const jobs = `${running.url}/s/wrenfield/settings/jobs`
    await page.go(jobs)
    await page.type('[name=email]', 'mara@elogio.example')
    await page.type('[name=password]', 'Mara-secret')
    await page.click('form button')
    await page.sees('Nothing is running, and nothing failed.')
    await page.accessible()

    await page.go(`${running.url}/s/wrenfield/gather/orders`)
    await (await page.find('input[type=file]')).sendKeys(file)
    await page.press('Import orders')
    await page.sees('Importing orders.csv')
    await page.sees(/[1-9]\d?%/, 'main')
    await page.press('Cancel')
    await page.sees('Cancelled')
    await page.go(jobs)
    await page.sees('Finished')
    await page.accessible()
    await page.press('Continue')
    await page.sees('Running')
    // A fast machine can be done before the page looks again.
    await page.sees(/[1-9]\d?%|Done,/, 'main')
    await page.accessible()
    await running.kill()
    await running.restart()
    await page.go(jobs)
    await driver.wait(async () => /Done,/.test(await page.text('main')), 90_000, 'the import is done')
    await page.press('Importing orders')
    await page.sees('12,000 rows were imported.')
    await page.sees('12,000 new orders with 12,000 new lines')
    await page.sees('Row 12,001, placed_at: “soon” isn’t a date.')
    // The shop had one order before.
    await page.sees(/^You have 12,001 orders here\.$/, 'h1')
    await page.accessible()
  })
})
