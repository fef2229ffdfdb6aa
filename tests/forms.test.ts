import { Key, type WebDriver } from 'selenium-webdriver'
import type { Driver as ChromeDriver } from 'selenium-webdriver/chrome.js'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { startDemo, type Running } from './support/application'
import { desk, phone, withBrowser } from './support/browser'
import { startOtherSite } from './support/otherSite'
import { moveUpByKeys } from './support/moveUpByKeys'
import { pageOf, signIn, type Page, PATIENCE_MS } from './support/page'

let demo: Running
beforeAll(async () => {
  demo = await startDemo()
})
afterAll(() => demo.stop())

/** Types into the field of a label in the editor. Settings come when they are opened. */
const field = async (page: Page, label: string, text: string) => {
  await page.driver.wait(
    () =>
      page.driver.executeScript(
        `const found = [...document.querySelectorAll('main label')].find((one) => one.innerText.startsWith(arguments[0]))?.querySelector('input, textarea')
         found?.focus()
         found?.select()
         return found !== undefined`,
        label,
      ),
    PATIENCE_MS,
    `the field ${label}`,
  )
  await page.keys(text)
}
const choose = (page: Page, label: string, value: string) =>
  page.driver.executeScript(
    `const list = [...document.querySelectorAll('main label')].find((one) => one.innerText.startsWith(arguments[0])).querySelector('select')
     Object.getOwnPropertyDescriptor(HTMLSelectElement.prototype, 'value').set.call(list, arguments[1])
     list.dispatchEvent(new Event('change', { bubbles: true }))`,
    label,
    value,
  )
/** Clicks a part of the customers' page in the frame of the editor. */
const clickInForm = async (page: Page, part: string) => {
  const frame = await page.find('iframe')
  // The frame may not be awake at the first click.
  await page.driver.wait(
    () =>
      page.driver.executeScript(
        `if (document.querySelector('main').innerText.includes('All parts')) return true
         arguments[0].contentDocument.querySelector('[data-part="' + arguments[1] + '"]')?.click()`,
        frame,
        part,
      ),
    PATIENCE_MS,
    `${part} in the form`,
  )
}
/** The words stand in the form, in this order. */
const inForm = async (page: Page, ...words: string[]) => {
  const frame = await page.find('iframe')
  await page.driver.wait(
    async () => {
      const text = await page.driver.executeScript<string>(
        'return arguments[0].contentDocument.body.innerText',
        frame,
      )
      const places = words.map((some) => text.indexOf(some))
      return places.every((place, i) => place > (places[i - 1] ?? -1))
    },
    PATIENCE_MS,
    `${words.join(', ')} in the form`,
  )
}

test('a form is made by clicking on it, a customer answers its questions, and no answer is lost by later changes', async () => {
  await withBrowser(desk, async (driver) => {
    const page = pageOf(driver)
    await signIn(page, `${demo.url}/s/wrenfield/gather`)
    await page.press('New form')
    await page.press('With questions of your own')
    await page.sees('answer 2 questions of yours', '[data-sentence]')
    await clickInForm(page, 'heading')
    await field(page, 'Wording', 'How was the course?')
    await inForm(page, 'How was the course?')
    await page.press('All parts')
    await page.press('What did you hope for?')
    await choose(page, 'Answer', 'one')
    await page.sees('A question has no choices yet.')
    await field(page, 'Choices', 'Honey\nQuiet\nCompany')
    await page.click('main input[type=checkbox]')
    await inForm(page, 'Company')
    await page.press('All parts')
    expect(await moveUpByKeys(page, '[aria-label^="Move How easy was it?"]')).toBe(1)
    await inForm(page, 'How easy was it?', 'What did you hope for?')
    await page.press('What did you hope for?')
    await page.accessible()
    await page.press('Open the form to customers')
    await page.sees('Customers see this')
    const address = await driver.executeScript<string>(
      'return document.querySelector(`a[target=_blank][href^="/f/"]`).href',
    )

    await withBrowser(phone, async (handset) => {
      const customer = pageOf(handset)
      await customer.go(address)
      await customer.click('input[name=rating][value="5"] + span')
      await customer.type('[name=body]', 'Twelve of us and one very patient teacher.')
      await customer.type('[name=author_name]', 'Ada Wendt')
      await customer.type('[name=author_email]', 'ada@wendt.example')
      await customer.press('Send my review')
      await customer.sees('Please answer this.')
      await customer.accessible()

      // Meanwhile the owner renames one question and deletes the other.
      await field(page, 'Wording', 'What did you want to take home?')
      await page.press('All parts')
      await page.press('How easy was it?')
      await page.press('Delete the question')
      await page.sees('answer 1 question of yours', '[data-sentence]')
      await page.press('Publish the changes')
      await page.sees('Customers see this')

      await customer.click('input[value=Quiet]')
      await customer.driver.executeScript(
        'document.querySelector("input[value=\\"4\\"][name^=answer_]").click()',
      )
      await customer.click('[name=consent]')
      await customer.press('Send my review')
      await customer.sees('Thank you')
    })

    await page.go(`${demo.url}/s/wrenfield/decide?lane=held`)
    const review = await driver.executeScript<string>(
      'return [...document.querySelectorAll("a[href*=\\"/decide/\\"]")].find((link) => link.innerText.includes("Ada Wendt"))?.href',
    )
    await page.go(review)
    await page.sees('What did you hope for?')
    await page.sees('Quiet')
    await page.sees('How easy was it?')
    await page.sees('4/5')
    await page.sees('for you only')

    await page.go(`${demo.url}/s/wrenfield/gather`)
    await page.sees('How was the course?')
    await page.sees('Shop form', 'main')
  })
})

