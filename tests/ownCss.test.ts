import { readdirSync, readFileSync } from 'node:fs'
import path from 'node:path'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { readOwnCss } from '../core/display/ownCss'
import { renderDisplay } from '../onsite/render'
import { startDemo, type Running } from './support/application'
import { desk, withBrowser } from './support/browser'
import { configured, showable, shownOf } from './support/display'
import { eventually } from './support/eventually'
import { startOtherSite, type OtherSite } from './support/otherSite'
import { Key, pageOf, signIn, PATIENCE_MS } from './support/page'

let site: OtherSite
let demo: Running
beforeAll(async () => {
  ;[site, demo] = await Promise.all([startOtherSite(), startDemo()])
})
afterAll(async () => {
  site.stop()
  await demo.stop()
})

/** Each tries to hide what must be said, by what is allowed and by what is not. */
const attempts = [
  '* { display: none } .eg { opacity: 0 } ol { height: 0; overflow: hidden }',
  '* { color: #fff; background: #fff } .eg { background: #fff }',
  '.eg, .eg * { color: #1b1a17; background-color: #1b1a17; font-size: 11px; text-decoration: line-through }',
  '* { font-size: 0; line-height: 1; letter-spacing: -.05em; margin: 0; text-transform: uppercase }',
  'span { padding: 10em; background: #fff; outline: 40px solid #fff } b { padding: 160px; background: #000 }',
  'li { box-shadow: 0 0 0 60px #fff } figure { box-shadow: inset 0 0 0 60px #fff } p { outline: 40px solid #000 }',
  '.eg-own, .eg-posted, .eg-picked, p { max-width: 120px; word-spacing: 1em; line-height: 14px }',
  '[class] { color: transparent } :host { display: none } .eg-sum * { position: absolute; left: -99em }',
]

/** A display with three reviews that have notes; made as on its own page, or as on other pages. */
function page(css: string, made: 'parsed' | 'loaded'): string {
  const reviews = [5, 6, 7].map((id) =>
    showable(id, 500, { source: 'manualEntry', relationship: 'paid by the shop', authorName: 'Io Lis' }),
  )
  const model = shownOf([...reviews, ...[1, 2, 3, 4].map((id) => showable(id, 300))], {
    ...configured({ title: 'What gardens say', selection: { limit: 3 }, theme: { css } }),
  })
  const { html, css: styles } = renderDisplay(model)
  if (made === 'parsed')
    return `<div id="box"><template shadowrootmode="open"><style>${styles}</style>${html}</template></div>`
  const folder = path.join(import.meta.dirname, '../build/onsite/parts')
  const notes = readdirSync(folder).find((name) => /^notes-.*\.js$/.test(name))!
  return `<div id="box"></div><script type="module">${readFileSync(path.join(folder, notes), 'utf8').replace(/export\{(\w+) as default\};?/, 'window.notes=$1;')}
    const root = document.querySelector('#box').attachShadow({ mode: 'open' })
    const sheet = new CSSStyleSheet()
    sheet.replaceSync(${JSON.stringify(styles)})
    root.adoptedStyleSheets = [sheet]
    root.innerHTML = ${JSON.stringify(html).replace(/</g, '\\u003c')}
    notes(root)</script>`
}

/** The words of each note that can be read where they are: large enough, in front of all else, and with contrast. */
const readable = `
  const PAGE = 'rgb(255, 255, 255)'
  const light = (colour) => {
    const [r, g, b] = colour.match(/[\\d.]+/g).map((one) => { const c = one / 255; return c <= .04045 ? c / 12.92 : ((c + .055) / 1.055) ** 2.4 })
    return .2126 * r + .7152 * g + .0722 * b
  }
  const hosts = [...document.querySelector('#box').shadowRoot.querySelectorAll('*')].filter((one) => one.shadowRoot)
  return hosts.map((host) => {
    const said = host.shadowRoot.querySelector('p')
    said.scrollIntoView({ block: 'center' })
    const { left, top, width, height } = said.getBoundingClientRect()
    const style = getComputedStyle(said)
    const [a, b] = [light(style.color), light(style.backgroundColor === 'rgba(0, 0, 0, 0)' ? PAGE : style.backgroundColor)].sort((x, y) => y - x)
    const isInFront = document.querySelector('#box').shadowRoot.elementFromPoint(left + width / 2, top + height / 2) === host
    return isInFront && width > 40 && height >= 14 && parseFloat(style.fontSize) >= 12 && (a + .05) / (b + .05) >= 4.5
      ? said.innerText.trim() : 'cannot be read: ' + said.innerText
  })`

