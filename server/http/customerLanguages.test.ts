import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { customerMessages } from '../../core/messages/customers'
import { customerLanguages } from '../../core/messages/customers/languages'
import { startListener, type Listening } from '../../tests/support/listener'
import { formToken } from '../../tests/support/submissions'
import { eventually } from '../../tests/support/eventually'

let app: Listening
beforeAll(async () => {
  app = await startListener({ ELOGIO_THROTTLE: 'off' })
})
afterAll(() => app.stop())

type Tree = { [key: string]: string | Tree }
const texts = (tree: Tree): string[] =>
  Object.values(tree).flatMap((value) => (typeof value === 'string' ? [value] : texts(value)))
/** What English pages say between the places of their texts; single words can be words of another language. */
const englishPhrases = texts(customerMessages('en'))
  .flatMap((text) => text.split(/\{\{\w+\}\}/))
  .map((phrase) => phrase.trim())
  .filter((phrase) => /\w\s\w/.test(phrase) && phrase.length > 6)
const english = (html: string) =>
  englishPhrases.filter((phrase) => html.replace(/&#x27;/g, '’').includes(phrase))

const asked = (path: string, language: string, init: RequestInit = {}) =>
  fetch(app.url + path, {
    redirect: 'manual',
    ...init,
    headers: { 'Accept-Language': `${language}-XX, ${language};q=0.9, en;q=0.5`, ...init.headers },
  })

async function page(path: string, language: string, init: RequestInit = {}): Promise<string> {
  const answer = await asked(path, language, init)
  const html = await answer.text()
  expect(html, path).toContain(`<html lang="${language}"`)
  if (language !== 'en') expect(english(html), path).toEqual([])
  return html
}

/** The application's own jobs send it. */
const emailTo = (address: string) =>
  eventually(() => {
    const email = app.mails.findLast(({ recipient }) => recipient === address)
    expect(email, address).toBeDefined()
    return email!
  })

describe.each(customerLanguages)('a customer with a browser in %s', (language) => {
  test('reads no other language from the form to her own page', async () => {
    const words = customerMessages(language)
    expect(await page('/f/wrenfield', language)).toContain(words.form.send)
    const post = (fields: Record<string, string>) => ({ method: 'POST', body: new URLSearchParams(fields) })
    expect(
      await page('/f/wrenfield', language, post({ author_email: 'x', title: 'x'.repeat(200) })),
    ).toContain(words.form.error.name)
    const email = `${language}@customer.example`
    const sent = await asked(
      '/f/wrenfield',
      language,
      post({
        token: await formToken(app.url, 'wrenfield'),
        rating: '4',
        body: 'Bien, gut, bene: 4!',
        author_name: 'Ada Lovelace',
        author_email: email,
        consent: 'on',
      }),
    )
    expect(sent.status).toBe(302)
    await page(sent.headers.get('Location')!, language)
    const mail = await emailTo(email)
    expect(mail.text).toContain(words.email.confirmButton)
    if (language !== 'en') expect(english(`${mail.subject} ${mail.text} ${mail.html}`)).toEqual([])
    const link = /\/confirm\/[\w-]+/.exec(mail.text)![0]
    await page(link, language)
    const confirmed = await asked(link, language, { method: 'POST' })
    const own = confirmed.headers.get('Location')!
    const ownPage = await page(own, language)
    expect(ownPage).toContain(words.myReview.thanks)
    expect(ownPage).toContain(`aria-label="${words.rating.of.replace('{{given}}', '4')}"`)
    expect(await page(own, language, post({ act: 'change', rating: '9' }))).toContain(
      words.form.error.ratingScale,
    )
    await page(own, language, post({ act: 'takeBack' }))
    await page('/how/wrenfield', language)
  })

  test('reads what went wrong in it', async () => {
    await page('/confirm/made-up', language)
    await page('/r/made-up', language)
    await page('/f/made-up', language)
    await page('/d/made-up', language)
    await page('/f/wrenfield', language, {
      method: 'POST',
      body: 'x=1',
      headers: { Origin: 'https://evil.example' },
    })
    await page('/f/wrenfield', language, {
      method: 'POST',
      body: 'x'.repeat(600_000),
      headers: { 'Content-Type': 'application/x-www-form-urlencoded' },
    })
    const json = await asked('/f/wrenfield', language, {
      method: 'POST',
      headers: { Accept: 'application/json' },
      body: new URLSearchParams({ rating: '9' }),
    })
    const { errors } = (await json.json()) as { errors: { rating: string[] } }
    expect(errors.rating).toEqual([customerMessages(language).form.error.ratingScale])
    const photo = await asked('/f/wrenfield/photo', language, { method: 'POST', body: 'no photo' })
    expect(((await photo.json()) as { error: string }).error).toBe(
      customerMessages(language).photo.refused.other,
    )
  })
})

test('the address decides before the browser, and the language goes on with her', async () => {
  expect(await (await asked('/f/wrenfield?lang=de', 'fr')).text()).toContain('<html lang="de"')
  const body = new URLSearchParams({
    token: await formToken(app.url, 'wrenfield'),
    rating: '5',
    author_name: 'Bo',
    author_email: 'bo@customer.example',
  })
  const sent = await asked('/f/wrenfield?lang=it', 'fr', { method: 'POST', body })
  expect(sent.headers.get('Location')).toMatch(/&lang=it$/)
  expect((await emailTo('bo@customer.example')).subject).toBe(
    customerMessages('it').email.confirmSubject.replace('{{shop}}', 'wrenfield'),
  )
})

test.each(['aaaaaaaaaaaaaaaaaaa%F0%9F%98%80', '%0d%0aSet-Cookie:x', '%ff%fe', '__proto__', 'x'.repeat(3000)])(
  'an address that asks for no language (%s) is answered as without one',
  async (lang) => {
    const body = new URLSearchParams({
      token: await formToken(app.url, 'wrenfield'),
      rating: '5',
      author_name: 'Bo',
      author_email: 'bo@customer.example',
    })
    const sent = await asked(`/f/wrenfield?lang=${lang}`, 'fr', { method: 'POST', body })
    expect(sent.status).toBe(302)
    expect(sent.headers.get('Location')).not.toContain('lang')
    expect(await page(`/f/wrenfield?lang=${lang}`, 'fr')).toContain(customerMessages('fr').form.send)
    expect(await page(`/d/made-up?lang=${lang}`, 'fr')).toContain(
      customerMessages('fr').visitor.notPublishedTitle,
    )
  },
)