test('a form stands in a page of the shop, as high as it is, and over another from a link; sent, it thanks there', async () => {
  await withBrowser(desk, async (driver) => {
    const page = pageOf(driver)
    await page.go(`${demo.shopUrl}journal`)
    const frame = 'document.querySelector("[data-elogio-form]").shadowRoot?.querySelector("iframe")'
    const height = () => driver.executeScript<number>(`return ${frame}?.offsetHeight ?? 0`)
    await driver.wait(async () => ![0, 900].includes(await height()), PATIENCE_MS, 'its own height')
    expect(await height()).toBeGreaterThan(700)
    await driver.switchTo().frame(await driver.executeScript(`return ${frame}`))
    await page.sees('You order for more than yourself')
    expect(
      await driver.executeScript('return document.documentElement.scrollHeight - innerHeight'),
    ).toBeLessThan(2)
    await page.click('input[name=rating][value="4"] + span')
    await page.type('[name=body]', 'Thirty hives for the club, and every nail was in the box.')
    await page.type('[name=author_name]', 'Bo Lund')
    await page.type('[name=author_email]', 'bo@lund.example')
    await driver.executeScript(`document.querySelector('[name^=answer_][value="5"]').click()`)
    await page.click('[name=consent]')
    await page.press('Send my review')
    await page.sees('Thank you, all of you')
    await page.sees('The list for the spring order opens in February.')

    await driver.switchTo().defaultContent()
    await page.go(`${demo.shopUrl}tasting`)
    await driver.wait(
      () =>
        driver.executeScript(
          'return document.querySelector("[data-elogio-form] > span")?.shadowRoot !== undefined',
        ),
      PATIENCE_MS,
    )
    await page.press('Write a review')
    const over = 'document.querySelector("[data-elogio-form] > span").shadowRoot'
    expect(await driver.executeScript(`return ${over}.querySelector("dialog").open`)).toBe(true)
    await page.accessible()
    await driver.executeScript(`${over}.querySelector("button").click()`)
    expect(await driver.executeScript(`return ${over}.querySelector("dialog").open`)).toBe(false)

    // Behind a display's own link too, for the product of the display.
    await page.go(`${demo.shopUrl}goods/hk-2`)
    const display = 'document.querySelector("[data-elogio=product-page]").shadowRoot'
    await driver.wait(
      () => driver.executeScript(`return ${display}?.querySelector(".eg-write")`),
      PATIENCE_MS,
      'the display with its link',
    )
    await driver.executeScript(`${display}.querySelector(".eg-write").click()`)
    const host = `[...${display}.children].at(-1).shadowRoot`
    await driver.switchTo().frame(await driver.executeScript(`return ${host}.querySelector("iframe")`))
    await page.sees('Hive kit, two boxes')
    await page.sees('Send my review')
    await driver.switchTo().defaultContent()
    await page.keys(Key.ESCAPE)
    await driver.wait(
      () => driver.executeScript(`return !${host}.querySelector("dialog").open`),
      PATIENCE_MS,
      'closed by Escape',
    )
  })
})

