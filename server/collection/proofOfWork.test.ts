import { solveChallenge, type Challenge } from 'altcha-lib'
import { deriveKey } from 'altcha-lib/algorithms/pbkdf2'
import { beforeEach, expect, test } from 'vitest'
import { addShop, send, testServices } from '../../tests/support/shop'
import { NO_WORK } from '../../core/intake/suspicion'
import { findReview, signalsOfVersion } from '../data/reviewReading'
import type { Shop } from '../data/shops'
import type { Services } from '../services'
import { issueChallenge, openForm } from './customerForm'
import { workDone } from './proofOfWork'

let services: Services
let clock: { now: Date }
let shop: Shop
beforeEach(async () => {
  ;({ services, clock } = await testServices())
  shop = await addShop(services, 'wrenfield', [])
})

async function opened(suspicion = 0) {
  const form = (await openForm(services, 'wrenfield'))!
  const { token, proofOfWork } = await issueChallenge(services, form, suspicion)
  clock.now = new Date(clock.now.getTime() + 60_000)
  return { token, challenge: proofOfWork }
}
const solved = async (challenge: Challenge) =>
  JSON.stringify({ challenge, solution: await solveChallenge({ challenge, deriveKey }) })
const kindsOf = async (publicId: string) => {
  const { versionId } = (await findReview(services.db, shop.id, { publicId }))!
  return (await signalsOfVersion(services.db, shop.id, versionId)).map(({ kind }) => kind)
}

test('work that was done is known by its level, for the token it was handed out with', async () => {
  const { token, challenge } = await opened(1)
  const work = await solved(challenge)
  expect(await workDone(services, token, work)).toBe(1)
  expect(await workDone(services, (await opened(1)).token, work)).toBeNull()
})

test('what is altered, guessed or nonsense is no work', async () => {
  const { token, challenge } = await opened(1)
  const work = JSON.parse(await solved(challenge)) as {
    challenge: Challenge
    solution: { counter: number; derivedKey: string }
  }
  const as = (changed: object) => workDone(services, token, JSON.stringify({ ...work, ...changed }))
  const easier = { ...challenge.parameters, cost: 1, data: { ...challenge.parameters.data, level: 4 } }
  expect(await as({})).toBe(1)
  expect(await as({ challenge: { ...challenge, parameters: easier } })).toBeNull()
  expect(await as({ solution: { ...work.solution, counter: work.solution.counter + 1 } })).toBeNull()
  expect(await as({ solution: { counter: 0, derivedKey: '0'.repeat(64) } })).toBeNull()
  expect(await workDone(services, token, NO_WORK)).toBeNull()
  expect(await workDone(services, token, '{"challenge":')).toBeNull()
})

test('with its work a review from the page waits; without scripts it is held, not refused', async () => {
  const { token, challenge } = await opened()
  const done = await send(services, 'wrenfield', { token, work: await solved(challenge) })
  expect([done.state, await kindsOf(done.publicId)]).toEqual(['waiting', []])
  const bare = await send(services, 'wrenfield', { work: NO_WORK, body: 'The lid sits well.' })
  expect([bare.state, await kindsOf(bare.publicId)]).toEqual(['held', ['nowork']])
})

test('where the stamp is missing too, that alone is said', async () => {
  const bare = await send(services, 'wrenfield', { work: NO_WORK, token: undefined })
  expect(await kindsOf(bare.publicId)).toEqual(['notoken'])
})
