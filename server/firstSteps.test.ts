import { beforeEach, expect, test } from 'vitest'
import { addMember, addShop, send, testServices } from '../tests/support/shop'
import type { MemberShop } from './data/shops'
import { updateShop } from './data/shops'
import { firstSteps, setFirstStepsAway } from './firstSteps'
import { notices } from './health/notices'
import type { Services } from './services'

let services: Services
let owner: MemberShop
beforeEach(async () => {
  ;({ services } = await testServices())
  const mara = await addMember(services, 'Mara')
  owner = { ...(await addShop(services, 'wrenfield', [mara])), siteUrl: '', role: 'owner' }
})

test('each first step is ticked by the facts, and leads to an open form', async () => {
  const nothing = { site: false, reviews: false, form: false, code: false, email: false }
  const steps = await firstSteps(services, owner)
  expect(steps).toEqual({ done: nothing, form: expect.any(String) })
  await send(services, 'wrenfield', {})
  expect((await firstSteps(services, owner))!.done).toEqual({ ...nothing, reviews: true })
  const known = { ...owner, siteUrl: 'https://wrenfield.example' }
  expect((await firstSteps(services, known))!.done).toEqual({ ...nothing, reviews: true, site: true })
})

test('they can be put away and taken back, and a helper has none', async () => {
  expect(await firstSteps(services, { ...owner, role: 'helper' })).toBeNull()
  await setFirstStepsAway(services, owner, true)
  expect(await firstSteps(services, owner)).toBeNull()
  // Saving the settings leaves them away.
  await updateShop(services.db, owner)
  expect(await firstSteps(services, owner)).toBeNull()
  await setFirstStepsAway(services, owner, false)
  expect(await firstSteps(services, owner)).not.toBeNull()
})

test('a notice says what is wrong and where to mend it, and goes when it is mended; a helper gets none of these', async () => {
  const about = async (shop: MemberShop) => (await notices(services, shop)).map((notice) => notice.about)
  expect(await about(owner)).toContain('email')
  expect((await notices(services, owner)).find((one) => one.about === 'email')).toMatchObject({
    text: 'problems.emailNone',
    link: 'settings/email',
  })
  expect(await about({ ...owner, role: 'helper' })).toEqual([])
  const failed = {
    shop_id: owner.id,
    kind: 'rebuild',
    unique_key: 'x',
    payload: '{}',
    due_at: '',
    created_at: '',
    state: 'failed',
  }
  await services.db('job').insert(failed)
  expect(await about(owner)).toContain('jobs')
  await services.db('job').where({ unique_key: 'x' }).delete()
  expect(await about(owner)).not.toContain('jobs')
})
