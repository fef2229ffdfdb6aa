import { afterAll, beforeAll, expect, test } from 'vitest'
import { helper, owner, type MemberStory } from '../demo/members'
import { startDemo, type Running } from './support/application'
import { desk, openTab, withBrowser } from './support/browser'
import { Key, pageOf, PATIENCE_MS, type Page } from './support/page'
import { slowDown } from './support/slowLine'
import { sendSeveral, variedSentence } from './support/submissions'

let demo: Running
beforeAll(async () => {
  demo = await startDemo()
})
afterAll(() => demo.stop())

async function signIn(page: Page, { email, password }: MemberStory, path: string): Promise<void> {
  await page.go(demo.url + path)
  for (const [name, value] of [
    ['email', email],
    ['password', password],
  ] as const) {
    await (await page.find(`[name=${name}]`)).clear()
    await page.type(`[name=${name}]`, value)
  }
  await page.click('main form button')
}

test('two people on one queue: nobody’s act is lost, and the second is told', async () => {
  await withBrowser(desk, (one) =>
    withBrowser(desk, async (other) => {
      const [mara, ned] = [pageOf(one), pageOf(other)]
      await signIn(mara, owner, '/s/saltmarsh/decide')
      await signIn(ned, helper, '/s/saltmarsh/decide')
      await ned.sees('Barnaby Quill', 'article')
      await mara.sees('Barnaby Quill', 'article')
      await mara.sees('Ned Pellow is reading this too.', 'article')
      await ned.sees('Mara Oduya is reading this too.', 'article')

      // An act in one browser is seen in the other with nothing pressed there.
      await ned.keys('1')
      await ned.sees('Approved Barnaby Quill’s review.', '[role=status]')
      await mara.sees('Ned Pellow approved it', 'article')
      await mara.counts({ approved: 3 })
      await ned.undo()
      await ned.sees('Undone: Barnaby Quill’s review is waiting again.', '[role=status]')
      await mara.sees('undid a change: waiting', 'article')

      // The second to decide on what both saw is told, also where she has not heard of it.
      await mara.driver.executeScript(
        'const real = window.fetch; window.fetch = (to, how) => String(to).includes("/healthz") ? Promise.reject(new TypeError("no line")) : real(to, how)',
      )
      // What she was still asking for is answered before another request of hers is.
      await mara.driver.executeAsyncScript(
        'const done = arguments[0]; fetch(location.pathname + ".data").then(() => setTimeout(done, 100))',
      )
      await ned.keys('1')
      await ned.sees('Approved Barnaby Quill’s review.', '[role=status]')
      await mara.keys('2')
      await mara.sees(
        'Someone else has decided on Barnaby Quill’s review in the meantime. It’s approved now.',
        '[role=status]',
      )
      await mara.counts({ approved: 3, declined: 0 })
      await mara.sees('Ned Pellow approved it', 'article')

      await mara.keys('2')
      await mara.sees('Declined Barnaby Quill’s review.', '[role=status]')
      await ned.undo()
      await ned.sees(
        'Someone else has decided on Barnaby Quill’s review since. It stays declined.',
        '[role=status]',
      )
      await mara.undo()
      await mara.sees('Undone: Barnaby Quill’s review is approved again.', '[role=status]')
      await ned.undo()
      await ned.sees('You have nothing left to undo.', '[role=status]')

      await ned.go(`${demo.url}/s/wrenfield/gather`)
      await ned.sees('There’s nothing at this address')
      await ned.go(`${demo.url}/`)
      await ned.at('/s/saltmarsh/gather')
      await ned.sees('Saltmarsh Lane Letterpress')
    }),
  )
})

