import { mkdtempSync, rmSync, statSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { expect, test } from 'vitest'
import { readConfig } from './config'
import { signingKey } from './dataFolder'

test('little is needed, and the public address has no slash at its end', () => {
  expect(readConfig({})).toMatchObject({
    port: 4310,
    dataFolder: './data',
    publicUrl: 'http://localhost:4310',
    secret: null,
    demoSignIn: null,
  })
  expect(readConfig({ PUBLIC_URL: 'https://reviews.wrenfield.example/' }).publicUrl).toBe(
    'https://reviews.wrenfield.example',
  )
  expect(readConfig({ ELOGIO_DEMO_SIGN_IN: 'mara@wrenfield.example:a:b' }).demoSignIn).toEqual({
    email: 'mara@wrenfield.example',
    password: 'a:b',
  })
})

test('other sites have one address or one each', () => {
  for (const sites of [
    'https://sites.example',
    'lanternway=https://a.example,barrowmere=https://b.example:8443',
  ])
    expect(readConfig({ ELOGIO_SITES: sites }).sites).toBe(sites)
  expect(readConfig({}).sites).toBeNull()
})

test.each([
  [{ PORT: 'many' }, 'PORT'],
  [{ PORT: '70000' }, 'PORT'],
  [{ PUBLIC_URL: 'ftp://x.example' }, 'PUBLIC_URL'],
  [{ ELOGIO_SITES: 'lanternway=sites' }, 'ELOGIO_SITES is an address'],
  [{ ELOGIO_SECRET: 'short' }, 'ELOGIO_SECRET must have 32 characters or more'],
])('%j is refused by name', (env, named) => {
  expect(() => readConfig(env)).toThrow(named)
})

test('the secret is made once, for its owner’s eyes only, and a given one is taken instead', () => {
  const folder = mkdtempSync(path.join(tmpdir(), 'elogio-secret-'))
  try {
    const made = signingKey(folder, null)
    expect(made.length).toBeGreaterThanOrEqual(48)
    expect(signingKey(folder, null).equals(made)).toBe(true)
    expect(statSync(path.join(folder, 'secret')).mode & 0o777).toBe(0o600)
    expect(signingKey(folder, 'given').toString()).toBe('given')
  } finally {
    rmSync(folder, { recursive: true })
  }
})
