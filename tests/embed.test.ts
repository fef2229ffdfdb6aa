import type { WebDriver } from 'selenium-webdriver'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { startDemo, type Running } from './support/application'
import { desk, withBrowser, type Window } from './support/browser'
import { startOtherSite, type OtherSite } from './support/otherSite'
import { pageOf, PATIENCE_MS } from './support/page'

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

const box = (key = 'front-page') =>
  `<div data-elogio="${key}"><a href="${demo.url}/d/${key}">Reviews</a></div>`
const script = () => `<script async src="${demo.url}/embed.js"></script>`

/** Reads styles and places inside the display's shadow root. */
function inside<T>(driver: WebDriver, expression: string): Promise<T> {
  return driver.executeScript<T>(
    `const root = document.querySelector('[data-elogio]').shadowRoot; const at = (css) => root.querySelector(css); const style = (css) => getComputedStyle(at(css)); return ${expression}`,
  )
}
const columns = (driver: WebDriver) =>
  inside<number>(
    driver,
    "new Set([...root.querySelectorAll('li')].map((li) => Math.round(li.getBoundingClientRect().x))).size",
  )

describe('on the shop’s own page', () => {
  test('type and colour are the page’s, and none of its other rules get in', async () => {
    await withBrowser(desk, async (driver) => {
      const page = pageOf(driver)
      await page.go(demo.shopUrl)
      await page.displaySees(/Kept bees/)
      expect(
        await inside(
          driver,
          `{
          family: style('h2').fontFamily.split(',')[0],
          colour: style('blockquote').color,
          shout: style('h2').textTransform,
          size: style('h2').fontSize,
          align: style('.eg').textAlign,
          indent: style('blockquote p').textIndent,
          float: style('li').cssFloat,
          background: style('li').backgroundColor,
          margin: style('figure').marginTop,
          bar: style('blockquote').borderLeftWidth,
          marker: style('ol').listStyleType,
          spacing: style('blockquote p').letterSpacing,
        }`,
        ),
      ).toEqual({
        family: 'Shopserif',
        colour: 'rgb(42, 36, 26)',
        shout: 'none',
        size: '25.5px',
        align: 'start',
        indent: '0px',
        float: 'none',
        background: 'rgba(0, 0, 0, 0)',
        margin: '0px',
        bar: '0px',
        marker: 'none',
        spacing: 'normal',
      })
      expect(
        await driver.executeScript('return getComputedStyle(document.querySelector(".hero h1")).fontSize'),
      ).toBe('36px')
      expect(await driver.executeScript('return document.cookie')).toBe('')
    })
  })

  test.each([
    [1280, 3],
    [700, 2],
    [390, 1],
  ])('at %i pixels it stands in %i columns, and nothing sticks out', async (width, count) => {
    const window: Window = { width, height: 800 }
    await withBrowser(window, async (driver) => {
      const page = pageOf(driver)
      await page.go(demo.shopUrl)
      await page.displaySees(/Kept bees/)
      expect(await columns(driver)).toBe(count)
      expect(
        await driver.executeScript('return document.documentElement.scrollWidth <= window.innerWidth'),
      ).toBe(true)
    })
  })
})

test('on other pages: strict, twice, dark, with an unknown key, without scripts, with Elogio gone', async () => {
  await withBrowser(desk, async (driver) => {
    const page = pageOf(driver)

    await page.go(
      site.show(`<main>${box()}${script()}</main>`, {
        'Content-Security-Policy': `default-src 'none'; script-src ${demo.url}; connect-src ${demo.url}; img-src data:`,
      }),
    )
    await page.displaySees(/Kept bees/)
    expect(await columns(driver)).toBe(3)
    // The page forbids frames, so the form opens on its own page.
    await driver.executeScript(
      "document.querySelector('[data-elogio]').shadowRoot.querySelector('.eg-write').click()",
    )
    await page.at('/f/tell-us')

    await page.go(
      site.show(`<main>${box()}${script()}<p>and again</p>${box()}${script()}${box('unknown')}</main>`),
    )
    await page.displaySees(/Kept bees/)
    const filled =
      'return [...document.querySelectorAll("[data-elogio]")].map((box) => box.shadowRoot?.querySelectorAll("section").length ?? 0)'
    await driver.wait(
      async () => String(await driver.executeScript(filled)) === '1,1,0',
      PATIENCE_MS,
      'both boxes filled once',
    )
    expect(await (await page.find('[data-elogio=unknown] a')).isDisplayed()).toBe(true)

    await page.go(
      site.show(
        `<style>body{background:#14110d;color:#f2e9d8;font:18px/1.5 sans-serif}</style><main><h1>Dark</h1>${box()}${script()}</main>`,
      ),
    )
    await page.displaySees(/Kept bees/)
    expect(await inside(driver, "style('blockquote').color")).toBe('rgb(242, 233, 216)')
    await page.accessible()

    const address = site.show(`<main>${box()}${script()}</main>`)
    await demo.kill()
    await page.go(address)
    expect(await (await page.find('[data-elogio] a')).isDisplayed()).toBe(true)
    await demo.restart()
    await driver.navigate().refresh()
    await page.displaySees(/Kept bees/)
  })
  await withBrowser({ ...desk, scripts: false }, async (driver) => {
    const page = pageOf(driver)
    await page.go(site.show(`<main>${box()}${script()}</main>`))
    await page.press('Reviews')
    await page.at('/d/front-page')
    await page.sees('Kept bees a year longer')
    await page.press('Write a review')
    await page.at('/f/tell-us')
  })
})
