import { spawn, type ChildProcess } from 'node:child_process'
import { existsSync, mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import puppeteer, { type ConsoleMessage } from 'puppeteer-core'
import { Builder, Capabilities, type WebDriver } from 'selenium-webdriver'
import { owner } from '../demo/members'
import { startDemo } from './support/application'
import { removePrepared } from './support/prepared'

/**
 * Walks the customer's pages, the embeds, Decide and the editor in Firefox and in WebKit, both Debian's:
 * `npm run test:browsers [firefox|webkit]`. It needs the packages firefox-esr, webkit2gtk-driver and xvfb, and leaves
 * pictures in `.work/browsers`.
 */
interface Page {
  go: (url: string) => Promise<void>
  /** Runs an expression in the page. */
  read: <T>(expression: string) => Promise<T>
  picture: (name: string) => Promise<void>
  /** Errors of the page since it was opened, as far as the browser tells. */
  errors: () => string[]
  close: () => Promise<void>
}

const pictures = '.work/browsers'
const PATIENCE_MS = 40_000
/** The longest that WebKit's driver is waited for before it is asked again. */
const ANSWER_MS = 6000
const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms))

/** A request that a navigation has ended. */
const isHarmless = (error: string) => error.includes('Failed to fetch manifest patches')

async function firefox(): Promise<Page> {
  const browser = await puppeteer.launch({
    browser: 'firefox',
    executablePath: '/usr/bin/firefox-esr',
    headless: true,
  })
  const page = await browser.newPage()
  await page.setViewport({ width: 1280, height: 800 })
  const errors: string[] = []
  page.on('pageerror', (error) => errors.push(error instanceof Error ? error.message : String(error)))
  page.on('console', (message) => void note(message).catch(() => undefined))
  const note = async (message: ConsoleMessage) => {
    if (message.type() !== 'error' || isHarmless(message.text())) return
    const given = message
      .args()
      .map((one) =>
        one.evaluate((value: unknown) => (value instanceof Error ? String(value.stack) : String(value))),
      )
    errors.push((await Promise.all(given)).join(' ') || message.text())
  }
  return {
    go: async (url) => void (await page.goto(url, { waitUntil: 'load' })),
    read: (expression) => page.evaluate(expression) as Promise<never>,
    picture: async (name) => void (await page.screenshot({ path: `${pictures}/firefox-${name}.png` })),
    errors: () => errors,
    close: () => browser.close(),
  }
}

async function webkit(): Promise<Page> {
  const display = `:${90 + (process.pid % 9)}`
  const screen = spawn('Xvfb', [display, '-screen', '0', '1300x900x24'], { stdio: 'ignore' })
  const home = mkdtempSync(path.join(tmpdir(), 'elogio-webkit-'))
  const port = 20_000 + (process.pid % 20_000)
  const server: ChildProcess = spawn('WebKitWebDriver', [`--port=${port}`], {
    stdio: 'ignore',
    env: { ...process.env, DISPLAY: display, HOME: home, WEBKIT_DISABLE_SANDBOX_THIS_IS_DANGEROUS: '1' },
  })
  await pause(1500)
  const wanted = new Capabilities()
  wanted.set('browserName', 'MiniBrowser')
  wanted.set('pageLoadStrategy', 'eager')
  wanted.set('webkitgtk:browserOptions', {
    binary: miniBrowser(),
    args: ['--automation'],
  })
  const driver: WebDriver = await new Builder()
    .usingServer(`http://127.0.0.1:${port}`)
    .withCapabilities(wanted)
    .build()
  await driver.manage().setTimeouts({ pageLoad: ANSWER_MS, script: ANSWER_MS })
  await driver.manage().window().setRect({ width: 1280, height: 800 })
  return {
    // Drawing without a graphics card is slow, and the driver may not hear that the page is there.
    go: (url) => driver.get(url).catch(() => undefined),
    read: (expression) => driver.executeScript(`return ${expression}`),
    picture: async (name) =>
      writeFileSync(`${pictures}/webkit-${name}.png`, Buffer.from(await driver.takeScreenshot(), 'base64')),
    errors: () => [],
    close: async () => {
      await driver.quit()
      server.kill()
      screen.kill()
      rmSync(home, { recursive: true, force: true })
    },
  }
}

function miniBrowser(): string {
  const found = ['/usr/lib/x86_64-linux-gnu', '/usr/lib/aarch64-linux-gnu', '/usr/libexec']
    .flatMap((folder) =>
      ['webkit2gtk-4.1', 'webkit2gtk-4.0', 'webkitgtk-6.0'].map((name) => `${folder}/${name}/MiniBrowser`),
    )
    .find((file) => existsSync(file))
  if (!found) throw new Error('There is no MiniBrowser of WebKitGTK.')
  return found
}

