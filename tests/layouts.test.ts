import type { WebDriver } from 'selenium-webdriver'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { layouts, type Layout } from '../core/display/choices'
import { readyLooks, themeOfLook, type ReadyLook } from '../core/display/looks'
import type { ShowableReview } from '../core/display/showableReview'
import { renderDisplay } from '../onsite/render'
import { behaviourAddresses } from '../server/http/files'
import { startDemo, type Running } from './support/application'
import { desk, withBrowser } from './support/browser'
import { configured, showable, shownOf } from './support/display'
import { startOtherSite, type OtherSite } from './support/otherSite'
import { TRIED_AGAIN } from './support/longestWait'
import { Key, pageOf, PATIENCE_MS } from './support/page'

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

const longWord = 'Donaudampfschifffahrtsgesellschaftskapitänsmützenabzeichen'
const short = (i: number) => showable(i, 500, { body: 'Good.', authorName: 'Io', productTitle: 'Feed' })
const long = (i: number) =>
  showable(i, 100 + 100 * (i % 5), {
    title: `${longWord} and what came of it`,
    body: `${longWord} ${'The frames were square and the lid sat flush. '.repeat(2 + (i % 7) * 4)}`,
    authorName: `Maximiliane-Theodora-Konstanze ${longWord}`,
    productTitle: `Hive kit for ${longWord}`,
    boughtAt: '2026-03-01T00:00:00Z',
    role: 'keeper of forty hives on the far side of the marsh',
    company: `${longWord} & Daughters`,
    companyUrl: 'https://berg.example/',
    reply: { name: 'Mara at Wrenfield', body: 'Thank you, it is on its way. '.repeat(6) },
  })
const some = (count: number, of: (i: number) => ShowableReview) =>
  Array.from({ length: count }, (_, i) => of(i + 1))

/** A display as it stands on a page, without asking for it. */
function standing(kind: Layout, reviews: ShowableReview[], more: Parameters<typeof configured>[0] = {}) {
  const { html, css } = renderDisplay(
    shownOf(
      reviews,
      configured({
        title: 'What forty gardens say',
        selection: { limit: 20 },
        parts: { shortened: 40, date: 'day' },
        heading: { all: true, button: { words: 'To the shop', url: 'https://wrenfield.example/' } },
        ...more,
        layout: { kind, columns: 4, ...more.layout },
      }),
    ),
  )
  return `<div class="around"><div class="box"><template shadowrootmode="open"><style>${css}</style>${html}</template></div></div>`
}

/** Wakes all displays of a page as the loader does. */
function waking(): string {
  const { pack, slide } = behaviourAddresses()
  return `<script type="module">
    import pack from '${demo.url}${pack}'
    import slide from '${demo.url}${slide}'
    for (const box of document.querySelectorAll('.box')) { pack(box.shadowRoot); slide(box.shadowRoot) }
    requestAnimationFrame(() => requestAnimationFrame(() => document.body.dataset.awake = 'yes'))
  </script>`
}

/** What sticks out, is cut or scrolls inside any display of the page. */
const faults = `
  const found = []
  for (const box of document.querySelectorAll('.box')) {
    const display = box.shadowRoot.querySelector('.eg')
    const room = display.getBoundingClientRect()
    const row = display.querySelector('.eg-slides ol')
    const say = (what, e) => found.push(display.className + ' ' + Math.round(room.width) + ': ' + what + ' ' + (e.className || e.tagName))
    for (const e of display.querySelectorAll('*')) {
      const at = e.getBoundingClientRect()
      if (e.closest('.eg-spoken, svg, details:not([open]) > :not(summary)') || at.width === 0) continue
      const around = e.closest('.eg-slides li')
      const limits = around && e !== around ? around.getBoundingClientRect() : room
      if (!(e === around) && (at.right > limits.right + 1.5 || at.left < limits.left - 1.5)) say('sticks out', e)
      if (at.bottom > room.bottom + 1.5) say('is cut', e)
      const { overflowX, overflowY } = getComputedStyle(e)
      if (e !== row && /auto|scroll|hidden/.test(overflowX + overflowY)) say('scrolls', e)
    }
    if (row && row.scrollHeight > row.clientHeight + 1) say('scrolls downwards', row)
  }
  if (document.documentElement.scrollWidth > innerWidth) found.push('the page scrolls sideways')
  return [...new Set(found)]`

async function awake(driver: WebDriver): Promise<void> {
  await driver.wait(() => driver.executeScript('return document.body.dataset.awake === "yes"'), PATIENCE_MS)
}

