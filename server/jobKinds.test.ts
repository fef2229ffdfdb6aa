import { expect, test } from 'vitest'
import { jobWords } from '../core/messages/en/jobs'
import { nowhere, testServices } from '../tests/support/shop'
import { jobKinds } from './jobKinds'

test('each kind of job has a name on the page of background work', async () => {
  const { services } = await testServices()
  expect(Object.keys(jobWords.jobs.kind).sort()).toEqual(Object.keys(jobKinds(services, nowhere)).sort())
  await services.db.destroy()
})
