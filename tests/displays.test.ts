import { afterAll, beforeAll, expect, test } from 'vitest'
import { startDemo, type Running } from './support/application'
import { desk, phone, withBrowser } from './support/browser'
import { startOtherSite, type OtherSite } from './support/otherSite'
import { moveUpByKeys } from './support/moveUpByKeys'
import { slowDown } from './support/slowLine'
import { Key, pageOf, type Page, signIn, PATIENCE_MS } from './support/page'

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

const PREVIEW = '[aria-label="Preview"]'

/** Clicks a part of the display in the preview, as a person does with the mouse. */
const clickInPreview = (page: Page, css: string) =>
  page.driver.wait(
    () =>
      page.driver.executeScript(
        `const frame = document.querySelector('${PREVIEW} iframe')
         const around = frame ? frame.contentDocument : document
         for (const host of around.querySelectorAll('*')) {
           const part = host.shadowRoot?.querySelector(arguments[0])
           if (part && host.closest('[inert]') === null) { part.click(); return true }
         }
         return false`,
        css,
      ),
    PATIENCE_MS,
    `${css} to click in the preview`,
  )
const order = (page: Page) =>
  page.driver.executeScript<string[]>(
    'return [...document.querySelectorAll("[data-picked] b.truncate")].map((name) => name.textContent)',
  )

test('from approved reviews to a display of her own on a page, told by the screen alone', async () => {
  await withBrowser(desk, async (driver) => {
    const page = pageOf(driver)
    await signIn(page, demo.url + '/s/wrenfield/show')
    await page.press('New display')
    await page.sees('Choose a layout')
    await page.accessible()
    await page.press('Mosaic')
    await page.sees('Show 9 reviews with any rating')
    await page.displayInside(PREVIEW, /These 9 were selected by Wrenfield from 335/)

    await page.click('[data-part=more]')
    await page.press('Title')
    await page.type('[name=title]', 'From other gardens')
    await page.displayInside(PREVIEW, /From other gardens/)
    await page.accessible()
    await page.press('Publish')
    await page.sees('Published today')

    await page.sees('Not seen on your site yet', 'dialog')
    await page.accessible()
    const code = await driver.executeScript<string>(
      'return document.querySelector("[data-code]").textContent',
    )
    expect(code).toMatch(/^<style>\[data-elogio="wrenfield-mosaic"\]\{container-type:inline-size\}/)
    const address = site.show(
      `<body style="margin:0;font:17px/1.5 Georgia,serif"><main style="padding:24px"><h1>My page</h1>${code}<p id="below">What stands below</p></main>`,
    )
    for (const width of [1180, 700, 360]) {
      await withBrowser({ width, height: 900 }, async (visiting) => {
        const visitor = pageOf(visiting)
        await visitor.go(address)
        await visitor.displaySees(/From other gardens[\s\S]*These 9 were selected by Wrenfield from 335/)
        expect(await shift(visitor), `${width} wide`).toBe(0)
      })
    }
    await page.sees(/Seen on your site today/, 'dialog')
    await page.sees(address, 'dialog')

    const old = code.replaceAll(/min-height:(\d+)px/g, (_, height) => `min-height:${Number(height) + 400}px`)
    site.show(`<body style="margin:0">${old}<p id="below">What stands below</p>`)
    for (const width of [1360, 1024, 768, 390]) {
      await withBrowser({ width, height: 900 }, async (visiting) => {
        const visitor = pageOf(visiting)
        await slowDown(visiting, 300)
        await visitor.go(address)
        await visitor.displaySees(/From other gardens/)
        await visiting.wait(async () => (await hole(visitor)) === 0, PATIENCE_MS, `a hole, ${width} wide`)
      })
    }
    // Where the old code is not seen yet, its height is corrected without anything moving.
    site.show(`<body style="margin:0"><p style="height:1400px">Above</p>${old}<p id="below">Below</p>`)
    await withBrowser(desk, async (visiting) => {
      const visitor = pageOf(visiting)
      await slowDown(visiting, 300)
      await visitor.go(address)
      await visitor.displaySees(/From other gardens/)
      await visiting.wait(async () => (await hole(visitor)) === 0, PATIENCE_MS, 'a hole below')
      expect(await shift(visitor)).toBe(0)
    })
    site.show(`<body style="margin:0">${old}<p id="below">What stands below</p>`)
    await withBrowser({ ...desk, scripts: false }, async (visiting) => {
      await visiting.get(address)
      const below = visiting.findElement({ id: 'below' })
      expect((await below.getRect()).y).toBeLessThan(100)
    })
    site.show(`<body style="margin:0"><iframe width="900" height="700"></iframe>
      <script>document.querySelector('iframe').srcdoc = ${JSON.stringify(old).replaceAll('</', '<\\/')}</script>`)
    await withBrowser(desk, async (visiting) => {
      await visiting.get(address)
      await visiting.switchTo().frame(0)
      const links = () =>
        visiting.executeScript<string[]>(
          `const box = document.querySelector('[data-elogio]')
           return [...(box?.shadowRoot?.querySelectorAll('a') ?? [])].map(({ target }) => target)`,
        )
      await visiting.wait(async () => (await links()).length > 0, PATIENCE_MS, 'the display in the frame')
      expect(new Set(await links())).toEqual(new Set(['_blank']))
    })
  })
})