test('the lane is walked by keys, narrowed by rating, and its address brings the same view back', async () => {
  await withBrowser(desk, async (driver) => {
    const page = pageOf(driver)
    await signIn(page, owner, '/s/wrenfield/decide?lane=approved&source=form')
    await page.sees('Kaspar Uhl')
    await page.sees('Maud Pellerin', '#writer')
    await page.keys(Key.ARROW_DOWN)
    await page.sees('Kaspar Uhl', '#writer')
    await page.sees('no permission to show', 'article')
    await page.sees('Nowhere unless the writer agrees', 'article')
    await page.keys(Key.ARROW_UP)
    await page.sees('Maud Pellerin', '#writer')
    await page.sees('Front page', 'article dl')

    await page.press('any rating')
    await page.keys(Key.ARROW_RIGHT, Key.ARROW_RIGHT, Key.ENTER)
    await page.sees('rating 4', '[data-filter=rating]')
    await page.at('rating=4')
    await page.sees('Maud Pellerin', '#writer')
    await page.keys(Key.ARROW_DOWN)
    await page.sees('Percy Langdale', '#writer')
    const address = await driver.getCurrentUrl()
    await driver.navigate().refresh()
    await page.sees('Percy Langdale', '#writer')
    await page.sees('rating 4', '[data-filter=rating]')
    await openTab(driver)
    await page.go(address)
    await page.sees('Percy Langdale', '#writer')
    await driver.navigate().back()

    await page.go(`${demo.url}/s/wrenfield/decide?lane=declined&rating=5`)
    await page.sees('No declined reviews match.')
    await page.press('Clear filter')
    await page.sees('Gerald Tinsley', '#writer')
  })
})

test('a customer without consent, one for a fixed product, and one who rates by digit', async () => {
  await withBrowser(desk, async (driver) => {
    const page = pageOf(driver)
    await page.go(`${demo.url}/f/tell-us?product=EX-4`)
    expect(await driver.executeScript('return document.querySelector("select[name=product]")')).toBeNull()
    await page.click('input[name=rating][value="1"] + span')
    await page.keys('5')
    expect(
      await driver.executeScript('return document.querySelector("input[name=rating]:checked").value'),
    ).toBe('5')
    await page.type('[name=body]', 'Spins like a top. Only for you, please.')
    await page.type('[name=author_name]', 'Felix Brandl')
    await page.type('[name=author_email]', 'felix@brandl.example')
    await page.press('Send my review')
    await page.sees('You haven’t agreed to have your review shown')
    expect(await (await page.find('[data-part=button]')).isDisplayed()).toBe(false)
    await page.type('[name=author_name]', Key.ENTER)
    await page.sees('You haven’t agreed to have your review shown')
    await page.accessible()
    await page.press('Send it to Wrenfield only')
    await page.sees('You didn’t give permission to show it, so only Wrenfield will read it.')
    await page.accessible()

    await signIn(page, owner, '/s/wrenfield/decide?lane=waiting')
    await page.sees('Spins like a top', 'article')
    await page.sees('Extractor, four frames', 'article')
    await page.keys('1')
    await page.sees('Approved Felix Brandl’s review.', '[role=status]')
    await page.go(demo.shopUrl)
    await page.displaySees(/from 132 ratings/)
    expect(await page.display()).not.toContain('Felix')
  })
})

test('on a slow line the counts follow while reviews keep arriving', async () => {
  const MOST = 60
  await withBrowser(desk, async (driver) => {
    const page = pageOf(driver)
    await signIn(page, owner, '/s/wrenfield/decide?lane=waiting')
    await page.sees(/\S/, '#writer')
    const counted = () =>
      driver.executeScript<number>(
        'return [...document.querySelectorAll("[data-lane-count]")].reduce((sum, { textContent }) => sum + Number(textContent), 0)',
      )
    const before = await counted()
    await slowDown(driver, 500)
    let arrived = 0
    let followed = false
    const arriving = async () => {
      for (; arrived < MOST && !followed; arrived++)
        await sendSeveral(demo, 'tell-us', 1, () => ({
          ...{ rating: '5', author_name: `Visitor ${arrived}`, body: variedSentence(arrived) },
          author_email: `visitor${arrived}@post${arrived}.example`,
        }))
    }
    const follow = async () => {
      await driver.wait(async () => (await counted()) > before, PATIENCE_MS)
      followed = true
    }
    await Promise.all([arriving(), follow()])
    expect(arrived).toBeLessThan(MOST)
  })
})
