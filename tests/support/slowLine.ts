import type { WebDriver } from 'selenium-webdriver'
import type { Driver as ChromeDriver } from 'selenium-webdriver/chrome.js'

/** What a visitor with a phone's processor on a slow line meets, with nothing in the cache. */
export interface Met {
  /** Cumulative layout shift. */
  shift: number
  /** Largest contentful paint, in ms. */
  paint: number
  /** Transferred, with headers. */
  bytes: number
}

/** The round trip in ms, and bytes a second of 2 Mbit/s. */
const LINE = { latency: 100, downloadThroughput: 250_000, uploadThroughput: 125_000 }
const SLOWER_PROCESSOR = 4

/** From now on each answer takes this long to begin, in ms. */
export async function slowDown(driver: WebDriver, latency: number): Promise<void> {
  const send = (command: string, given: object) =>
    (driver as ChromeDriver).sendDevToolsCommand(command, given)
  await send('Network.enable', {})
  await send('Network.emulateNetworkConditions', { offline: false, ...LINE, latency })
}

/** Opens a page in a fresh window at a width and waits until nothing moves or loads any more. */
export async function meetSlowly(
  driver: WebDriver,
  url: string,
  width: number,
  settledMs = 1500,
): Promise<Met> {
  const chrome = driver as ChromeDriver
  const send = (command: string, given: object) => chrome.sendDevToolsCommand(command, given)
  await send('Network.enable', {})
  await send('Network.clearBrowserCache', {})
  await send('Network.emulateNetworkConditions', { offline: false, ...LINE })
  await send('Emulation.setCPUThrottlingRate', { rate: SLOWER_PROCESSOR })
  await send('Emulation.setDeviceMetricsOverride', {
    width,
    height: 800,
    deviceScaleFactor: 1,
    mobile: width < 700,
  })
  try {
    await driver.get(url)
    return await driver.executeAsyncScript<Met>(
      `const [settledMs, done] = arguments
       const met = { shift: 0, paint: 0, bytes: 0 }
       let changedAt = performance.now()
       const heard = (type, hear) =>
         new PerformanceObserver((list) => { for (const entry of list.getEntries()) hear(entry); changedAt = performance.now() }).observe({ type, buffered: true })
       heard('layout-shift', (entry) => { if (!entry.hadRecentInput) met.shift += entry.value })
       heard('largest-contentful-paint', (entry) => { met.paint = entry.startTime })
       heard('resource', () => {})
       const timer = setInterval(() => {
         if (performance.now() - changedAt < settledMs) return
         clearInterval(timer)
         for (const type of ['navigation', 'resource'])
           for (const entry of performance.getEntriesByType(type)) met.bytes += entry.transferSize
         done(met)
       }, 100)`,
      settledMs,
    )
  } finally {
    await send('Emulation.setCPUThrottlingRate', { rate: 1 })
    await send('Network.emulateNetworkConditions', {
      offline: false,
      latency: 0,
      downloadThroughput: -1,
      uploadThroughput: -1,
    })
  }
}