/** The pixels of reserved height below the display that nothing fills. */
const hole = (page: Page) =>
  page.driver.executeScript<number>(
    `const display = document.querySelector('[data-elogio]').shadowRoot.querySelector('.eg')
     const height = display.offsetHeight
     const { minHeight } = display.style
     display.style.minHeight = ''
     const spare = height - display.offsetHeight
     display.style.minHeight = minHeight
     return spare`,
  )

test('two tabs with one draft never overwrite each other unnoticed', async () => {
  await withBrowser(desk, async (driver) => {
    const page = pageOf(driver)
    const address = demo.url + '/s/wrenfield/show/side-column'
    const choose = async (limit: number) => {
      await page.click('[data-part=limit]')
      await page.click(`label:has(input[name=limit][value="${limit}"])`)
      await page.sees(`Show ${limit} reviews`, '[data-sentence]')
    }
    await signIn(page, address)
    await page.find('[data-part=limit]')
    // A tab that misses what happens elsewhere, as on a lost connection.
    await driver.executeScript("Object.defineProperty(document, 'visibilityState', { value: 'hidden' })")
    const first = await driver.getWindowHandle()
    await driver.switchTo().newWindow('tab')
    await driver.manage().window().setRect(desk)
    await signIn(page, address)
    await choose(8)
    await page.sees(/draft saved today/)
    await driver.close()
    await driver.switchTo().window(first)
    await choose(9)
    await page.sees('This draft was changed in another tab.')
    await page.accessible()
    await page.press('Use the other version')
    await page.sees('Show 8 reviews', '[data-sentence]')
    await page.click('[aria-label=Undo]')
    await page.sees('Show 9 reviews', '[data-sentence]')
    await page.sees(/draft saved today/)
  })
})

/** How much the page moved while it was loaded, as browsers count it. */
const shift = (page: Page) =>
  page.driver.executeAsyncScript<number>(
    `const done = arguments[0]; let sum = 0
     new PerformanceObserver((list) => { for (const entry of list.getEntries()) sum += entry.value }).observe({ type: 'layout-shift', buffered: true })
     requestAnimationFrame(() => setTimeout(() => done(sum), 50))`,
  )

