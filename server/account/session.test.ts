import { expect, test } from 'vitest'
import { addMember, addShop, testServices } from '../../tests/support/shop'
import { signIn, signOut, findSession } from './session'

test('the right password opens a session that knows the member’s shops, until it is closed or too old', async () => {
  const { services, clock } = await testServices()
  const [mara, ned] = [await addMember(services, 'Mara'), await addMember(services, 'Ned')]
  await addShop(services, 'wrenfield', [mara])
  await addShop(services, 'saltmarsh', [mara, ned])

  expect(await signIn(services, 'mara@elogio.example', 'wrong')).toBeNull()
  expect(await signIn(services, 'nobody@elogio.example', 'Mara-secret')).toBeNull()
  const token = (await signIn(services, ' MARA@elogio.example ', 'Mara-secret'))!
  expect((await findSession(services, token))!.shops.map(({ slug }) => slug).sort()).toEqual([
    'saltmarsh',
    'wrenfield',
  ])
  const other = (await signIn(services, 'ned@elogio.example', 'Ned-secret'))!
  expect((await findSession(services, other))!.shops.map(({ slug }) => slug)).toEqual(['saltmarsh'])

  expect(JSON.stringify(await services.db('session'))).not.toContain(token)
  await signOut(services, token)
  expect(await findSession(services, token)).toBeNull()
  clock.now = new Date(clock.now.getTime() + 31 * 86_400_000)
  expect(await findSession(services, other)).toBeNull()
})
