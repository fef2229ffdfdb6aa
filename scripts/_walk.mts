import { Key } from 'selenium-webdriver'
import { writeFileSync } from 'node:fs'
import { desk, phone, withBrowser } from '../tests/support/browser'
import { pageOf } from '../tests/support/page'
const URLB = 'http://localhost:4470'
await withBrowser(desk, async (driver) => {
  const page = pageOf(driver)
  const shot = async (n: string) => writeFileSync(`/tmp/p_${n}.png`, await driver.takeScreenshot(), 'base64')
  await driver.get(URLB + '/s/wrenfield/gather')
  await page.click('main form button')
  await page.sees('reviews in the last 30 days')
  await page.keys('/')
  await driver.sleep(700)
  await page.keys('honey')
  await driver.sleep(900)
  await shot('find1')
  await page.keys(Key.ARROW_DOWN, Key.ARROW_DOWN)
  await page.keys(Key.ENTER)
  await driver.sleep(900)
  await shot('find2')
  await page.keys('/')
  await driver.sleep(300)
  await page.keys('new f')
  await driver.sleep(700)
  await shot('find3')
})
process.exit(0)
