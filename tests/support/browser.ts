import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { Builder, type WebDriver } from 'selenium-webdriver'
import { Driver as ChromeDriver, Options, ServiceBuilder } from 'selenium-webdriver/chrome.js'

export interface Window {
  width: number
  height: number
  phone?: boolean
  scripts?: boolean
  /** More arguments for the browser. */
  args?: string[]
}

export const desk: Window = { width: 1280, height: 800 }
export const phone: Window = { width: 390, height: 844, phone: true }

/** Opens headless Chromium with an exact window, gives it to the work and closes it whatever happens. */
export async function withBrowser<T>(window: Window, work: (driver: WebDriver) => Promise<T>): Promise<T> {
  const profile = mkdtempSync(path.join(tmpdir(), 'elogio-browser-'))
  const options = new Options()
  options.setChromeBinaryPath('/usr/bin/chromium')
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
    `--user-data-dir=${profile}`,
    `--window-size=${window.width},${window.height}`,
    ...(window.args ?? []),
  )
  if (window.phone) options.setMobileEmulation(mobile(window))
  if (window.scripts === false)
    options.setUserPreferences({ 'profile.managed_default_content_settings.javascript': 2 })
  const driver = await new Builder()
    .forBrowser('chrome')
    .setChromeOptions(options)
    .setChromeService(new ServiceBuilder('/usr/bin/chromedriver'))
    .build()
  try {
    if (!window.phone && driver instanceof ChromeDriver)
      await driver.sendDevToolsCommand('Emulation.setDeviceMetricsOverride', {
        width: window.width,
        height: window.height,
        deviceScaleFactor: 1,
        mobile: false,
      })
    return await work(driver)
  } finally {
    await driver.quit()
    rmSync(profile, { recursive: true, force: true, maxRetries: 5 })
  }
}

/** The driver takes the metrics one level down, which its types do not know. */
function mobile({ width, height }: Window): Parameters<Options['setMobileEmulation']>[0] {
  const emulation: unknown = { deviceMetrics: { width, height, pixelRatio: 1 } }
  return emulation as Parameters<Options['setMobileEmulation']>[0]
}