test.each(['parsed', 'loaded'] as const)(
  'no own CSS reaches what must be said, in a display %s',
  async (made) => {
    await withBrowser(desk, async (driver) => {
      const seen: string[][] = []
      for (const attempt of attempts) {
        if (readOwnCss(attempt, null).css === '') continue
        await driver.get(
          site.show(
            `<style>body{margin:0;background:#fff}</style>${page(`${attempt} .eg { color: #123 }`, made)}`,
          ),
        )
        seen.push(await driver.executeScript<string[]>(readable))
      }
      expect(seen.length).toBeGreaterThan(4)
      for (const notes of seen) {
        expect(notes).toHaveLength(2 + 3 * 2)
        expect(notes[0]).toMatch(/^These 3 were selected by Wrenfield from 7/)
        expect(notes.filter((note) => note.startsWith('cannot be read'))).toEqual([])
      }
    })
  },
)

/** Each passes the list, and hides something only as it is painted. */
const paintedAttempts = [
  ['.eg { padding: 4px } *{ margin: 80px', 'moves these out of their place: '],
  ['* { padding: 0 80px', 'Line 1 of your own CSS covers these: '],
  ['.eg { padding: 4px }\n* { font-size: 75%', 'Line 2 of your own CSS makes these too small to read: '],
] as const

test('own CSS that hides a text only as it is painted names its rule, and is published without it or not at all', async () => {
  await withBrowser(desk, async (driver) => {
    const page = pageOf(driver)
    const publishedCss = async () => {
      const answer = await fetch(`${demo.url}/d/summer-band.json`)
      return answer.ok ? ((await answer.json()) as { css: string }).css : ''
    }
    const isPublished = (css: string) => eventually(async () => expect(await publishedCss()).toContain(css))
    await signIn(page, `${demo.url}/s/wrenfield/show/summer-band?on=shop`)
    await page.click('[data-part=theme]')
    await page.press('Own CSS')
    const inEditor = `[...document.querySelectorAll('#strip *')].find((one) => one.shadowRoot?.querySelector('.cm-content')).shadowRoot.querySelector('.cm-content')`
    await driver.wait(
      () => driver.executeScript(`return ${inEditor}.matches('.cm-focused *')`).catch(() => false),
      PATIENCE_MS,
    )
    const write = async (css: string) => {
      const keys = driver.actions().keyDown(Key.CONTROL).sendKeys('a').keyUp(Key.CONTROL)
      await keys.sendKeys(Key.DELETE).perform()
      await page.keys(css)
    }
    for (const [css, words] of paintedAttempts) {
      await write(css)
      await page.sees(words, '[data-own-css=bad]')
    }
    await page.accessible()
    await page.press('Publish')
    await page.sees('makes these too small to read', 'dialog')
    await page.press('Publish without own CSS')
    await page.sees('Embed code', 'dialog')
    await isPublished('.eg')
    expect(await publishedCss()).not.toContain('75%')
    await page.keys(Key.ESCAPE)

    // Undo brings it back to the draft.
    await page.click('[aria-label^="Undo"]')
    await page.sees('makes these too small to read', '[data-own-css=bad]')
    await driver.executeScript(`${inEditor}.focus()`)
    await write('.eg-title { color: #123')
    await driver.wait(
      () => driver.executeScript(`return !document.querySelector('[data-own-css=bad]')`),
      PATIENCE_MS,
    )
    await page.press('Publish 1 change')
    await page.click('dialog .btn-primary')
    await isPublished('.eg .eg-title{color:#123!important}')
  })
})
