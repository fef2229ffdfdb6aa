import { afterAll, beforeAll, expect, test } from 'vitest'
import { startDemo, type Running } from './support/application'
import { desk, phone, withBrowser } from './support/browser'
import { eventually } from './support/eventually'
import { Key, pageOf, signIn, type Page, PATIENCE_MS } from './support/page'
import { slowDown } from './support/slowLine'

let demo: Running
beforeAll(async () => {
  demo = await startDemo()
})
afterAll(() => demo.stop())

/** The computed style of an element of the display in the preview. */
const styleInPreview = (page: Page, css: string, property: string) =>
  page.driver.executeScript<string>(
    `const host = [...document.querySelectorAll('[aria-label=Preview] *')].find((one) => one.shadowRoot?.querySelector('.eg') && !one.closest('[inert]'))
     return getComputedStyle(host.shadowRoot.querySelector(arguments[0]))[arguments[1]]`,
    css,
    property,
  )
const previewHas = (page: Page, css: string, property: string, value: RegExp) =>
  page.driver.wait(
    async () => value.test(await styleInPreview(page, css, property).catch(() => '')),
    PATIENCE_MS,
    `${property} of ${css} to be ${value} in the preview`,
  )
const clickInPreview = (page: Page, css: string) =>
  page.driver.executeScript(
    `const host = [...document.querySelectorAll('[aria-label=Preview] *')].find((one) => one.shadowRoot?.querySelector('.eg') && !one.closest('[inert]'))
     host.shadowRoot.querySelector(arguments[0]).click()`,
    css,
  )
/** Moves a slider like a person who drags it. */
const slide = (page: Page, label: string, value: number) =>
  page.driver.executeScript(
    `const slider = [...document.querySelectorAll('[role=dialog] label')].find((one) => one.textContent.startsWith(arguments[0])).querySelector('input')
     Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set.call(slider, arguments[1])
     slider.dispatchEvent(new Event('input', { bubbles: true }))`,
    label,
    String(value),
  )

test('a look by the arrow keys, a part of it changed and taken back, one width alone, and a look of her own', async () => {
  await withBrowser(desk, async (driver) => {
    const page = pageOf(driver)
    await signIn(page, `${demo.url}/s/wrenfield/show/summer-band?on=shop`)
    await page.click('[data-part=theme]')
    await page.sees('press cuttings', '#strip')
    await driver.executeScript(`document.querySelector('[name=look][value=field]').focus()`)
    await page.keys(Key.ARROW_RIGHT)
    await page.sees('as press cuttings', '[data-sentence]')
    await previewHas(page, 'figure', 'borderTopStyle', /double/)
    await page.accessible()
    await page.keys(Key.ESCAPE)

    await clickInPreview(page, '.eg-title')
    await page.sees('Title', '[role=dialog]')
    const before = await styleInPreview(page, '.eg-title', 'fontSize')
    await slide(page, 'Size', 200)
    await driver.wait(
      async () => (await styleInPreview(page, '.eg-title', 'fontSize')) !== before,
      PATIENCE_MS,
    )
    await page.press('Back to the look')
    await driver.wait(
      async () => (await styleInPreview(page, '.eg-title', 'fontSize')) === before,
      PATIENCE_MS,
    )
    await page.keys(Key.ESCAPE)

    await page.click('[data-part=theme]')
    await page.press('Own CSS')
    const inEditor = (css: string) =>
      `[...document.querySelectorAll('#strip *')].find((one) => one.shadowRoot?.querySelector('.cm-content'))?.shadowRoot.querySelector('${css}')`
    await driver.wait(() => driver.executeScript(`return Boolean(${inEditor('.cm-focused')})`), PATIENCE_MS)
    await page.keys('.eg-title { font-size: 3em; display: none')
    await page.sees('“display: none” is not among what can be changed here', '#strip')
    await driver.wait(
      async () => (await styleInPreview(page, '.eg-title', 'fontSize')) !== before,
      PATIENCE_MS,
    )
    await page.accessible()
    await page.press('Back to the look')
    await driver.wait(
      async () => (await styleInPreview(page, '.eg-title', 'fontSize')) === before,
      PATIENCE_MS,
    )
    expect(await driver.executeScript(`return ${inEditor('.cm-content')}.textContent`)).toBe('')
    await page.click('[data-part=theme]')

    await page.press('phone')
    await page.sees('only at this width, up to 480 px')
    await page.click('[aria-label=Preview] input[type=checkbox]')
    await clickInPreview(page, '.eg-title')
    await page.sees('Title', '[role=dialog]')
    await slide(page, 'Size', 60)
    await page.sees('other style here: title')
    await page.keys(Key.ESCAPE)
    await page.press('phone')
    await driver.wait(
      async () => (await styleInPreview(page, '.eg-title', 'fontSize')) === before,
      PATIENCE_MS,
    )

    await page.click('[data-part=theme]')
    await page.press('Save as a look of your own')
    await page.type('#strip [name=name]', 'Harvest')
    await page.press('Save')
    await page.sees('as Harvest', '[data-sentence]')
    await page.press('Start new displays like this')
    await page.sees('New displays start like this')
    await page.go(`${demo.url}/s/wrenfield/show/new`)
    await page.press('Badge')
    await page.sees('as Harvest', '[data-sentence]')
  })
})

