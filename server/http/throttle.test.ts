import { expect, test } from 'vitest'
import { buildThrottle } from './throttle'

async function untilFull(take: () => Promise<number | null>): Promise<number> {
  for (let taken = 0; taken < 300; taken++) if ((await take()) !== null) return taken
  return Infinity
}
const attempt = (clientAddress: string, email: string, device: string | null = null) => ({
  clientAddress,
  email,
  device,
})

test('an account, a form and an address have room for so many tries, each for itself', async () => {
  const throttle = buildThrottle(true)
  expect(await untilFull(() => throttle.signIn(attempt('203.0.113.1', ' Mara@wrenfield.example')))).toBe(10)
  expect(await throttle.signIn(attempt('203.0.113.2', 'mara@wrenfield.example'))).toBeGreaterThan(0)
  expect(await throttle.signIn(attempt('203.0.113.2', 'ned@wrenfield.example'))).toBeNull()
  let number = 0
  expect(await untilFull(() => throttle.signIn(attempt('203.0.113.3', `${number++}@a.example`)))).toBe(40)
  expect(await untilFull(() => throttle.submit('203.0.113.1', 'tell-us'))).toBe(60)
  expect(await throttle.submit('203.0.113.1', 'how-was-it')).toBeNull()
  expect(await throttle.submit('203.0.113.2', 'tell-us')).toBeNull()
})

test('of 200 guesses at once no more are judged than one after the other', async () => {
  const throttle = buildThrottle(true)
  const waits = await Promise.all(
    Array.from({ length: 200 }, (_, i) =>
      throttle.signIn(attempt(`203.0.113.${i}`, 'mara@wrenfield.example')),
    ),
  )
  expect(waits.filter((wait) => wait === null)).toHaveLength(10)
})

test('strangers who guess lock nobody out of a device that is known, which has a limit of its own', async () => {
  const throttle = buildThrottle(true)
  const strangers = () => throttle.signIn(attempt('203.0.113.1', 'mara@wrenfield.example'))
  expect(await untilFull(strangers)).toBe(10)
  const known = attempt('203.0.113.1', 'mara@wrenfield.example', 'device-1')
  expect(await untilFull(() => throttle.signIn(known))).toBe(10)
})

test('the right password costs nothing, however often it is given', async () => {
  const throttle = buildThrottle(true)
  const right = attempt('203.0.113.1', 'mara@wrenfield.example')
  expect(
    await untilFull(async () => {
      const wait = await throttle.signIn(right)
      await throttle.signedIn(right)
      return wait
    }),
  ).toBe(Infinity)
})

test('all addresses of one line are one client: the first 64 bits of IPv6, and IPv4 however it is written', async () => {
  const throttle = buildThrottle(true)
  let number = 0
  expect(await untilFull(() => throttle.submit(`2001:db8:1:2::${(number++).toString(16)}`, 'tell-us'))).toBe(
    60,
  )
  expect(await throttle.submit('2001:db8:1:3::1', 'tell-us')).toBeNull()
  expect(await untilFull(() => throttle.submit('::ffff:203.0.113.9', 'tell-us'))).toBe(60)
  expect(await throttle.submit('203.0.113.9', 'tell-us')).toBeGreaterThan(0)
})

test('whoever sends much becomes suspicious, at that form only, and nobody else with them', async () => {
  const throttle = buildThrottle(true)
  const level = (address: string, form = 'tell-us') => throttle.suspicion(address, form)
  expect(await level('203.0.113.1')).toBe(0)
  for (let sent = 0; sent < 11; sent++) await throttle.submit('203.0.113.1', 'tell-us')
  expect([
    await level('203.0.113.1'),
    await level('203.0.113.1', 'how-was-it'),
    await level('203.0.113.2'),
  ]).toEqual([3, 0, 0])
  for (let i = 0; i < 30; i++) await throttle.submit(`203.0.114.${i}`, 'tell-us')
  expect(await level('203.0.113.2')).toBe(1)
  expect(await buildThrottle(false).suspicion('203.0.113.1', 'tell-us')).toBe(0)
})

test('off is off', async () => {
  const throttle = buildThrottle(false)
  expect(await untilFull(() => throttle.submit('203.0.113.1', 'tell-us'))).toBe(Infinity)
})