describe('nothing is cut, scrolls or sticks out', () => {
  test.each([240, 430, 760, 1120, 1600])('in boxes of %i pixels', async (width) => {
    const boxes = layouts.flatMap((kind) =>
      [1, 2, 20].flatMap((count) => [
        standing(kind, some(count, short)),
        standing(kind, some(count, long)),
        standing(kind, some(count, long), {
          theme: { background: 'dark', frame: 'box', inside: 12, around: 8 },
        }),
      ]),
    )
    const page = site.show(
      `<style>body{margin:0}.around{width:${width}px}</style>${boxes.join('')}${waking()}`,
    )
    await withBrowser({ width: Math.max(width + 20, 500), height: 900 }, async (driver) => {
      await driver.get(page)
      await awake(driver)
      expect(await driver.executeScript(faults)).toEqual([])
    })
  })
})

describe('in every look', () => {
  const inLook = (look: ReadyLook, kind: Layout) =>
    standing(kind, [...some(2, long), ...some(2, short)], { theme: themeOfLook(look) })
  test.each([320, 600, 1200])(
    'nothing is cut, scrolls or sticks out, in boxes of %i pixels',
    async (width) => {
      const boxes = readyLooks.flatMap((look) =>
        (['list', 'grid', 'single'] as const).map((kind) => inLook(look, kind)),
      )
      const page = site.show(
        `<style>body{margin:0}.around{width:${width}px}</style>${boxes.join('')}${waking()}`,
      )
      await withBrowser({ width: Math.max(width + 20, 500), height: 900 }, async (driver) => {
        await driver.get(page)
        await awake(driver)
        expect(await driver.executeScript(faults)).toEqual([])
      })
    },
  )

  const drawn = `return [...document.querySelectorAll('.box')].map((box) => {
    const { left, top } = box.getBoundingClientRect()
    return [...box.shadowRoot.querySelectorAll('.eg, .eg *')].map((e) => {
      const at = e.getBoundingClientRect()
      const style = getComputedStyle(e)
      return [e.className || e.tagName, Math.round(at.left - left), Math.round(at.top - top), Math.round(at.width), Math.round(at.height),
        style.color, style.backgroundColor, style.fontSize, style.fontWeight, style.fontStyle, style.textAlign, style.letterSpacing, style.lineHeight, style.borderTop, style.boxShadow, style.textTransform, style.opacity].join(' ')
    }).join('\\n')
  })`
  const plain = 'body{margin:0}.around{width:700px;font:17px/1.5 serif;color:#222}'
  const hostile = `${plain}
    *,*::before{all:unset}head,style,script,template{display:none!important}
    .around,.around *{display:block;letter-spacing:.3em!important;text-transform:uppercase!important;text-align:right!important;word-spacing:2em;line-height:4!important;text-shadow:2px 2px red;opacity:1!important}
    .around{width:700px;font:17px/1.5 serif!important;color:#222!important;transform:translateZ(0);container-type:inline-size;filter:blur(0);perspective:500px}
    li,figure,p,h2,button,a{font-size:60px!important;float:left!important;background:#f0f!important;border:9px solid #f00!important}`
  test('a page that styles everything changes nothing of it', async () => {
    const boxes = readyLooks.map((look) => inLook(look, 'grid')).join('')
    await withBrowser(desk, async (driver) => {
      await driver.get(site.show(`<style>${plain}</style>${boxes}`))
      const expected = await driver.executeScript<string[]>(drawn)
      expect(expected).toHaveLength(readyLooks.length)
      await driver.get(site.show(`<style>${hostile}</style>${boxes}`))
      expect(await driver.executeScript<string[]>(drawn)).toEqual(expected)
    })
  })
})

const emulating = (driver: WebDriver, media: object) =>
  (
    driver as never as { sendDevToolsCommand: (name: string, value: object) => Promise<void> }
  ).sendDevToolsCommand('Emulation.setEmulatedMedia', media)

test('in forced colours cards, bars and the current dot are there; on paper a row shows all it has', async () => {
  const boxes = [
    standing('grid', some(3, short), { theme: themeOfLook('sheets') }),
    standing('aggregate', some(3, short)),
    standing('carousel', some(8, short), { layout: { columns: 2 } }),
  ]
  await withBrowser(desk, async (driver) => {
    await emulating(driver, { features: [{ name: 'forced-colors', value: 'active' }] })
    await driver.get(site.show(`<style>.around{width:700px}</style>${boxes.join('')}${waking()}`))
    await awake(driver)
    expect(
      await driver.executeScript(`
        const at = (css, ...more) => {
          for (const box of document.querySelectorAll('.box')) {
            const found = box.shadowRoot.querySelector(css)
            if (found) return getComputedStyle(found, ...more)
          }
        }
        const text = at('.eg').color
        return [at('.eg-grid figure').borderTopWidth, at('.eg-bar').fill === text,
          at('.eg-dots [aria-current]', '::before').backgroundColor === text, at('.eg-dots :not([aria-current])', '::before').backgroundColor === text]`),
    ).toEqual(['1px', true, true, false])
    await emulating(driver, { media: 'print', features: [] })
    expect(
      await driver.executeScript(`
        const row = document.querySelectorAll('.box')[2].shadowRoot.querySelector('ol')
        const { right, bottom } = row.getBoundingClientRect()
        return [...row.children].filter((li) => {
          const at = li.getBoundingClientRect()
          return at.width > 0 && at.right <= right + 1 && at.bottom <= bottom + 1
        }).length`),
    ).toBe(8)
  })
})

