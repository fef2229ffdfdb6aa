import { afterAll, beforeAll, expect, test } from 'vitest'
import { z } from 'zod'
import { startDemo, type Running } from './support/application'
import { desk, withBrowser } from './support/browser'
import { pageOf } from './support/page'

let demo: Running
beforeAll(async () => {
  demo = await startDemo({ TRUST_PROXY: '1' })
})
afterAll(() => demo.stop())

const grudges = ['Shame on you.', 'Never buying here again', 'rude staff, overpriced', 'boycott these people']
let sent = 0

/** A one-star review from a network of the attackers; resolves to its state. */
async function attacker(): Promise<string> {
  const headers = { 'x-forwarded-for': `203.0.113.${17 + (sent % 2)}`, accept: 'application/json' }
  const form = `${demo.url}/f/tell-us`
  const { token } = z.object({ token: z.string() }).parse(await (await fetch(form, { headers })).json())
  const body = new URLSearchParams({
    token,
    rating: '1',
    body: `${grudges[sent % 4]} ${sent}`,
    author_name: `Oak Watch ${sent}`,
    author_email: `acorn${sent++}kz@post.example`,
    consent: 'on',
  })
  const answer = await fetch(form, { method: 'POST', headers, body })
  return z.object({ state: z.string() }).parse(await answer.json()).state
}

test('an attack is shown, decided on at once, and what it taught can be taken away and given back', async () => {
  for (let i = 0; i < 14; i++) await attacker()
  expect(['held', 'spam']).toContain(await attacker())
  await withBrowser(desk, async (driver) => {
    const page = pageOf(driver)
    await page.go(`${demo.url}/sign-in`)
    await page.click('main form button')
    await page.sees('reviews in the last 30 days')
    await page.go(`${demo.url}/s/wrenfield/decide`)
    await page.sees('look like an attack', '[aria-label="Possible attack"]')
    await page.sees('Hold back new ones like these', '[aria-label="Possible attack"]')
    await page.accessible()

    await page.click('[aria-label="Possible attack"] a')
    await page.sees('Oak Watch', 'article')
    await page.keys('3')
    await page.sees('review as spam', '[role=status]')

    await page.go(`${demo.url}/s/wrenfield/settings/learning`)
    await page.sees('Oak Watch', '[aria-label="Marked as spam"]')
    await page.accessible()
    await page.click('[aria-label="Marked as spam"] li button')
    await page.sees('Oak Watch', '[aria-label="Not learnt from"]')
    await page.press('Learn from it again')
    await page.sees('Oak Watch', '[aria-label="Marked as spam"]')
  })
})
