import { expect, test } from 'vitest'
import { ASKER, nameAsker } from './asker'
import { buildThrottle } from './throttle'

const from = (address: string) => new Request('https://a.example/', { headers: { [ASKER]: address } })

async function untilFull(take: () => Promise<number | null>): Promise<number> {
  for (let taken = 0; taken < 200; taken++) if ((await take()) !== null) return taken
  return Infinity
}

test('an account, a form and an address have room for so many tries, each for itself', async () => {
  const throttle = buildThrottle(true)
  const tryOnce = async (address: string, email: string) => {
    const wait = await throttle.signIn(from(address), email)
    if (wait === null) await throttle.failed(from(address), email)
    return wait
  }
  expect(await untilFull(() => tryOnce('1.1.1.1', ' Mara@wrenfield.example'))).toBe(10)
  expect(await throttle.signIn(from('2.2.2.2'), 'mara@wrenfield.example')).toBeGreaterThan(0)
  expect(await throttle.signIn(from('2.2.2.2'), 'ned@wrenfield.example')).toBeNull()
  let number = 0
  expect(await untilFull(() => tryOnce('3.3.3.3', `${number++}@a.example`))).toBe(40)
  expect(await untilFull(() => throttle.submit(from('1.1.1.1'), 'tell-us'))).toBe(60)
  expect(await throttle.submit(from('1.1.1.1'), 'how-was-it')).toBeNull()
  expect(await throttle.submit(from('2.2.2.2'), 'tell-us')).toBeNull()
})

test('the right password costs nothing, however often it is given', async () => {
  const throttle = buildThrottle(true)
  expect(await untilFull(() => throttle.signIn(from('1.1.1.1'), 'mara@wrenfield.example'))).toBe(Infinity)
})

test('whoever sends much becomes suspicious, at that form only, and nobody else with them', async () => {
  const throttle = buildThrottle(true)
  const level = (address: string, form = 'tell-us') => throttle.suspicion(from(address), form)
  expect(await level('1.1.1.1')).toBe(0)
  for (let sent = 0; sent < 11; sent++) await throttle.submit(from('1.1.1.1'), 'tell-us')
  expect([await level('1.1.1.1'), await level('1.1.1.1', 'how-was-it'), await level('2.2.2.2')]).toEqual([
    3, 0, 0,
  ])
  for (let i = 0; i < 30; i++) await throttle.submit(from(`3.3.3.${i}`), 'tell-us')
  expect(await level('2.2.2.2')).toBe(1)
  expect(await buildThrottle(false).suspicion(from('1.1.1.1'), 'tell-us')).toBe(0)
})

test('off is off', async () => {
  const throttle = buildThrottle(false)
  expect(await untilFull(() => throttle.submit(from('1.1.1.1'), 'tell-us'))).toBe(Infinity)
})

test('who asks is the socket’s address, or what the trusted proxies say, never what a client claims', () => {
  const asker = (proxies: number, headers: Record<string, string>) => {
    const request = { headers, socket: { remoteAddress: '10.0.0.9' } } as unknown as Parameters<
      typeof nameAsker
    >[0]
    nameAsker(request, proxies)
    return request.headers[ASKER]
  }
  expect(asker(0, { [ASKER]: 'me', 'x-forwarded-for': '6.6.6.6' })).toBe('10.0.0.9')
  expect(asker(1, { 'x-forwarded-for': '6.6.6.6, 5.5.5.5' })).toBe('5.5.5.5')
  expect(asker(2, { 'x-forwarded-for': '5.5.5.5' })).toBe('10.0.0.9')
})
