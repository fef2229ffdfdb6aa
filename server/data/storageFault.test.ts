import { expect, test } from 'vitest'
import { retryWhileBusy, storageFault } from './storageFault'

const failure = (code: string) => Object.assign(new Error(code), { code })

test.each([
  ['SQLITE_BUSY', 'busy'],
  ['SQLITE_BUSY_SNAPSHOT', 'busy'],
  ['SQLITE_FULL', 'full'],
  ['ENOSPC', 'full'],
  ['SQLITE_IOERR_WRITE', 'unwritable'],
  ['SQLITE_READONLY', 'unwritable'],
  ['SQLITE_CONSTRAINT_UNIQUE', null],
  ['ENOENT', null],
])('%s is %s', (code, fault) => {
  expect(storageFault(failure(code))).toBe(fault)
})

test('only what is locked is tried again, and not for ever', async () => {
  let tries = 0
  const locked = (until: number) => async () => {
    if (++tries < until) throw failure('SQLITE_BUSY')
    return 'stored'
  }
  expect([await retryWhileBusy(locked(3)), tries]).toEqual(['stored', 3])
  await expect(retryWhileBusy(locked(Infinity), { patienceMs: 30 })).rejects.toThrow('SQLITE_BUSY')
  tries = 0
  const full = async () => {
    tries++
    throw failure('SQLITE_FULL')
  }
  await expect(retryWhileBusy(full)).rejects.toThrow('SQLITE_FULL')
  expect(tries).toBe(1)
})