test('from edge to edge of the window, nothing scrolls sideways', async () => {
  const boxes = layouts.map((kind) => standing(kind, some(5, long), { layout: { columns: 3 } }))
  await withBrowser(desk, async (driver) => {
    await driver.get(site.show(`<style>body{margin:0}</style>${boxes.join('')}${waking()}`))
    await awake(driver)
    expect(await driver.executeScript(faults)).toEqual([])
    expect(
      await driver.executeScript(
        'return document.documentElement.scrollWidth - document.documentElement.clientWidth',
      ),
    ).toBe(0)
  })
})

test('packed, each goes under the shortest column, and the order in the page stays the chosen one', async () => {
  const page = site.show(
    `<style>.around{width:800px}</style>${standing('masonry', some(9, long), { layout: { columns: 3 } })}${waking()}`,
  )
  await withBrowser(desk, async (driver) => {
    await driver.get(page)
    await awake(driver)
    const items = await driver.executeScript<{ id: string; top: number; left: number; bottom: number }[]>(
      `return [...document.querySelector('.box').shadowRoot.querySelectorAll('li')].map((li) => {
        const { top, left, bottom } = li.getBoundingClientRect()
        return { id: li.dataset.review, top, left, bottom }
      })`,
    )
    expect(items.map(({ id }) => id)).toEqual([9, 8, 7, 6, 5, 4, 3, 2, 1].map((i) => `r${i}`))
    const bottoms = new Map<number, number>()
    for (const { top, left, bottom } of items) {
      const shortest = bottoms.size < 3 ? undefined : Math.min(...bottoms.values())
      if (shortest !== undefined) expect(Math.abs(bottoms.get(left)! - shortest)).toBeLessThan(1)
      if (shortest !== undefined) expect(top).toBeGreaterThan(shortest)
      bottoms.set(left, bottom)
    }
    expect(bottoms.size).toBe(3)
  })
})

