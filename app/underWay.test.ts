import { expect, test, vi } from 'vitest'
import { asActionUnderWay, isUnderWay, noteReload } from './underWay'

const redirect = () => new Response(null, { status: 302 })
const soon = () => new Promise((resolve) => setTimeout(resolve))

/** A reload that a test ends. */
function reload() {
  let end: (failed?: Error) => void = () => undefined
  noteReload(
    new Promise<void>((resolve, reject) => (end = (failed) => (failed ? reject(failed) : resolve()))),
  )
  return end
}

test.each([undefined, new Error('the line broke')])(
  'a redirect waits for the reload that is in flight, also for one that fails',
  async (failed) => {
    const end = reload()
    let followed = false
    const done = asActionUnderWay(() => Promise.reject(redirect())).catch(() => (followed = true))
    await soon()
    expect([followed, isUnderWay()]).toEqual([false, true])
    end(failed)
    await done
    expect([followed, isUnderWay()]).toEqual([true, true])
    await soon()
    expect(isUnderWay()).toBe(false)
  },
)

test('a redirect waits five seconds for a reload on a dead line, and no longer', async () => {
  vi.useFakeTimers()
  try {
    const end = reload()
    let followed = false
    void asActionUnderWay(() => Promise.reject(redirect())).catch(() => (followed = true))
    await vi.advanceTimersByTimeAsync(4900)
    expect(followed).toBe(false)
    await vi.advanceTimersByTimeAsync(200)
    expect([followed, isUnderWay()]).toEqual([true, true])
    end()
    await vi.advanceTimersByTimeAsync(1)
    expect(isUnderWay()).toBe(false)
  } finally {
    vi.useRealTimers()
  }
})

test('an answer and a fault wait for nothing', async () => {
  const end = reload()
  expect(await asActionUnderWay(async () => 'answer')).toBe('answer')
  await expect(asActionUnderWay(() => Promise.reject(new TypeError('offline')))).rejects.toThrow('offline')
  end()
  await soon()
  expect(isUnderWay()).toBe(false)
})
