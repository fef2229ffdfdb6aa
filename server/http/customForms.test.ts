import { afterAll, beforeAll, expect, test } from 'vitest'
import { designSchema } from '../../core/form/design'
import { startListener, type Listening } from '../../tests/support/listener'
import { formToken } from '../../tests/support/submissions'
import { findFormBySlug } from '../data/forms'
import { findShop, type Shop } from '../data/shops'
import { formView, publishForm, saveFormDraft, setFormRemoved } from '../collection/forms'

const options = Array.from({ length: 200 }, (_, i) => `Option ${i} <b>& more</b>`)
let app: Listening
let shop: Shop
let form: string
beforeAll(async () => {
  app = await startListener({ TRUST_PROXY: '1' })
  const found = (await findFormBySlug(app.services.db, 'wrenfield'))!
  shop = await findShop(app.services.db, found.shopId)
  form = found.publicId
  const questions = [{ id: 'many', kind: 'several', label: '<script>alert(1)</script>', options }]
  await saveFormDraft(app.services, shop, form, designSchema.parse({ schema: 1, questions }))
  await publishForm(app.services, shop, form)
})
afterAll(() => app.stop())

const send = (body: URLSearchParams | FormData, path = '/f/wrenfield') =>
  fetch(app.url + path, { method: 'POST', redirect: 'manual', headers: { Accept: 'application/json' }, body })
function answered<F extends URLSearchParams | FormData>(fields: F, answers: string[]): F {
  const good = { rating: '5', author_name: 'Sam Post', author_email: 'sam@post.example' }
  for (const [name, value] of Object.entries(good)) fields.set(name, value)
  for (const answer of answers) fields.append('answer_many', answer)
  return fields
}
const kept = async (answer: Response) => {
  const { id } = (await answer.json()) as { id: string }
  const { answers } = await app.services
    .db('review')
    .join('review_version', 'review_version.id', 'review.current_version_id')
    .where({ public_id: id })
    .first<{ answers: string }>('answers')
  return (JSON.parse(answers) as { value: string }[])[0]!.value.split('\n')
}

test('a customer who chooses all of 200 options is understood, whichever way the form is sent', async () => {
  for (const body of [new URLSearchParams(), new FormData()]) {
    const answer = await send(answered(body, options))
    expect(answer.status).toBe(201)
    expect(await kept(answer)).toEqual(options)
  }
})

test.each([
  ['options that are not offered', ['Option 0', 'x'], 422],
  ['an option 900 times', Array.from({ length: 900 }, () => options[0]!), 422],
  ['more fields than a form has', Array.from({ length: 1100 }, () => options[0]!), 413],
])('%s are refused', async (_, answers, status) => {
  expect((await send(answered(new URLSearchParams(), answers))).status).toBe(status)
})

test('a question is shown as what it says', async () => {
  const html = await (await fetch(`${app.url}/f/wrenfield`)).text()
  expect(html).not.toContain('<script>alert(1)')
  expect(html).toContain('&lt;script&gt;alert(1)&lt;/script&gt;')
  expect(html).toContain('Option 199 &lt;b&gt;&amp; more&lt;/b&gt;')
})

test('what a customer says of herself is stored where the form asks for it, and is looked through like her words', async () => {
  const asked = { shown: true, required: false, label: '' }
  const role = { ...asked, label: 'Your craft' }
  await saveFormDraft(app.services, shop, form, designSchema.parse({ schema: 1, role, company: asked }))
  await publishForm(app.services, shop, form)
  expect(await (await fetch(`${app.url}/f/wrenfield`)).text()).toContain('Your craft')
  const sentAs = async (about: Record<string, string>) => {
    const fields = answered(new URLSearchParams(about), [])
    fields.set('token', await formToken(app.url, 'wrenfield'))
    fields.set('body', `The ${about.role} is content with it.`)
    const answer = await send(fields)
    expect(answer.status).toBe(201)
    return app.services
      .db('review')
      .join('review_version', 'review_version.id', 'review.current_version_id')
      .where({ public_id: ((await answer.json()) as { id: string }).id })
      .first<{ state: string; role: string; company: string; id: number }>('state', 'role', 'company')
  }
  expect(await sentAs({ role: 'potter', company: 'Berg & Co' })).toMatchObject({
    state: 'waiting',
    role: 'potter',
    company: 'Berg & Co',
  })
  expect(await sentAs({ role: 'florist', company: 'https://cheap-pills.example' })).toMatchObject({
    state: expect.stringMatching(/held|spam/) as string,
  })
})

test('who has begun is told with a token of the form; what else comes is no fault and no count', async () => {
  const token = await formToken(app.url, 'wrenfield')
  const begun = async (...tokens: string[]) =>
    (await send(new URLSearchParams(tokens.map((one) => ['token', one])), '/f/wrenfield/begun')).status
  expect(await begun(token)).toBe(204)
  for (const bad of ['', 'x', 'x'.repeat(5000), `${token}x`]) expect(await begun(bad)).toBe(204)
  expect(await begun()).toBe(204)
  await new Promise((resolve) => setTimeout(resolve, 1200))
  expect((await formView(app.services, shop, form))!.days.at(-1)!.begun).toBe(1)
})

test('a form is tried, its card printed and its photos sent only by members', async () => {
  for (const path of ['try', 'try/thanks', 'card', 'page']) {
    const answer = await fetch(`${app.url}/s/wrenfield/gather/forms/${form}/${path}`, { redirect: 'manual' })
    expect([answer.status, answer.headers.get('Location')]).toEqual([
      302,
      expect.stringContaining('/sign-in'),
    ])
  }
  const sent = await send(answered(new URLSearchParams(), []), `/s/wrenfield/gather/forms/${form}/try`)
  expect(sent.status).toBe(302)
  expect(await app.services.db('review').where({ shop_id: shop.id, source: 'trial' })).toEqual([])
})

test('a line about the writer that is too long, or given twice, is a mistake of that field', async () => {
  for (const given of [['x'.repeat(121)], ['potter', 'baker'], ['x'.repeat(9000)]]) {
    const fields = answered(new URLSearchParams(given.map((role) => ['role', role])), [])
    const answer = await send(fields, '/api/f/wrenfield')
    expect(answer.status).toBe(422)
    expect(Object.keys(((await answer.json()) as { errors: object }).errors)).toEqual(['role'])
  }
})

test('the address of a removed form says that it is closed, and takes nothing', async () => {
  await setFormRemoved(app.services, shop, form, true)
  const page = await fetch(`${app.url}/f/wrenfield`)
  expect([page.status, await page.text()]).toEqual([410, expect.stringContaining('This form is closed.')])
  expect((await send(answered(new URLSearchParams(), []))).status).toBe(404)
  const asPage = await fetch(`${app.url}/f/wrenfield`, {
    method: 'POST',
    body: answered(new URLSearchParams(), []),
  })
  expect(asPage.status).toBe(410)
})
