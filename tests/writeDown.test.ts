import { afterAll, beforeAll, expect, test } from 'vitest'
import { startDemo, type Running } from './support/application'
import { eventually } from './support/eventually'
import { desk, withBrowser } from './support/browser'
import { pageOf, signIn, type Page } from './support/page'
import { paste } from './support/paste'

let demo: Running
beforeAll(async () => {
  demo = await startDemo()
})
afterAll(() => demo.stop())

/** The newest first is what the display shows, so that what was said lately stands in it. */
const yesterday = new Date(Date.now() - 86_400_000)
const mail = `From: Anna Berg <anna@berg.example>
Date: ${yesterday.toUTCString().slice(5, 16)} 14:03
Subject: the hive

Hi Mara,

the hive went together in an afternoon. I would give it 4 out of 5, the plan is a little thin.

Best regards,
Anna Berg

On 2 May 2026 Wrenfield wrote:
> How was it?`

const value = async (page: Page, name: string) => (await page.find(`[name=${name}]`)).getAttribute('value')

test('praise from a mail, a list and a phone call is written down and stands on the shop’s page as what it is', async () => {
  await withBrowser(desk, async (driver) => {
    const page = pageOf(driver)
    await page.go(`${demo.url}/s/wrenfield/gather`)
    await page.click('main form button')
    await page.sees('12 sent to you')
    await page.accessible()

    await paste(page, 'main textarea', mail)
    await page.at('/gather/write')
    await page.sees('Here’s what we found:')
    expect(await value(page, 'author_name')).toBe('Anna Berg')
    expect(await value(page, 'written_at')).toBe(yesterday.toISOString().slice(0, 10))
    expect(await value(page, 'body')).toBe(
      'the hive went together in an afternoon. I would give it 4 out of 5, the plan is a little thin.',
    )
    expect(
      await driver.executeScript('return document.querySelector("input[name=rating]:checked").value'),
    ).toBe('4')
    await page.accessible()
    const consent = () => page.find('input[name=consent]')
    expect(await (await consent()).isSelected()).toBe(false)
    await page.click('input[name=consent]')
    await page.press('Save and add another')
    await page.sees('Saved Anna Berg: approved.')

    await paste(
      page,
      '[name=pasted]',
      '1. Nia Bevan - 5/5 - Bees love it.\n2. Colm Garrity - 2/5 - Bellows squeak.',
    )
    await page.sees('We found 2 reviews. This is number 1:')
    expect(await (await consent()).isSelected()).toBe(false)
    await page.click('input[name=consent]')
    await page.press('Save and add another')
    await page.sees('Saved Nia Bevan: approved.')
    await page.sees('This is number 2:')
    expect(await value(page, 'author_name')).toBe('Colm Garrity')
    await page.press('Save and add another')
    await page.sees('Saved Colm Garrity: approved, but not shown, because there’s no permission.')

    await page.press('Save and add another')
    await page.sees('Add a rating or some text. The rest is optional.')
    await page.type('[name=body]', 'Rang to say thanks, her number is 07700 900123')
    await page.click('input[name=consent]')
    await page.press('Save and add another')
    await page.sees('Saved the review: held back.')

    // Several one after the other: what was opened and agreed stays, and the text has the focus.
    const focused = () => driver.executeScript('return document.activeElement.name')
    await eventually(async () => expect(await focused()).toBe('body'))
    await page.click('form details summary')
    await page.click('form label:has(input:not([name])) input[type=checkbox]')
    expect(await (await consent()).isSelected()).toBe(true)
    await page.type('[name=body]', 'Good wax, and it smells of summer.')
    await page.type('[name=author_name]', 'Oda Lind')
    await page.type('[name=company_url]', 'lind-candles.example')
    await page.press('Save and add another')
    await page.sees('Saved Oda Lind: approved.')
    await eventually(async () => expect(await focused()).toBe('body'))
    expect(await (await consent()).isSelected()).toBe(true)
    await page.type('[name=company_url]', 'not an address')
    await page.press('Save and add another')
    await page.sees('Add a rating or some text. The rest is optional.')
    await driver.navigate().to(`${demo.url}/s/wrenfield/decide?lane=held`)
    await page.sees('Rang to say thanks, her number', 'nav[aria-label=Reviews]')
    await driver.executeScript(
      "[...document.querySelectorAll('nav[aria-label=Reviews] a')].find((a) => a.textContent.includes('Rang to say thanks')).click()",
    )
    await page.sees('Personal data in the text: a phone number', 'article')
    await page.sees('You added it, held back', 'article')
    await page.sees('Added by you', 'article')

    await page.press('Correct it')
    await page.sees('Correct this review')
    await page.accessible()
    await (await page.find('[name=body]')).clear()
    await page.type('[name=body]', 'Rang to say thanks')
    await page.type('[name=author_name]', 'Nell Ashby')
    await page.press('Save correction')
    await page.sees('You corrected it, approved', 'article')
    await page.sees('Saved the correction of Nell Ashby’s review.')

    await page.go(demo.shopUrl)
    await page.displaySees(/4\.2 from 132 ratings[\s\S]*Anna B\.\s+written down by the shop/)

    await page.go(`${demo.url}/s/saltmarsh/decide`)
    await page.sees('Barnaby Quill', 'article')
    await page.go(`${demo.url}/s/saltmarsh/gather`)
    await page.press('Add a review yourself')
    await page.at('/s/saltmarsh/gather/write')
  })
})

test('a product is added and merged by hand, and undo brings it back', async () => {
  await withBrowser(desk, async (driver) => {
    const page = pageOf(driver)
    await signIn(page, `${demo.url}/s/wrenfield/gather`)
    await page.press('All products')
    await page.sees('18 products')
    await page.type('[name=title]', 'Nucleus box')
    await page.press('Add product')
    await page.sees('Added Nucleus box.')
    await page.sees('NUCLEUS-BOX')
    await page.accessible()
    await page.click('[aria-label="Edit Nucleus box"]')
    await page.sees('The same as another product?')
    await page.accessible()
    await page.type('select[name=into]', 'Beginners')
    await page.press('Merge')
    await page.sees('Merged Nucleus box into Beginners’ weekend.')
    await page.sees('18 products')
    await page.press('Undo')
    await page.sees('Undone: Nucleus box is as before.')
    await page.sees('19 products')
  })
})
