import { brotliDecompressSync, gunzipSync } from 'node:zlib'
import { expect, test } from 'vitest'
import { behaviourAddresses, builtFiles, onsiteFiles } from './files'
import { prepare } from './prepared'

const files = () => new Map([...builtFiles('build/client'), ...onsiteFiles()])

test('a built file is sent as the build compressed it, which is smaller than what a request would get', () => {
  const scripts = [...files()].filter(([address, { plain }]) => /\.js$/.test(address) && plain.length >= 600)
  expect(scripts.length).toBeGreaterThan(50)
  for (const [address, { plain, gzip, brotli }] of scripts) {
    expect([address, brotliDecompressSync(brotli!).equals(plain)]).toEqual([address, true])
    expect([address, gunzipSync(gzip!).equals(plain)]).toEqual([address, true])
  }
  const [address, { plain, brotli }] = scripts.toSorted((a, b) => b[1].plain.length - a[1].plain.length)[0]!
  expect([address, brotli!.length < 0.95 * prepare(plain, {}).brotli!.length]).toEqual([address, true])
})

test('compressed copies have no address of their own, and fonts and pictures no copies', () => {
  expect([...files().keys()].filter((address) => /\.(gz|br)$/.test(address))).toEqual([])
  expect(Object.keys(behaviourAddresses()).filter((name) => /\./.test(name))).toEqual([])
  for (const [address, { gzip, brotli, headers }] of files())
    if (/\.(woff2|png)$/.test(address))
      expect([address, gzip, brotli, headers.Vary]).toEqual([address, null, null, undefined])
})