test('what is changed by clicking it, moved by keys, undone, kept as a version and brought back', async () => {
  await withBrowser(desk, async (driver) => {
    const page = pageOf(driver)
    await signIn(page, demo.url + '/s/wrenfield/show/front-page')
    await page.displayInside(PREVIEW, /Maud P\./)
    await clickInPreview(page, '.eg-name')
    await page.sees('Open this review in Decide', '[role=dialog]')
    await page.accessible()
    await page.press('Dates')
    await page.displayInside(PREVIEW, /\d{4}bought here|\w+ 2026/)
    await page.press('Close')
    await page.sees('Publish 1 change')

    const before = await order(page)
    const place = await moveUpByKeys(page, '[data-picked] li:nth-child(3) button')
    await page.sees('pinned', '[data-picked]')
    const moved = before.toSpliced(2, 1)
    moved.splice(place - 1, 0, before[2]!)
    const stand = (names: string[], what: string) =>
      driver.wait(async () => String(await order(page)) === String(names), 5000, what)
    await stand(moved, `it stands at place ${place}`)
    await page.sees('Publish 2 changes')

    await page.click('[aria-label^="Leave out:"]')
    await page.sees('Left out by you')
    await driver.wait(async () => !(await order(page)).includes(moved[0]!), PATIENCE_MS, 'it is left out')
    await page.click('[aria-label=Undo]')
    await stand(moved, 'it is back')
    await page.click('[aria-label=Redo]')
    await driver.wait(
      async () => !(await order(page)).includes(moved[0]!),
      PATIENCE_MS,
      'it is left out again',
    )
    await driver.actions().keyDown(Key.CONTROL).sendKeys('z').keyUp(Key.CONTROL).perform()
    await stand(moved, 'keys undo too')

    await page.press('Publish 2 changes')
    await page.sees(/Dates\s+from no date to month and year/, 'dialog')
    await page.sees(/By hand\s+1 pinned \(place [12]\)/, 'dialog')
    await page.click('dialog .btn-primary')
    await page.sees('Published today')
    await page.press('Versions')
    await page.sees('Version 2, today', 'dialog')
    await page.accessible()
    await page.press('Restore')
    await page.sees('Publish 2 changes')
    await stand(before, 'the old order')
    await page.press('Discard changes')
    await page.sees('Published today')
  })
})

test('a rosy pick is told so, colours that cannot be read are mended, and her page is the background', async () => {
  await withBrowser(desk, async (driver) => {
    const page = pageOf(driver)
    await signIn(page, demo.url + '/s/wrenfield/show/front-page')
    await page.sees('A fair selection')
    await page.click('[data-part=ratings]')
    await page.sees('any rating', '#strip')
    await page.keys(Key.ARROW_LEFT)
    await page.sees('5 stars only', '[data-sentence]')
    await page.sees('Rosier than all')
    await page.displayInside(PREVIEW, /These 6(, rated 5,)? were selected by Wrenfield from 335/)
    await page.keys(Key.ESCAPE)

    await page.click('[data-part=theme]')
    await page.press('Colours')
    await driver.executeScript(
      `const field = [...document.querySelectorAll('#strip input')].find((input) => input.ariaLabel === 'Accent' && input.type !== 'color')
       field.focus(); field.select()`,
    )
    await page.keys('#f3e3b3')
    await page.sees('The stars have a contrast of', '#strip')
    await page.accessible()
    await page.press('Use #')
    await driver.wait(
      async () => !/contrast/.test(await page.text('#strip')),
      PATIENCE_MS,
      'the contrast is mended',
    )
    await page.sees('Publish 2 changes')
    expect(
      await driver.executeScript(
        `const page = document.querySelector('${PREVIEW} iframe').contentDocument
         return [page.querySelector('h1').textContent, page.querySelectorAll('script').length, page.defaultView.getComputedStyle(page.querySelector('[data-elogio=front-page]').shadowRoot.querySelector('.eg-words')).fontFamily.split(',')[0]]`,
      ),
    ).toEqual(['Everything a first colony needs, and someone to ask.', 0, 'Shopserif'])
    await page.press('Discard changes')
    await page.sees('Published today')
  })
})

