import { writeFileSync } from 'node:fs'
import path from 'node:path'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { startDemo, type Running } from './support/application'
import { confirmLinkFor } from './support/letters'
import { desk, phone, withBrowser } from './support/browser'
import { pageOf, signIn, type Page } from './support/page'
import { sendSeveral, variedSentence } from './support/submissions'

let demo: Running
beforeAll(async () => {
  demo = await startDemo()
})
afterAll(() => demo.stop())

const words = 'The cards feel like cloth, my aunt has been stroking them.'
const ilse = {
  rating: '4',
  body: words,
  author_name: 'Ilse Thorn',
  author_email: 'ilse.thorn@letterbox.example',
  product: 'VC-100',
}

test('an email address is confirmed, an order proves the purchase, and the words stay their writer’s', async () => {
  await sendSeveral(demo, 'how-was-it', 1, () => ilse)
  await withBrowser(desk, async (driver) => {
    const page = pageOf(driver)
    await signIn(page, demo.url + '/s/saltmarsh/decide?lane=held')
    await page.sees('Three reviews need you.', 'h1')
    await page.sees('+ 1 not confirmed yet', '[data-unconfirmed]')
    await page.sees('The email address isn’t confirmed yet', 'article')

    await writerConfirms(page)
    await page.go(`${demo.url}/s/saltmarsh/decide?lane=waiting`)
    await page.sees(words, 'article')
    await page.sees('Email address confirmed.', 'article')
    await page.sees('Not verified', 'article')

    await ownerBringsOrders(page)
    await page.press('Ilse Thorn')
    await page.sees('Yes, order SL-400', 'article')
    await page.sees('The confirmed email address is the one on the order: Visiting cards, 100', 'article')
    await page.accessible()
    await page.keys('1')
    await page.sees('Approved Ilse Thorn’s review.', '[role=status]')
  })
  await writerChangesHerWords()
  await withBrowser(desk, async (driver) => {
    const page = pageOf(driver)
    await signIn(page, demo.url + '/s/saltmarsh/decide?lane=waiting')
    await page.sees('Until you decide, visitors see this version:', 'article')
    await page.sees('One corner came bent.', 'article')
    await page.accessible()
    const shown = await (await fetch(`${demo.url}/d/workshop-wall.json`)).text()
    expect(shown).toContain('feel like cloth')
    expect(shown).not.toContain('One corner')
    await page.keys('1')
    await page.sees('Approved Ilse Thorn’s review.', '[role=status]')
    await driver.wait(async () =>
      (await (await fetch(`${demo.url}/d/workshop-wall.json`)).text()).includes('One corner'),
    )
    await markTakenAway(page)
  })
})

let own = ''

async function writerConfirms(page: Page): Promise<void> {
  const link = await confirmLinkFor(demo, ilse.author_email)
  // A scanner that opens the link confirms nothing.
  for (let i = 0; i < 3; i++) expect((await fetch(link)).status).toBe(200)
  await page.go(link)
  await page.sees('Nothing happens until you press the button.')
  await page.sees(words)
  await page.accessible()
  await page.press('Yes, it’s mine')
  await page.at('/r/')
  await page.sees('Thank you, your email is confirmed.')
  await page.accessible()
  own = (await page.driver.getCurrentUrl()).replace('?thanks', '')
}

async function ownerBringsOrders(page: Page): Promise<void> {
  const file = path.join(demo.dataFolder, 'orders.csv')
  const placed = new Date(Date.now() - 30 * 86_400_000).toISOString()
  const delivered = new Date(Date.now() - 20 * 86_400_000).toISOString()
  writeFileSync(
    file,
    [
      'number,email,name,product_sku,product_title,placed_at,delivered_at,status,note',
      `SL-400,Ilse.Thorn@letterbox.example,I Thorn,VC-100,"Visiting cards, 100",${placed},${delivered},delivered,${'as large as files of orders are '.repeat(20_000)}`,
      'SL-401,x@y.example,X,VC-100,,soon,,placed,',
    ].join('\n'),
  )
  await page.go(`${demo.url}/s/saltmarsh/gather`)
  await page.press('Import orders')
  await page.at('/gather/orders')
  await page.accessible()
  await (await page.find('input[type=file]')).sendKeys(file)
  await page.press('Import orders')
  await page.sees('One row was imported.', '[role=status]')
  await page.sees('Row 2, placed_at: “soon” isn’t a date.')
  await page.sees('now has a verified buyer, by the email address of order SL-400.')
  await page.accessible()
}

async function writerChangesHerWords(): Promise<void> {
  await withBrowser(phone, async (driver) => {
    const page = pageOf(driver)
    await page.go(own)
    await page.sees('Your review is approved. It appears where')
    await page.sees('You’re marked as a verified buyer.')
    await page.click('summary')
    await page.type('[name=body]', ' One corner came bent.')
    await page.press('Save changes')
    await page.sees('has your change.')
    await page.sees('Until that is decided, visitors see your earlier version:')
    await page.accessible()
  })
}

async function markTakenAway(page: Page): Promise<void> {
  await page.go(`${demo.url}/s/saltmarsh/decide?lane=approved`)
  await page.press('Ilse Thorn')
  await page.sees('Yes, order SL-400', 'article')
  await page.click('article dl summary')
  await page.type('article dl [name=reason]', 'It was a gift from us')
  await page.click('article dl form button')
  await page.sees('Not verified', 'article')
  await page.undo()
  await page.sees('Yes, order SL-400', 'article')
}

test('copies are said first, stand as one, and are decided by one press that one undo takes back', async () => {
  const copy = (tail: string) =>
    `These candles have made our whole street smell of the meadow behind my grandmother’s house, ${tail}.`
  await sendSeveral(demo, 'tell-us', 2, (i) => ({
    ...ilse,
    product: '',
    author_name: ['Ann Mill', 'Bo Field'][i]!,
    author_email: `copy${i}@street${i}.example`,
    body: copy(['all year', 'every week'][i]!),
  }))
  await withBrowser(desk, async (driver) => {
    const page = pageOf(driver)
    await signIn(page, demo.url + '/s/wrenfield/decide?lane=waiting')
    await page.sees('Two say the same.', 'h1')
    await page.press('Look at them together')
    await page.sees('Two say the same. Decide together:', 'article')
    await page.sees('every week', 'article')
    await page.accessible()
    await page.counts({ waiting: 6, held: 5, spam: 7 })
    await page.press('Mark 2 as spam')
    await page.counts({ waiting: 5, held: 4, spam: 9 })
    await page.sees(/The oldest has waited/, 'h1')
    await page.undo()
    await page.counts({ waiting: 6, held: 5, spam: 7 })
    await page.sees('Two say the same.', 'h1')
  })
})

test('killed while mails go out, none is lost and none comes twice under two ids', async () => {
  const people = Array.from({ length: 12 }, (_, i) => `writer${i}@killed.example`)
  await sendSeveral(demo, 'tell-us', people.length, (i) => ({
    ...ilse,
    product: '',
    author_name: `Writer ${i}`,
    author_email: people[i]!,
    body: variedSentence(i),
  }))
  await demo.kill()
  await demo.restart()
  const came = async () => {
    const list = await (await fetch(`${demo.shopUrl}mailbox`)).text()
    return people.map((mailbox) => list.split(`to ${mailbox}`).length - 1)
  }
  for (let tries = 0; tries < 200 && (await came()).includes(0); tries++)
    await new Promise((resolve) => setTimeout(resolve, 100))
  expect(await came()).toEqual(people.map(() => 1))
})