test('in a hostile page the form has its own height and nothing is cut, from 320 to 1,600 px; without scripts a link leads to it', async () => {
  const site = await startOtherSite()
  const box = `<div data-elogio-form="clubs" lang="de"><a href="${demo.url}/f/clubs">Bewertung schreiben</a></div>`
  const address = site.show(
    `<style>*{all:unset;display:block;letter-spacing:4px!important}iframe{height:50px!important;width:90px!important;transform:rotate(3deg)}span{display:none!important}</style>
     <main>${box}</main><script async src="${demo.url}/embed.js"></script>`,
    { 'Content-Security-Policy': `script-src ${demo.url}; frame-src ${demo.url}; style-src 'unsafe-inline'` },
  )
  await withBrowser(desk, async (driver) => {
    const page = pageOf(driver)
    await page.go(address)
    const frame = 'document.querySelector("[data-elogio-form]").shadowRoot?.querySelector("iframe")'
    await driver.wait(() => driver.executeScript(`return ${frame} !== undefined`), PATIENCE_MS)
    const inFrame = async <T>(expression: string): Promise<T> => {
      await driver.switchTo().frame(await driver.executeScript(`return ${frame}`))
      const found = await driver.executeScript<T>(`return ${expression}`)
      await driver.switchTo().defaultContent()
      return found
    }
    for (const width of [320, 390, 768, 1280, 1600]) {
      await (driver as ChromeDriver).sendDevToolsCommand('Emulation.setDeviceMetricsOverride', {
        ...{ width, height: 900, deviceScaleFactor: 1, mobile: false },
      })
      // The height of the content, and how far that reaches beyond the frame.
      await driver.wait(
        async () => {
          const [cut, wide] = await inFrame<[number, number]>(
            '[document.body.firstElementChild.scrollHeight - innerHeight, document.documentElement.scrollWidth - innerWidth]',
          )
          return cut === 0 && wide <= 0
        },
        PATIENCE_MS,
        `nothing cut at ${width}`,
      )
      expect(await driver.executeScript<number>(`return ${frame}.offsetWidth`)).toBeGreaterThan(width * 0.9)
    }
    await driver.switchTo().frame(await driver.executeScript(`return ${frame}`))
    await page.sees('Wie viele Völker betreuen Sie?')
    await page.accessible()
    // What a screen reader meets, in the order of the page.
    const order = await driver.executeScript<string[]>(
      'return [...document.querySelectorAll("h1, legend, label[for], button")].map((one) => one.innerText.split("\\n")[0])',
    )
    const places = [
      'Sie bestellen',
      'Worum geht',
      'Was sollten andere',
      'Wie viele',
      'Name',
      'E-Mail',
      'Bewertung senden',
    ].map((words) => order.findIndex((one) => one.startsWith(words)))
    expect(places).toEqual(places.toSorted((a, b) => a - b))
    expect(places).not.toContain(-1)
  })
  await withBrowser({ ...phone, scripts: false }, async (driver) => {
    const page = pageOf(driver)
    await page.go(address)
    await page.press('Bewertung schreiben')
    await page.at('/f/clubs')
    await page.click('input[name=rating][value="4"] + span')
    await page.type('[name=body]', 'Sent from a page without scripts, and kept whole.')
    await page.click('[name^=answer_][value="3"] ~ *, label:has([name^=answer_][value="3"])')
    await page.type('[name=author_name]', 'Bo Lund')
    await page.type('[name=author_email]', 'bo@lund.example')
    await page.press('Send my review')
    await page.sees('Thank you, all of you')
  })
  site.stop()
})

test('a test review goes the whole way and is removed; the card with the code has the size of the paper', async () => {
  await withBrowser(desk, async (driver) => {
    const page = pageOf(driver)
    await signIn(page, `${demo.url}/s/wrenfield/gather`)
    await page.press('Clubs and companies')
    await page.press('Try it')
    await page.press('Send a test review')
    await page.sees('What you send from here is a test review')
    await page.click('input[name=rating][value="5"] + span')
    await page.type('[name=body]', 'Only to see what happens to it.')
    await page.type('[name=author_name]', 'Mara Odell')
    await page.type('[name=author_email]', 'mara@wrenfield.example')
    await driver.executeScript(`document.querySelector('[name^=answer_][value="5"]').click()`)
    await page.click('[name=consent]')
    await page.press('Send my review')
    await page.sees('Your test review has arrived')
    await page.accessible()
    await page.press('Follow it in Decide')
    await page.sees('It came from trying a form.')
    await page.keys('1')
    await page.counts({ approved: 337 })
    expect(await textAt(`${demo.url}/d/clubs-answer`)).not.toContain('Only to see what happens')

    await page.go(`${demo.url}/s/wrenfield/gather`)
    await page.press('Clubs and companies')
    await page.press('Try it')
    await page.press('Remove all test reviews')
    await page.sees('The test reviews were removed.')
    await page.press('All parts')
    await page.press('Share the form')
    await page.press('Print a card')
    await page.sees('localhost')
    await page.accessible()
    expect(await pagesPrinted(driver)).toEqual(['298x420'])
    await driver.executeScript(`const size = document.querySelectorAll('select')[0]
      Object.getOwnPropertyDescriptor(HTMLSelectElement.prototype, 'value').set.call(size, 'strip')
      size.dispatchEvent(new Event('change', { bubbles: true }))`)
    expect(await pagesPrinted(driver)).toEqual(['595x842'])
  })
})