/** Waits until an expression is true in the page. */
async function until(page: Page, expression: string): Promise<void> {
  const from = Date.now()
  while (Date.now() - from < PATIENCE_MS) {
    if (await page.read<boolean>(`Boolean(${expression})`).catch(() => false)) return
    await pause(100)
  }
  throw new Error(`waited in vain for ${expression}`)
}

const text = (css = 'body') => `document.querySelector('${css}').innerText`
const press = (css: string) => `document.querySelector('${css}').click()`
const fill = (css: string, value: string) =>
  `(() => { const field = document.querySelector('${css}'); field.focus(); field.value = '${value}'; field.dispatchEvent(new Event('input', { bubbles: true })) })()`
/** A display has filled its shadow root. */
const shown = (key: string) =>
  `document.querySelector('[data-elogio="${key}"]').shadowRoot?.querySelector('.eg').getBoundingClientRect().height > 20`

type Steps = (page: Page, demo: { url: string; shopUrl: string }) => Promise<void>
const walks: [name: string, steps: Steps][] = [
  [
    'form',
    async (page, { url }) => {
      await page.go(`${url}/f/tell-us`)
      await until(page, `document.querySelector('[name=body]')`)
      await page.read(fill('[name=body]', 'Square, solid, and my bees moved in.'))
      await until(page, `${text()}.includes('36 of 3,000')`)
      await page.read(press('input[name=rating][value="5"]'))
      await page.read(fill('[name=author_name]', 'Maud Pellerin'))
      await page.read(fill('[name=author_email]', 'maud@pellerin.example'))
      await page.read(press('input[name=consent]'))
      await until(page, `${text()}.includes('shown as “Maud P.”')`)
      await page.read(
        `[...document.querySelectorAll('form button')].find((one) => one.innerText.includes('Send my review')).click()`,
      )
      await until(page, `location.pathname.endsWith('/thanks')`)
    },
  ],
  [
    'shop',
    async (page, { shopUrl }) => {
      await page.go(shopUrl)
      await until(page, shown('front-page'))
      await until(page, shown('beside-names'))
    },
  ],
  [
    'journal',
    async (page, { shopUrl }) => {
      await page.go(new URL('/journal', shopUrl).href)
      await until(page, shown('side-column'))
      await until(page, shown('on-the-map'))
    },
  ],
  [
    'tasting',
    async (page, { shopUrl }) => {
      await page.go(new URL('/tasting', shopUrl).href)
      await until(page, shown('tasting-day'))
    },
  ],
  [
    'saltmarsh',
    async (page, { shopUrl }) => {
      await page.go(new URL('/saltmarsh', shopUrl).href)
      await until(page, shown('workshop-wall'))
    },
  ],
  [
    'own-page',
    async (page, { url }) => {
      await page.go(`${url}/d/front-page`)
      await until(page, `document.querySelector('.eg-packed')`)
    },
  ],
  [
    'how',
    async (page, { url }) => {
      await page.go(`${url}/how/wrenfield`)
      await until(page, `${text()}.length > 400`)
    },
  ],
  [
    'decide',
    async (page, { url }) => {
      await page.go(`${url}/sign-in`)
      await until(page, `document.querySelector('[name=email]').value === '${owner.email}'`)
      await page.read(press('main form button'))
      await until(page, `${text()}.includes('reviews in the last 30 days')`)
      await page.go(`${url}/s/wrenfield/decide?lane=held`)
      await until(page, `${text()}.includes('Why it’s held back')`)
    },
  ],
  [
    'editor',
    async (page, { url }) => {
      await page.go(`${url}/s/wrenfield/show/front-page`)
      await until(
        page,
        `document.querySelector('iframe')?.contentDocument?.querySelector('[data-elogio]')?.shadowRoot`,
      )
    },
  ],
]

const [asked] = process.argv.slice(2)
const browsers = { firefox, webkit }
mkdirSync(pictures, { recursive: true })
let failed = 0
const demo = await startDemo()
try {
  for (const [browser, open] of Object.entries(browsers)) {
    if (asked && asked !== browser) continue
    const page = await open()
    try {
      for (const [name, steps] of walks) {
        const before = page.errors().length
        const wrong = await steps(page, demo).then(() => page.errors().slice(before).join('; '), String)
        await page.picture(name).catch(() => undefined)
        if (wrong) failed++
        console.log(`${browser} ${name}: ${wrong || 'fine'}`)
      }
    } finally {
      await page.close()
    }
  }
} finally {
  await demo.stop()
  removePrepared()
}
if (failed > 0) process.exitCode = 1
