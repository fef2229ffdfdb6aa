import { readdirSync, writeFileSync } from 'node:fs'
import { request } from 'node:http'
import path from 'node:path'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { databaseFile, mediaFolder } from '../server/dataFolder'
import { openDatabase } from '../server/data/database'
import { sweepMedia } from '../server/media/sweepMedia'
import { buildServices } from '../server/services'
import { startDemo, type Running } from './support/application'
import { desk, phone, withBrowser } from './support/browser'
import { TRIED_AGAIN } from './support/longestWait'
import { Key, pageOf, PATIENCE_MS, signIn, type Page } from './support/page'
import { phonePhoto, program, svgWithScript, zip } from './support/pictures'
import { formToken } from './support/submissions'

let demo: Running
beforeAll(async () => {
  demo = await startDemo()
})
afterAll(() => demo.stop())

const file = (name: string, bytes: Buffer): string => {
  const full = path.join(demo.dataFolder, name)
  writeFileSync(full, bytes)
  return full
}
const words = 'The lid sits so well that the wasps have given up.'

async function fillIn(page: Page): Promise<void> {
  await page.click('label:has([name=rating][value="5"])')
  await page.type('[name=body]', words)
  await page.type('[name=author_name]', 'Piet Hollander')
  await page.type('[name=author_email]', 'piet@hollander.example')
  await page.click('[name=consent]')
}

test('photos of a phone come with a review, one is hidden, visitors open the other by keyboard', async () => {
  const large = file('large.jpg', await phonePhoto(8000, 6000))
  const small = file('small.jpg', await phonePhoto(900, 600))
  const fake = file('photo.jpg', program)
  await withBrowser(phone, async (driver) => {
    const page = pageOf(driver)
    await page.go(`${demo.url}/f/tell-us`)
    await (await page.find('input[type=file]')).sendKeys([large, fake, small].join('\n'))
    await fillIn(page)
    // Sent while the large one is still being made smaller, and with one that is none.
    await page.sees('This isn’t a photo. Please choose a jpg')
    await page.click('[aria-label="Remove photo 2"]')
    await page.type('[data-photo=ready] input', 'Lid on')
    await page.press('Send my review')
    await page.sees('Thank you', 'h1')
  })
  await withBrowser(desk, async (driver) => {
    const page = pageOf(driver)
    await signIn(page, `${demo.url}/s/wrenfield/decide?lane=held`)
    await page.press('Piet Hollander')
    await page.sees('Photos from someone who isn’t a verified buyer', 'article')
    await page.click('[aria-label="Photo 1 of 2"]')
    await page.sees('The text stays, whatever you decide about a photo.', 'dialog')
    await page.accessible()
    await page.keys(Key.ARROW_RIGHT)
    await page.sees('2 / 2', 'dialog')
    await page.press('Hide from visitors')
    await page.sees('Show to visitors', 'dialog')
    await page.keys(Key.ESCAPE)
    expect(await driver.executeScript('return document.activeElement.ariaLabel')).toBe('Photo 1 of 2')
    await page.find('[aria-label="Photo 2 of 2, hidden from visitors"]')
    await page.keys('1')
    await page.sees('Approved Piet Hollander’s review.', '[role=status]')

    const all = `${demo.url}/d/front-page/all`
    await driver.wait(async () => (await (await fetch(all)).text()).includes('Lid on'))
    await page.go(all)
    const photos = `[data-review]:has(.eg-photos [alt="Lid on"]) .eg-photos`
    expect(await driver.findElements({ css: `${photos} a` })).toHaveLength(1)
    const link = await page.find(`${photos} a`)
    await link.sendKeys(Key.ENTER)
    await page.sees('Lid on (1 / 1)', '.eg-view')
    const opened = await page.find('.eg-view img')
    await driver.wait(() => driver.executeScript<boolean>('return arguments[0].complete', opened))
    expect(
      await driver.executeScript('return [arguments[0].naturalWidth, arguments[0].naturalHeight]', opened),
    ).toEqual([1200, 1600])
    await page.accessible()
    await page.keys(Key.ESCAPE)
    expect(await driver.executeScript('return document.activeElement === arguments[0]', link)).toBe(true)
  })
})

test('a file that misses its field does not replace the page', async () => {
  await withBrowser(desk, async (driver) => {
    const page = pageOf(driver)
    await page.go(`${demo.url}/f/tell-us`)
    const isKept = (css: string) =>
      driver.executeScript<boolean>(
        `const files = new DataTransfer()
         files.items.add(new File(['x'], 'reviews.csv'))
         const dropped = new DragEvent('drop', { dataTransfer: files, bubbles: true, cancelable: true })
         document.querySelector(arguments[0]).dispatchEvent(dropped)
         return dropped.defaultPrevented`,
        css,
      )
    // The page's scripts come once something is typed that could be lost.
    await page.type('[name=body]', 'Still here')
    await driver.wait(() => isKept('h1'), PATIENCE_MS, 'the page is kept')
    expect(await isKept('[name=body]')).toBe(true)
    // Dropped text goes into the field as usual.
    expect(
      await driver.executeScript(
        `const words = new DataTransfer()
         words.setData('text/plain', 'words')
         const dropped = new DragEvent('drop', { dataTransfer: words, bubbles: true, cancelable: true })
         document.querySelector('[name=body]').dispatchEvent(dropped)
         return dropped.defaultPrevented`,
      ),
    ).toBe(false)
  })
})