test('a video is sent ahead, waits for the owner, and is played by visitors only when they want', async () => {
  await withBrowser(desk, async (driver) => {
    const page = pageOf(driver)
    await signIn(page, `${demo.url}/s/wrenfield/gather`)
    await page.press('Clubs and companies')
    await page.press('Photos and video')
    await driver.executeScript(
      '[...document.querySelectorAll("main label")].find((one) => one.innerText === "A video too").querySelector("input").click()',
    )
    await page.press('Publish the changes')
    await page.sees('Customers see this')

    await page.go(`${demo.url}/f/clubs`)
    await page.click('input[name=rating][value="5"] + span')
    await page.find('input[accept^=video]')
    // A film of a second, as a browser records it: without saying how long it is.
    await driver.executeAsyncScript(`const done = arguments[arguments.length - 1]
      const canvas = document.createElement('canvas')
      canvas.width = 160; canvas.height = 120
      const pen = canvas.getContext('2d')
      let step = 0
      const paint = setInterval(() => { pen.fillStyle = 'hsl(' + step++ * 20 + ' 80% 50%)'; pen.fillRect(0, 0, 160, 120) }, 40)
      const recorder = new MediaRecorder(canvas.captureStream(25), { mimeType: 'video/webm;codecs=vp8' })
      const parts = []
      recorder.ondataavailable = ({ data }) => parts.push(data)
      recorder.onstop = () => {
        clearInterval(paint)
        const files = new DataTransfer()
        files.items.add(new File(parts, 'bees.webm', { type: 'video/webm' }))
        const field = document.querySelector('input[accept^=video]')
        field.files = files.files
        field.dispatchEvent(new Event('change', { bubbles: true }))
        done()
      }
      recorder.start()
      setTimeout(() => recorder.stop(), 1200)`)
    await page.find('[data-photo=ready] input')
    await page.accessible()
    expect(
      await driver.executeScript(
        'return document.getElementById(document.querySelector("[name=author_email]").getAttribute("aria-describedby")).innerText',
      ),
    ).toBe('never shown')
    await page.type('[data-photo=ready] input', 'Bees at the door')
    await page.type('[name=body]', 'Forty of us ordered, and every box was labelled.')
    await driver.executeScript(`document.querySelector('[name^=answer_][value="5"]').click()`)
    await page.type('[name=author_name]', 'Kim Aldous')
    await page.type('[name=author_email]', 'kim@aldous.example')
    await page.click('[name=consent]')
    await page.press('Send my review')
    await page.sees('Thank you, all of you')

    await page.go(`${demo.url}/s/wrenfield/decide?lane=held&q=labelled`)
    await page.sees('1 video')
    await page.press('Kim Aldous')
    await page.click('[aria-label^="Photos"] button, section button:has(img[src*="/media/"])')
    const video = await page.find('dialog video')
    expect(await driver.executeScript('return [arguments[0].autoplay, arguments[0].paused]', video)).toEqual([
      false,
      true,
    ])
    await driver.wait(
      () => driver.executeScript('return arguments[0].readyState >= 1', video),
      PATIENCE_MS,
      'a video that can be played',
    )
    await page.accessible()
    await page.keys(Key.ESCAPE)
    await page.keys('1')
    await page.sees(/Approved\s*1\b/)

    await driver.wait(
      async () => (await textAt(`${demo.url}/d/clubs-answer`)).includes('eg-video'),
      PATIENCE_MS,
      'the video in the display',
    )
    await page.go(`${demo.url}/d/clubs-answer`)
    await page.click('.eg-video')
    const shown = await page.find('.eg-view video')
    expect(
      await driver.executeScript(
        'return [arguments[0].hidden, arguments[0].paused, arguments[0].ariaLabel]',
        shown,
      ),
    ).toEqual([false, true, 'Bees at the door'])
    await page.accessible()
  })
})

/** The sizes of the pages when printed, in points. */
async function pagesPrinted(driver: WebDriver): Promise<string[]> {
  const { data } = (await (driver as ChromeDriver).sendAndGetDevToolsCommand('Page.printToPDF', {
    preferCSSPageSize: true,
  })) as unknown as { data: string }
  const sizes = Buffer.from(data, 'base64')
    .toString('latin1')
    .matchAll(/\/MediaBox \[0 0 ([\d.]+) ([\d.]+)\]/g)
  return [...sizes].map(([, width, height]) => `${Math.round(Number(width))}x${Math.round(Number(height))}`)
}

const textAt = async (address: string) => (await fetch(address)).text()