test('on listing and product pages each product has its own, and a line leads down to the reviews', async () => {
  await withBrowser(desk, async (driver) => {
    const page = pageOf(driver)
    const lines = () =>
      driver.executeScript<string[]>(
        `return [...document.querySelectorAll('.good [data-elogio]')].map((box) => box.shadowRoot?.textContent ?? '')`,
      )
    await page.go(`${demo.shopUrl}goods`)
    await driver.wait(async () => (await lines()).every((text) => text !== ''), PATIENCE_MS, 'a line at each')
    expect((await lines()).filter((text) => /^★ \d\.\d \(\d+/.test(text)).length).toBeGreaterThan(9)
    expect(await lines()).toContain('Write a review')
    await page.accessible()

    await page.go(`${demo.shopUrl}goods/hk-2`)
    await driver.wait(
      () =>
        driver.executeScript(
          `return [...document.querySelectorAll('[data-elogio]')].every((box) => box.shadowRoot)`,
        ),
      PATIENCE_MS,
      'all displays',
    )
    const own = await driver.executeScript<{ ld: string; text: string }>(
      `const box = document.querySelector('[data-elogio=product-page]')
       return { ld: box.querySelector('script').textContent, text: box.shadowRoot.textContent }`,
    )
    expect(JSON.parse(own.ld)).toMatchObject({ '@type': 'Product', name: 'Hive kit, two boxes' })
    expect(own.text).not.toMatch(/on Smoker|on Tall suit/)
    await page.accessible()
    await driver.executeScript(
      `document.querySelector('main [data-elogio=beside-names]').shadowRoot.querySelector('a').click()`,
    )
    await driver.wait(
      () => driver.executeScript(`return document.activeElement.dataset.elogio === 'product-page'`),
      PATIENCE_MS,
      'the reviews are gone to',
    )
    await page.go(`${demo.shopUrl}journal`)
    await page.displaySees(/These 5 were selected/)
    await page.accessible()
    await page.go(`${demo.shopUrl}saltmarsh`)
    await page.displaySees(/from 2 ratings/)
    await page.accessible()
  })
})

test('taken down, removed and brought back from the list; its page, and how reviews are handled', async () => {
  await withBrowser(desk, async (driver) => {
    const page = pageOf(driver)
    await signIn(page, demo.url + '/s/wrenfield/show')
    await page.sees(/^\d+ displays are published/, 'h1')
    const before = Number.parseInt(await page.text('h1'))
    const act = async (key: string, intent: string) => {
      await page.click(`[data-display=${key}] summary`)
      await page.click(`[data-display=${key}] button[value=${intent}]`)
    }
    await act('side-column', 'down')
    await page.sees(`${before - 1} displays are published.`, 'h1')
    await page.press('Undo')
    await page.sees(`${before} displays are published.`, 'h1')
    await act('summer-band', 'remove')
    await page.sees('Summer band is removed.')
    await page.accessible()
    await page.press('Undo')
    await page.sees('Summer band is back.')
    await act('summer-band', 'copy')
    await page.sees('Summer band (copy)', 'h1')

    await page.go(`${demo.url}/d/front-page`)
    await page.sees('Kept bees a year longer')
    await page.accessible()
    await page.press('See all 335')
    await page.sees(/These 50 were selected by Wrenfield from 335/)
    await page.accessible()
    await page.press('How reviews are handled')
    await page.at('/how/wrenfield')
    await page.sees('It’s 4.2, from all 132 approved reviews')
    await page.sees(/^161$/, '[data-how=received]')
    await page.accessible()

    await page.go(`${demo.url}/s/wrenfield/show/scratch?key=front-page`)
    await page.press('Show preview')
    await driver.switchTo().frame(0)
    await page.displaySees(/Kept bees a year longer/)
    await driver.switchTo().defaultContent()
    await page.accessible()
  })
  await withBrowser(phone, async (driver) => {
    const page = pageOf(driver)
    await signIn(page, demo.url + '/s/wrenfield/show/front-page')
    await page.sees('Not shown')
    await page.accessible()
    expect(
      await driver.executeScript('return document.documentElement.scrollWidth <= window.innerWidth'),
    ).toBe(true)
  })
})
