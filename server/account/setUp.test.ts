import { expect, test } from 'vitest'
import { newAccountSchema, shopProfileSchema } from '../../core/account/shopProfile'
import { testServices } from '../../tests/support/shop'
import { allShops, shopsOfMember } from '../data/shops'
import { displayCards } from '../publishing/displayCards'
import { readShopSite } from '../outside/readShopSite'
import { OutsideError } from '../outside/fetchOutside'
import { signIn, findSession } from './session'
import { changePassword, resetPassword, saveSettings } from './settings'
import { isEmpty, setUp } from './setUp'

const profile = (more: Record<string, string> = {}) =>
  shopProfileSchema.parse({
    name: 'Tarn & Thistle',
    brand: 'teal',
    background: '#FAF7F0',
    textColour: '#222',
    locale: 'de',
    time_zone: 'Europe/Berlin',
    own_domains: 'https://www.Tarn-and-Thistle.example/shop, blumen.example',
    ...more,
  })
const account = newAccountSchema.parse({
  member_name: 'Ines Tarn',
  email: ' Ines@Tarn.example',
  password: 'moss-and-mallow',
})

async function withShop() {
  const { services } = await testServices()
  const made = await setUp(services, profile(), { account })
  if (made.outcome !== 'done') throw new Error(made.outcome)
  const known = await findSession(services, made.token!)
  return { services, made, member: known!.member, shop: known!.shops[0]! }
}

test('from nothing there is a shop with its theme, a form, a draft with samples, and its owner is signed in', async () => {
  const { services, made, shop } = await withShop()
  expect(made.slug).toBe('tarn-thistle')
  expect(shop).toMatchObject({
    name: 'Tarn & Thistle',
    brand: '#008080',
    background: '#faf7f0',
    languages: ['de'],
    ownDomains: ['tarn-and-thistle.example', 'blumen.example'],
    replyName: 'Tarn & Thistle',
  })
  const [display] = (await displayCards(services, shop)).cards
  expect(display).toMatchObject({ state: 'draft' })
  expect(display!.preview.html).toContain('a sample, only you see it')
  expect(display!.preview.html).toContain('Bewertung schreiben')
  expect(display!.preview.html).not.toContain('Hier gibt es noch keine Bewertungen.')
  expect(await signIn(services, 'ines@tarn.example', 'moss-and-mallow')).not.toBeNull()
})

test('a second stranger gets no shop, but a member adds one whose address is free', async () => {
  const { services, member } = await withShop()
  expect(await isEmpty(services)).toBe(false)
  const other = { ...account, email: 'other@tarn.example' }
  expect(await setUp(services, profile(), { account: other })).toEqual({ outcome: 'notEmpty' })
  expect(await setUp(services, profile(), { account })).toEqual({ outcome: 'emailTaken' })
  expect(await setUp(services, profile(), { member })).toMatchObject({ slug: 'tarn-thistle-2', token: null })
  expect(await allShops(services.db)).toHaveLength(2)
  expect(await shopsOfMember(services.db, member.id)).toHaveLength(2)
})

test('what is changed in settings is kept, and a bad picture leaves none', async () => {
  const { services, shop, member } = await withShop()
  await saveSettings(services, shop, profile({ name: 'Tarn', picture: 'data:image/png;base64,AAAA' }))
  expect((await shopsOfMember(services.db, member.id))[0]).toMatchObject({ name: 'Tarn', logo: null })
})

test('a changed password signs out everywhere else; a wrong present one changes nothing', async () => {
  const { services, member } = await withShop()
  const elsewhere = (await signIn(services, member.email, 'moss-and-mallow'))!
  expect(await changePassword(services, member, 'a wrong one', 'fern-and-foxglove')).toBeNull()
  expect(await findSession(services, elsewhere)).not.toBeNull()
  const here = await changePassword(services, member, 'moss-and-mallow', 'fern-and-foxglove')
  expect(await findSession(services, elsewhere)).toBeNull()
  expect(await findSession(services, here!)).not.toBeNull()
  expect(await signIn(services, member.email, 'moss-and-mallow')).toBeNull()

  const made = (await resetPassword(services, member.email))!
  expect(await findSession(services, here!)).toBeNull()
  expect(await signIn(services, member.email, made)).not.toBeNull()
  expect(await resetPassword(services, 'nobody@tarn.example')).toBeNull()
})

test.each([
  [{ brand: 'honey' }, 'brand'],
  [{ time_zone: 'Mars/Olympus' }, 'time_zone'],
  [{ locale: 'x!' }, 'locale'],
  [{ own_domains: 'two words.example, nonsense' }, 'own_domains'],
  [{ name: ' ' }, 'name'],
  [{ fonts: 'Georgia; background: url(x)' }, 'fonts'],
  [{ site_url: 'javascript:alert(1)' }, 'site_url'],
])('%j is refused at its field', (wrong, field) => {
  expect(() => profile(wrong as Record<string, string>)).toThrow(
    expect.objectContaining({ issues: [expect.objectContaining({ path: [field] })] }),
  )
})

test('a site is read with its sheet; a sheet or picture that cannot be had is left out', async () => {
  const { services } = await testServices()
  const asked: string[] = []
  services.fetchOutside = (address) => {
    asked.push(address)
    if (address.endsWith('.css'))
      return Promise.resolve({
        status: 200,
        retryAfter: null,
        url: address,
        contentType: 'text/css',
        body: Buffer.from('header{background:#2f6b4f}'),
      })
    if (address === 'https://tarn.example')
      return Promise.resolve({
        status: 200,
        retryAfter: null,
        url: 'https://tarn.example/',
        contentType: 'text/html; charset=iso-8859-1',
        body: Buffer.from('<title>Blüten &amp; Moos</title><link rel="stylesheet" href="a.css">', 'latin1'),
      })
    return Promise.reject(new OutsideError('status', 404))
  }
  const result = await readShopSite(services, ' tarn.example ')
  expect(result).toMatchObject({
    outcome: 'read',
    picture: null,
    reading: { name: 'Blüten & Moos', colours: { brand: '#2f6b4f' } },
  })
  expect(asked).toContain('https://tarn.example/favicon.ico')
  services.fetchOutside = () => Promise.reject(new OutsideError('slow'))
  expect(await readShopSite(services, 'tarn.example')).toEqual({
    outcome: 'failed',
    failure: 'slow',
    status: null,
  })
})
