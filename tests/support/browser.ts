import { existsSync } from 'node:fs'
import { Builder, type WebDriver } from 'selenium-webdriver'
import type { Driver as ChromeDriver } from 'selenium-webdriver/chrome.js'
import { Options, ServiceBuilder } from 'selenium-webdriver/chrome.js'
import { connectDevTools, type DevTools } from './devTools'

export interface Window {
  width: number
  height: number
  phone?: boolean
  scripts?: boolean
  /** More arguments for the browser, which then is one of its own. */
  args?: string[]
}

export const desk: Window = { width: 1280, height: 800 }
export const phone: Window = { width: 390, height: 844, phone: true }

/**
 * The one without a window takes two thirds of the processor time; where it is not installed, the other does. Its
 * script in `/usr/bin` stays between the driver and the browser, which then never ends.
 */
const browserFile = ['/usr/lib/chromium/chromium-headless-shell', '/usr/bin/chromium'].find(existsSync)!

/** How often a page is looked at while something is awaited; the driver’s own is 200. */
const LOOKING_MS = 160

interface Browser {
  driver: ChromeDriver
  devTools: DevTools
  /** The window that is open all the time. */
  home: string
  close: () => Promise<void>
}

/** Running browsers that no test is using. */
const idle: Browser[] = []
/** The browser context of each driver in use, for its further tabs. */
const contexts = new Map<WebDriver, { browser: Browser; id: string; window: Window }>()

/** Gives work an exact window of headless Chromium that shares no cookies, storage or cache with any other. */
export async function withBrowser<T>(window: Window, work: (driver: WebDriver) => Promise<T>): Promise<T> {
  const browser = (window.args ? undefined : idle.pop()) ?? (await start(window.args))
  const { driver, devTools, home } = browser
  const { browserContextId: id } = await devTools.send<{ browserContextId: string }>(
    'Target.createBrowserContext',
  )
  contexts.set(driver, { browser, id, window })
  try {
    await openTab(driver)
    return await work(driver)
  } finally {
    contexts.delete(driver)
    try {
      await driver.switchTo().window(home)
      await devTools.send('Target.disposeBrowserContext', { browserContextId: id })
      if (window.args) await browser.close()
      else idle.push(browser)
    } catch {
      await browser.close()
    }
  }
}

/** Opens another tab beside those that a test has, and goes to it. */
export async function openTab(driver: WebDriver): Promise<void> {
  const { browser, id, window } = contexts.get(driver)!
  const { targetId } = await browser.devTools.send<{ targetId: string }>('Target.createTarget', {
    url: 'about:blank',
    browserContextId: id,
  })
  await driver.switchTo().window(targetId)
  const emulate = (name: string, value: object) =>
    browser.driver.sendDevToolsCommand(`Emulation.${name}`, value)
  await emulate('setDeviceMetricsOverride', {
    width: window.width,
    height: window.height,
    deviceScaleFactor: 1,
    mobile: window.phone === true,
  })
  if (window.phone) await emulate('setTouchEmulationEnabled', { enabled: true, maxTouchPoints: 1 })
  if (window.scripts === false) await emulate('setScriptExecutionDisabled', { value: true })
}

/** Ends the browsers that tests have left running. */
export async function closeBrowsers(): Promise<void> {
  await Promise.all(idle.splice(0).map(({ close }) => close()))
}

async function start(more: string[] = []): Promise<Browser> {
  const options = new Options()
  options.setChromeBinaryPath(browserFile)
  options.addArguments(
    '--headless',
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
    '--disable-dev-shm-usage',
    '--lang=en-GB',
    '--user-agent=Mozilla/5.0 (X11; Linux x86_64) AppleWebKit/537.36 (KHTML, like Gecko) Chrome/156.0.0.0 Safari/537.36',
    ...more,
  )
  const driver = (await new Builder()
    .forBrowser('chrome')
    .setChromeOptions(options)
    .setChromeService(new ServiceBuilder('/usr/bin/chromedriver'))
    .build()) as ChromeDriver
  const wait = driver.wait.bind(driver) as (...given: unknown[]) => unknown
  Object.assign(driver, {
    wait: (condition: unknown, timeout?: number, message?: string) =>
      wait(condition, timeout, message, LOOKING_MS),
  })
  const { debuggerAddress } = (await driver.getCapabilities()).get('goog:chromeOptions') as {
    debuggerAddress: string
  }
  const devTools = await connectDevTools(debuggerAddress)
  return {
    driver,
    devTools,
    home: await driver.getWindowHandle(),
    close: async () => {
      devTools.close()
      await driver.quit()
    },
  }
}
