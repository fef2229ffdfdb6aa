import { afterAll, beforeAll, expect, test } from 'vitest'
import { startDemo, type Running } from './support/application'
import { desk, withBrowser } from './support/browser'
import { meetSlowly } from './support/slowLine'

/** All pages at eight widths: `npm run slow-line`. */
const MAX_SHIFT = 0.02
const SETTLED_MS = 700

let demo: Running
beforeAll(async () => {
  demo = await startDemo()
})
afterAll(() => demo.stop())

test.each([360, 768, 1280])(
  'over a slow line nothing moves at %i px, and the form is there soon',
  async (width) => {
    const pages = [demo.shopUrl, `${demo.url}/d/front-page`, `${demo.url}/f/tell-us`]
    for (const url of pages) {
      const { shift, paint } = await withBrowser(desk, (driver) => meetSlowly(driver, url, width, SETTLED_MS))
      expect(shift, `${url} moves`).toBeLessThanOrEqual(MAX_SHIFT)
      // The goal is 1.8 s on an idle machine; a busy one is no failure.
      expect(paint, `the largest paint of ${url}`).toBeGreaterThan(0)
      expect(paint, `the largest paint of ${url}`).toBeLessThan(8000)
    }
  },
)
