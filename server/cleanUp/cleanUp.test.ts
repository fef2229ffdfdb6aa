import { beforeEach, expect, test } from 'vitest'
import { addMember, addShop, send, testServices } from '../../tests/support/shop'
import type { Services } from '../services'
import { cleanUp } from './cleanUp'

const DAY_MS = 86_400_000
let services: Services
let clock: { now: Date }
beforeEach(async () => {
  ;({ services, clock } = await testServices())
})

const daysFromNow = (days: number) => new Date(clock.now.getTime() + days * DAY_MS).toISOString()
const left = (table: string, column: string) => services.db(table).orderBy('id').pluck(column)

test('sessions go when they have expired', async () => {
  const { id } = await addMember(services, 'Ned')
  const session = { member_id: id, created_at: daysFromNow(-40) }
  await services.db('session').insert([
    { ...session, token_hash: 'expired', expires_at: daysFromNow(-1) },
    { ...session, token_hash: 'good', expires_at: daysFromNow(1) },
  ])
  expect((await cleanUp(services)).sessions).toBe(1)
  expect(await left('session', 'token_hash')).toEqual(['good'])
})

test('links of emails go when they have expired, or thirty days after they were used', async () => {
  await addShop(services, 'wrenfield', [])
  await send(services, 'wrenfield')
  const token = { purpose: 'confirm', review_id: 1, created_at: daysFromNow(-40), expires_at: daysFromNow(9) }
  await services.db('token').delete()
  await services.db('token').insert([
    { ...token, hash: 'expired', expires_at: daysFromNow(-1), used_at: null },
    { ...token, hash: 'open', used_at: null },
    { ...token, hash: 'used lately', used_at: daysFromNow(-29) },
    { ...token, hash: 'used long ago', used_at: daysFromNow(-31) },
    { ...token, hash: 'own page', purpose: 'review', used_at: daysFromNow(-31) },
  ])
  expect((await cleanUp(services)).tokens).toBe(2)
  expect(await left('token', 'hash')).toEqual(['open', 'used lately', 'own page'])
})

test('emails go ninety days after they were queued, unless they still wait', async () => {
  const shop = await addShop(services, 'wrenfield', [])
  const email = {
    shop_id: shop.id,
    kind: 'confirm',
    recipient: 'anna@post.example',
    email_key: 'anna@post.example',
    sender_name: '',
    language: 'en',
    subject: '',
    text: '',
    html: '',
  }
  await services.db('mail').insert([
    { ...email, message_id: 'old', state: 'sent', queued_at: daysFromNow(-91) },
    { ...email, message_id: 'old and waiting', state: 'waiting', queued_at: daysFromNow(-91) },
    { ...email, message_id: 'young', state: 'sent', queued_at: daysFromNow(-89) },
  ])
  expect((await cleanUp(services)).mails).toBe(1)
  expect(await left('mail', 'message_id')).toEqual(['old and waiting', 'young'])
})

test('jobs go thirty days after they ended', async () => {
  const job = { kind: 'sendMail', payload: '{}', due_at: daysFromNow(-40), created_at: daysFromNow(-40) }
  await services.db('job').insert([
    { ...job, unique_key: 'old', state: 'done', ended_at: daysFromNow(-31) },
    { ...job, unique_key: 'young', state: 'failed', ended_at: daysFromNow(-29) },
    { ...job, unique_key: 'due', state: 'due', ended_at: null },
  ])
  expect((await cleanUp(services)).jobs).toBe(1)
  expect(await left('job', 'unique_key')).toEqual(['young', 'due'])
})

test('what detection remembers goes after a year; the reviews stay', async () => {
  await addShop(services, 'wrenfield', [])
  await send(services, 'wrenfield', { author_email: 'old@post.example' })
  clock.now = new Date(clock.now.getTime() + 200 * DAY_MS)
  await send(services, 'wrenfield', { author_email: 'young@post.example' })
  expect((await cleanUp(services)).fingerprints).toBe(0)
  clock.now = new Date(clock.now.getTime() + 200 * DAY_MS)
  expect((await cleanUp(services)).fingerprints).toBe(1)
  expect(await services.db('fingerprint').pluck('review_id')).toEqual([2])
  expect(await services.db('review').pluck('id')).toEqual([1, 2])
})