describe('passing by', () => {
  const first = `return (() => { const root = document.querySelector('.box').shadowRoot; const row = root.querySelector('ol'); const left = row.getBoundingClientRect().left;
    return [...row.children].findIndex((li) => li.getBoundingClientRect().left >= left - 4) })()`
  const button = (name: string) => `document.querySelector('.box').shadowRoot.querySelector('${name}')`
  const show = (more: Parameters<typeof configured>[0]) =>
    site.show(
      `<style>.around{width:800px}</style><main><h1>Before</h1>${standing('carousel', some(7, long), more)}</main>${waking()}`,
    )

  test('is stepped by buttons, dots and keys, wraps round, and says where it is', async () => {
    await withBrowser(desk, async (driver) => {
      const page = pageOf(driver)
      await page.go(show({ layout: { columns: 3, step: 2 } }))
      await awake(driver)
      const arrives = (index: number) =>
        driver.wait(
          async () => (await driver.executeScript(first)) === index,
          PATIENCE_MS,
          `review ${index} comes first`,
        )
      await driver.executeScript(`${button('.eg-on')}.click()`)
      await arrives(2)
      await driver.executeScript(`${button('.eg-back')}.click()`)
      await arrives(0)
      // The second counts from where the first leads, though the row has hardly moved
      // and the end of the movement before is announced only now.
      await driver.executeScript(
        `${button('.eg-on')}.click(); ${button('ol')}.dispatchEvent(new Event('scrollend')); ${button('.eg-on')}.click()`,
      )
      await arrives(4)
      await driver.executeScript(`${button('.eg-on')}.click()`)
      await arrives(0)
      await driver.executeScript(`${button('.eg-dots button:last-child')}.click()`)
      await arrives(4)
      await page.accessible()
      expect(
        await driver.executeScript(`return ${button('.eg-dots [aria-current]')}.getAttribute('aria-label')`),
      ).toBe('Go to 3 of 3')
      await driver.executeScript(`${button('ol')}.focus()`)
      await page.keys(Key.ARROW_LEFT, Key.ARROW_LEFT, Key.ARROW_LEFT, Key.ARROW_LEFT)
      await driver.wait(
        async () => Number(await driver.executeScript(first)) < 4,
        PATIENCE_MS,
        'keys move it',
      )
    })
  })

  test('by itself it moves, but not under the pointer, not under the keys, and not after “stop”', async () => {
    await withBrowser(desk, async (driver) => {
      const page = pageOf(driver)
      await page.go(show({ layout: { columns: 2, autoplay: 1 } }))
      await awake(driver)
      const moved = () =>
        driver.wait(
          async () => Number(await driver.executeScript(first)) > 0,
          PATIENCE_MS,
          'it moves by itself',
        )
      await moved()
      const stays = async () => {
        const at = await driver.executeScript(first)
        const until = Date.now() + 2400
        await driver.wait(async () => Date.now() > until || (await driver.executeScript(first)) !== at, 6000)
        return (await driver.executeScript(first)) === at
      }
      await driver.executeScript(`${button('ol')}.focus()`)
      await driver.wait(
        () =>
          driver.executeScript(
            `const row = ${button('ol')}; const at = row.scrollLeft; return new Promise((r) => setTimeout(() => r(row.scrollLeft === at), 300))`,
          ),
        PATIENCE_MS,
      )
      expect(await stays()).toBe(true)
      await driver.executeScript(`${button('ol')}.blur(); ${button('.eg-play')}.click()`)
      expect(await driver.executeScript(`return ${button('.eg-play')}.textContent`)).toBe('Play')
      expect(await stays()).toBe(true)
    })
  })

  test(
    'at the speed of the owner’s choice, also when it is pressed again meanwhile',
    TRIED_AGAIN,
    async () => {
      await withBrowser(desk, async (driver) => {
        for (const [speed, least, most] of [
          ['atOnce', 0, 600],
          ['calm', 700, 8000],
        ] as const) {
          await driver.get(show({ layout: { columns: 2, step: 1, speed } }))
          await awake(driver)
          const took = await driver.executeAsyncScript<number>(
            `const done = arguments[0], row = ${button('ol')}, on = ${button('.eg-on')}, begun = performance.now()
           const goal = row.children[2].offsetLeft - row.children[0].offsetLeft
           on.click()
           requestAnimationFrame(() => {
             on.click()
             const look = () => Math.abs(row.scrollLeft - goal) < 2 ? done(performance.now() - begun) : requestAnimationFrame(look)
             look()
           })`,
          )
          expect(took, speed).toBeGreaterThanOrEqual(least)
          expect(took, speed).toBeLessThan(most)
          await driver.wait(
            async () =>
              (await driver.executeScript(`return getComputedStyle(${button('ol')}).scrollSnapType`)) ===
              'x mandatory',
            PATIENCE_MS,
          )
          expect(await driver.executeScript(first)).toBe(2)
        }
      })
    },
  )

  test('at a width with fewer reviews it counts and reaches only those', async () => {
    await withBrowser(desk, async (driver) => {
      const bands = { tablet: { limit: 4, texts: {}, hidden: [] } }
      await driver.get(show({ layout: { columns: 2, step: 1 }, bands }))
      await awake(driver)
      const dots = () => driver.executeScript(`return ${button('.eg-dots')}.childElementCount`)
      await driver.wait(async () => (await dots()) === 3, PATIENCE_MS, 'a dot for each place of four in twos')
      await driver.executeScript(`${button('.eg-back')}.click()`)
      await driver.wait(async () => (await driver.executeScript(first)) === 2, PATIENCE_MS, 'the last two')
    })
  })

  test('who wants less motion gets none until asked for', async () => {
    await withBrowser(desk, async (driver) => {
      await emulating(driver, { features: [{ name: 'prefers-reduced-motion', value: 'reduce' }] })
      await driver.get(show({ layout: { columns: 2, autoplay: 1 } }))
      await awake(driver)
      expect(await driver.executeScript(`return ${button('.eg-play')}.textContent`)).toBe('Play')
    })
  })
})

test('axe finds nothing in any layout, on light, dark and coloured backgrounds', async () => {
  const boxes = layouts.flatMap((kind) => [
    standing(kind, some(3, long), { layout: { autoplay: 9 }, title: `${kind} on the page` }),
    standing(kind, some(3, short), { theme: { background: 'dark' }, title: `${kind} on dark` }),
    standing(kind, some(3, short), {
      theme: { background: 'colour', colour: '#f3e3b3' },
      title: `${kind} on colour`,
    }),
  ])
  await withBrowser(desk, async (driver) => {
    const page = pageOf(driver)
    await page.go(site.show(`<main><h1>All layouts</h1>${boxes.join('')}</main>${waking()}`))
    await awake(driver)
    await page.accessible()
  })
})