test('without scripts photos go with the form, and a mistake in it loses none', async () => {
  const photo = file('plain.jpg', await phonePhoto(800, 600))
  const drawing = file('drawing.jpg', svgWithScript)
  await withBrowser({ ...desk, scripts: false }, async (driver) => {
    const page = pageOf(driver)
    await page.go(`${demo.url}/f/tell-us`)
    await (await page.find('input[type=file]')).sendKeys([photo, drawing].join('\n'))
    await page.type('[name=body]', `${words} Twice.`)
    await page.press('Send my review')
    await page.sees('drawing.jpg: This is a drawing')
    await page.find('input[type=checkbox][name=media][checked]')
    await page.click('label:has([name=rating][value="5"])')
    await page.type('[name=author_name]', 'Piet Hollander')
    await page.type('[name=author_email]', 'piet@plain.example')
    await page.press('Send my review')
    await page.sees('Thank you', 'h1')
  })
  const db = await openDatabase(databaseFile(demo.dataFolder))
  const [review] = await db('review').orderBy('id', 'desc').limit(1).select('photos')
  await db.destroy()
  expect(review).toEqual({ photos: 1 })
})

const upload = (body: BodyInit) =>
  fetch(`${demo.url}/f/tell-us/photo`, { method: 'POST', body, headers: { Accept: 'application/json' } })

test(
  'what is no photo is refused in plain words, and what is too large before it is read',
  TRIED_AGAIN,
  async () => {
    for (const [bytes, why] of [
      [program, /isn’t a photo/],
      [zip, /isn’t a photo/],
      [svgWithScript, /drawing/],
      [Buffer.alloc(0), /file is empty/],
    ] as const) {
      const answer = await upload(new Uint8Array(bytes))
      expect([answer.status, ((await answer.json()) as { error: string }).error]).toEqual([
        422,
        expect.stringMatching(why),
      ])
    }
    const started = performance.now()
    expect(await statusOf({ 'Content-Length': String(2_000_000_000) })).toBe(413)
    expect(performance.now() - started).toBeLessThan(3000)
    expect((await upload(new Uint8Array(await phonePhoto(300, 200)))).status).toBe(201)
  },
)

/** The answer to a stream that begins and does not end. */
function statusOf(headers: Record<string, string>): Promise<number> {
  return new Promise((resolve, reject) => {
    const asked = request(`${demo.url}/f/tell-us/photo`, { method: 'POST', headers }, (answer) => {
      resolve(answer.statusCode ?? 0)
      asked.destroy()
    })
    asked.on('error', reject)
    asked.write(Buffer.alloc(64_000, 0xff))
  })
}

test('the JSON side takes photos in the form or by their keys, and names the field when one is refused', async () => {
  const send = async (media: (string | Blob)[]) => {
    const form = new FormData()
    const given = { rating: '4', author_name: 'Jo Api', author_email: 'jo@api.example', consent: 'on' }
    for (const [name, value] of Object.entries({ ...given, token: await formToken(demo.url, 'tell-us') }))
      form.append(name, value)
    for (const photo of media) form.append('media', photo as Blob)
    const headers = { Accept: 'application/json' }
    return fetch(`${demo.url}/f/tell-us`, { method: 'POST', body: form, headers })
  }
  const photo = new Blob([new Uint8Array(await phonePhoto(300, 200))])
  const { key } = (await (await upload(photo)).json()) as { key: string }
  const answer = await send([`${key} Seen from above`, photo])
  expect([answer.status, await answer.json()]).toEqual([201, expect.objectContaining({ state: 'held' })])
  for (const media of [[key], ['gone'], [new Blob([new Uint8Array(zip)])], Array<Blob>(5).fill(photo)]) {
    const refused = await send(media)
    expect([refused.status, await refused.json()]).toEqual([422, { errors: { media: [expect.any(String)] } }])
  }
})

test('killed while photos come in, none of a review is lost, and the sweep leaves no orphans', async () => {
  const photo = new Uint8Array(await phonePhoto(1600, 1200))
  const coming = Array.from({ length: 8 }, () => upload(photo).catch(() => null))
  await coming[0]
  await demo.kill()
  await Promise.all(coming)
  await demo.restart()
  const db = await openDatabase(databaseFile(demo.dataFolder))
  try {
    const services = buildServices({
      db,
      signingKey: Buffer.from(''),
      publicUrl: demo.url,
      mediaFolder: mediaFolder(demo.dataFolder),
      now: () => new Date(Date.now() + 4 * 86_400_000),
    })
    await sweepMedia(services)
    const used: string[] = []
    for (const [table, columns] of [
      ['photo', ['name', 'small']],
      ['review_version', ['portrait', 'company_logo']],
      ['product', ['picture']],
      ['listing', ['picture']],
    ] as const)
      for (const column of columns) used.push(...(await db(table).whereNotNull(column).pluck(column)))
    expect(readdirSync(services.mediaFolder).sort()).toEqual([...new Set(used)].sort())
    expect(await db('pending_photo').pluck('key')).toEqual([])
  } finally {
    await db.destroy()
  }
})
