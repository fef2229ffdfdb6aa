import { Key } from 'selenium-webdriver'
import { PATIENCE_MS, type Page } from './page'

/** Moves one of an order's things up by a place or two, as somebody with a keyboard does; gives its place, from 1. */
export async function moveUpByKeys(page: Page, handle: string): Promise<number> {
  const { driver } = page
  const told = () =>
    driver.executeScript<string>('return document.querySelector("[id^=DndLiveRegion]").textContent')
  const hears = (words: RegExp, patience = PATIENCE_MS) =>
    driver.wait(async () => words.test(await told()), patience, `it is told: ${words}`)
  await driver.executeScript('document.querySelector(arguments[0]).focus()', handle)
  await page.keys(Key.SPACE)
  const place = Number(/place (\d+)/.exec((await hears(/Picked up .* from|is over/), await told()))![1])
  // The list listens to the arrows a moment after it has told so.
  await driver.wait(async () => {
    await page.keys(Key.ARROW_UP)
    return hears(new RegExp(`over place [${place - 2}${place - 1}] `), 700).catch(() => false)
  }, PATIENCE_MS)
  await page.keys(Key.SPACE)
  await hears(/Dropped .* at place/)
  return Number(/Dropped .* at place (\d+)/.exec(await told())![1])
}
