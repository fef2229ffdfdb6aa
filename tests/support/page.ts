import { createRequire } from 'node:module'
import { readFileSync } from 'node:fs'
import { By, Key, until, type WebDriver, type WebElement } from 'selenium-webdriver'
import { expect } from 'vitest'
import { en as customerTexts } from '../../core/messages/customers/en'
import { ownerTexts } from '../../core/messages/en'

/** Longer than anything takes on a busy machine: a busy machine is no failure. */
/** A busy machine takes long; only a fault takes this long. */
export const PATIENCE_MS = 45_000
type Texts = { [key: string]: string | Texts }
const keysOf = (texts: Texts, prefix = ''): string[] =>
  Object.entries(texts).flatMap(([key, text]) =>
    typeof text === 'string'
      ? [prefix + key.replace(/_(?:one|other)$/, '')]
      : keysOf(text, `${prefix}${key}.`),
  )
const textKeys = new Set([...keysOf(ownerTexts), ...keysOf(customerTexts)])
const axe = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8')

/** A page as a person uses it: finds by what is seen, waits for what a person would wait for. */
export function pageOf(driver: WebDriver) {
  const wait = async <T>(condition: () => Promise<T>, what: string): Promise<T> => {
    let refused = ''
    const tried = async () => {
      try {
        return await condition()
      } catch (error) {
        refused = String(error)
        return false as T
      }
    }
    try {
      return await driver.wait<T>(tried, PATIENCE_MS, `waited in vain for ${what}`)
    } catch (error) {
      const shown = await driver
        .executeScript<string>('return location.href + "\\n" + document.body.innerText.slice(0, 1500)')
        .catch(String)
      throw new Error(`${String(error)}\n${refused}\nThe page: ${shown}`, { cause: error })
    }
  }
  const page = {
    driver,
    go: (address: string) => driver.get(address),
    find: (css: string): Promise<WebElement> =>
      driver.wait(until.elementLocated(By.css(css)), PATIENCE_MS, `no ${css} on the page`),
    text: (css: string) =>
      wait(async () => (await driver.findElement(By.css(css)).getText()) || ' ', `the text of ${css}`).then(
        (text) => text.trim(),
      ),
    /** Clicks the button or link that carries these words. */
    press: async (words: string) => {
      const xpath = `//*[self::button or self::a or self::summary or @role='button'][contains(normalize-space(.), ${JSON.stringify(words)})]`
      await wait(async () => {
        await driver.findElement(By.xpath(xpath)).click()
        return true
      }, `something to press that says ${words}`)
    },
    click: async (css: string) => {
      await wait(async () => {
        await driver.findElement(By.css(css)).click()
        return true
      }, `${css} to click`)
    },
    type: async (css: string, text: string) => (await page.find(css)).sendKeys(text),
    keys: async (...keys: string[]) => {
      await driver
        .actions()
        .sendKeys(...keys)
        .perform()
    },
    /** A key together with Shift or Control. */
    chord: async (modifier: string, key: string) => {
      await driver.actions().keyDown(modifier).sendKeys(key).keyUp(modifier).perform()
    },
    undo: () => page.chord(Key.CONTROL, 'z'),
    sees: (words: string | RegExp, css = 'body') =>
      wait(async () => {
        const text = await driver.executeScript<string>(
          'return [...document.querySelectorAll(arguments[0])].map((element) => element.innerText).join("\\n")',
          css,
        )
        return typeof words === 'string' ? text.includes(words) : words.test(text)
      }, `${words} in ${css}`),
    /** Waits until the lanes of the queue have these counts. */
    counts: async (expected: Record<string, number>) => {
      const shown = () =>
        driver.executeScript<Record<string, number>>(
          'return Object.fromEntries([...document.querySelectorAll("[data-lane-count]")].map(e => [e.dataset.laneCount, Number(e.textContent)]))',
        )
      const fits = async () => {
        const counts = await shown()
        return Object.entries(expected).every(([lane, count]) => counts[lane] === count)
      }
      await wait(fits, `the counts ${JSON.stringify(expected)}`).catch(async (error: Error) => {
        const [counts, said, requests] = [
          await shown(),
          await driver.executeScript(
            'return [...document.querySelectorAll("[role=status]")].map(e => e.textContent)',
          ),
          await driver.executeScript(
            'return performance.getEntriesByType("resource").slice(-8).map(({ name, startTime, duration, responseStatus }) => [name, Math.round(startTime), Math.round(duration), responseStatus].join(" "))',
          ),
        ]
        throw new Error(`${error.message}; shown: ${JSON.stringify({ counts, said, requests })}`)
      })
    },
    at: (part: string) =>
      wait(async () => (await driver.getCurrentUrl()).includes(part), `an address with ${part}`),
    /** The text inside the display on somebody else's page. */
    display: async () => {
      const host = await page.find('[data-elogio]')
      return wait(
        () =>
          driver.executeScript<string>(
            'return arguments[0].shadowRoot?.querySelector(".eg")?.innerText ?? ""',
            host,
          ),
        'the display',
      )
    },
    /** Waits for words inside a display that stands within something on our own page. */
    displayInside: (css: string, words: RegExp) =>
      wait(async () => {
        const text = await driver.executeScript<string>(
          `const inFrames = [...document.querySelectorAll(arguments[0] + ' iframe')]
            .flatMap((frame) => [...(frame.contentDocument?.querySelectorAll('*') ?? [])])
          return [...document.querySelectorAll(arguments[0] + ' *'), ...inFrames]
            .map((element) => element.shadowRoot?.textContent ?? '').join(' ')`,
          css,
        )
        return words.test(text)
      }, `${words} in the display inside ${css}`),
    displaySees: (words: RegExp) =>
      wait(async () => words.test(await page.display()), `${words} in the display`),
    /** axe finds nothing on the page as it stands, and every text has been found in the catalogue. */
    accessible: async () => {
      const shown = await driver.executeScript<string>(
        'return [document.body.innerText, ...[...document.querySelectorAll("[aria-label]")].map((e) => e.ariaLabel)].join("\\n")',
      )
      // A page shows the key of a text that it did not load.
      const unfound = (shown.match(/\b[a-z]\w*(?:\.\w+)+/gi) ?? []).filter((key) => textKeys.has(key))
      expect(unfound, await driver.getCurrentUrl()).toEqual([])
      await driver.executeScript(axe)
      const violations: { id: string; nodes: { html: string; failureSummary: string }[] }[] =
        await driver.executeAsyncScript(
          'const done = arguments[arguments.length - 1]; axe.run(document, {resultTypes: ["violations"]}).then(r => done(r.violations), e => done([{id: String(e), nodes: []}]))',
        )
      expect(
        violations.map(
          ({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 160)).join(' | ')}`,
        ),
        await driver.getCurrentUrl(),
      ).toEqual([])
    },
  }
  return page
}

export type Page = ReturnType<typeof pageOf>
export { Key }

/** Signs the owner in on the way to a page of hers; the demo has filled the fields in. */
export async function signIn(page: Page, address: string): Promise<void> {
  await page.go(address)
  await page.sees('Email and password are filled in')
  await page.click('main form button')
  await page.at(new URL(address).pathname)
}