test('the smallest change makes a rosy selection fair; a balanced one says why each review is there', async () => {
  await withBrowser(desk, async (driver) => {
    const page = pageOf(driver)
    await signIn(page, `${demo.url}/s/wrenfield/show/front-page?on=shop`)
    await page.click('[data-part=ratings]')
    await page.sees('any rating', '#strip')
    await page.keys(Key.ARROW_LEFT)
    await page.sees('Rosier than all')
    await page.press('How it compares')
    await page.sees(/swaps? makes? it fair/, '[data-fairer]')
    await page.press('Swap them')
    await page.sees('A fair selection')

    await page.press('Discard changes')
    await page.sees('any rating', '[data-sentence]')
    await page.click('[data-part=order]')
    await driver.executeScript(`document.querySelector('[name=order][value=balanced]').click()`)
    await page.sees('Each rating has its share among all.')
    await driver.wait(
      async () => (await driver.findElements({ css: '[data-reason]' })).length === 6,
      PATIENCE_MS,
      'a reason at each',
    )
    await page.accessible()
    await page.press('Discard changes')
    await page.sees('Published today')
  })
})

const inDisplay = (key: string, work: string) =>
  `const root = document.querySelector('[data-elogio=${key}]')?.shadowRoot; if (!root) return null; ${work}`

test('on the shop’s pages: more reviews by a button, and a mark that opens them over the page, by keys', async () => {
  await withBrowser(phone, async (driver) => {
    const page = pageOf(driver)
    const ask = <T>(key: string, work: string) => driver.executeScript<T>(inDisplay(key, work))
    await page.go(`${demo.shopUrl}goods/hk-2`)
    const count = () => ask<number | null>('product-page', 'return root.querySelectorAll("ol>li").length')
    await driver.wait(async () => (await count()) === 5, PATIENCE_MS, 'the first five')
    await ask('product-page', 'root.querySelector(".eg-next").click()')
    await driver.wait(async () => ((await count()) ?? 0) > 5, PATIENCE_MS, 'more reviews')
    expect(
      await ask('product-page', 'return [...root.querySelectorAll("ol>li")].indexOf(root.activeElement)'),
    ).toBe(5)

    await page.go(`${demo.shopUrl}tasting`)
    const mark = 'return root.querySelector(".eg-mark")?.matches(":popover-open")'
    await driver.wait(async () => ask('at-the-edge', mark), PATIENCE_MS, 'the mark')
    await ask('at-the-edge', 'root.querySelector(".eg-mark").focus()')
    await page.keys(Key.ENTER)
    const open = () => ask<boolean>('at-the-edge', 'return root.querySelector("dialog").open')
    await driver.wait(open, PATIENCE_MS, 'the reviews over the page')
    await page.accessible()
    await page.keys(Key.ESCAPE)
    expect(await open()).toBe(false)
    expect(await ask('at-the-edge', 'return root.activeElement.className')).toContain('eg-mark')
    // Wherever people press on a phone, the mark is not in between.
    const covered = await ask<number>(
      'at-the-edge',
      `const box = root.querySelector('.eg-mark').getBoundingClientRect()
       return [...document.querySelectorAll('a,button,input')].filter((one) => {
         const { left, right, top, bottom } = one.getBoundingClientRect()
         return right > box.left && left < box.right && bottom > box.top && top < box.bottom
       }).length`,
    )
    expect(covered).toBe(0)
  })
})

test('without scripts further pages are links', async () => {
  await withBrowser({ ...desk, scripts: false }, async (driver) => {
    const page = pageOf(driver)
    await page.go(`${demo.url}/d/product-page?product=HK-2`)
    await page.press('Show more reviews')
    expect(await driver.getCurrentUrl()).toContain('/d/product-page?product=HK-2&page=2')
    await page.sees(/from people who bought it/i)
  })
})

test('a display that is published right after a change has it, also on a slow line', async () => {
  await withBrowser(desk, async (driver) => {
    const page = pageOf(driver)
    await signIn(page, `${demo.url}/s/wrenfield/show/summer-band`)
    await page.click('[data-part=title]')
    await (await page.find('#strip input')).clear()
    await page.sees('Publish', 'main')
    await slowDown(driver, 600)
    await page.type('#strip input', 'Straight to print')
    await page.press('Publish')
    await page.sees('Paste this where the reviews should appear.', 'dialog')
    const shown = async () => (await fetch(`${demo.url}/d/summer-band`)).text()
    await eventually(async () => expect(await shown()).toContain('Straight to print'))
  })
})
