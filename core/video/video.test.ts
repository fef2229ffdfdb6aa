import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { expectLinear } from '../../tests/support/linearTime'
import { film, fragments, header, webm, type FilmOptions } from '../../tests/support/videos'
import { readVideo } from './readVideo'
import type { Bytes, Patch } from './video'

const bytesOf = (data: Uint8Array): Bytes => ({
  size: data.length,
  read: (at, length) => data.subarray(at, Math.min(at + length, data.length)),
})
const read = (data: Uint8Array) => readVideo(bytesOf(data))
const mp4 = (options?: FilmOptions) => read(film(options))
function patched(data: Uint8Array, patches: Patch[]): string {
  const copy = data.slice()
  for (const patch of patches)
    if ('bytes' in patch) copy.set(patch.bytes, patch.at)
    else copy.fill(0, patch.at, patch.at + patch.zeros)
  expect(copy.length).toBe(data.length)
  return new TextDecoder('latin1').decode(copy)
}

describe('an MP4', () => {
  test('has the length of its longest track, with its index first or last', () => {
    expect(mp4({ seconds: 12.5 })).toMatchObject({ kind: 'mp4', seconds: 12.5 })
    expect(mp4({ seconds: 12.5, indexLast: true })).toMatchObject({ seconds: 12.5 })
    expect(mp4({ seconds: 61 })).toMatchObject({ seconds: 61 })
  })

  test('that was recorded in parts has the length of its parts', () => {
    expect(read(fragments(4, 2.5))).toMatchObject({ kind: 'mp4', seconds: 10 })
  })

  test.each<[string, Uint8Array, string]>([
    ['of ten hours', film({ seconds: 36_000 }), 'long'],
    ['of ten hours that claims a second in its head', film({ seconds: 36_000, claimed: 1 }), 'long'],
    ['of many parts', fragments(100, 2.5), 'long'],
    ['without length', film({ seconds: 0 }), 'noLength'],
    ['without its index', film({ indexLast: true }).subarray(0, 600), 'cut'],
    ['that ends in its content', film({ data: 5000 }).subarray(0, 3000), 'cut'],
    ['whose index points beyond its end', film({ offset: 900_000 }), 'cut'],
    ['that ends within a head', film().subarray(0, 5), 'other'],
    ['of a codec that few browsers play', film({ codec: 'hvc1' }), 'codec'],
    ['without a film', film({ handler: 'soun' }), 'other'],
    ['with a table of 4,000,000,000 entries', film({ entries: 4_000_000_000 }), 'cut'],
    ['of nothing', new Uint8Array(), 'empty'],
    ['that is a picture', Uint8Array.from([0xff, 0xd8, 0xff, 0xe0, 1, 2, 3, 4, 5]), 'other'],
    [
      'with a box of no size',
      Uint8Array.from([...header(), 0, 0, 0, 4, 0x6d, 0x6f, 0x6f, 0x76, ...new Array<number>(16).fill(0)]),
      'other',
    ],
  ])('%s is refused', (_, data, refused) => {
    expect(read(data)).toEqual({ refused })
  })

  test('says nothing of its maker afterwards, and no offset changes', () => {
    const data = film({ place: '+48.2082+016.3738/', indexLast: true })
    expect(new TextDecoder('latin1').decode(data)).toContain('+48.2082')
    const found = read(data)
    if ('refused' in found) throw new Error(found.refused)
    const after = patched(data, found.patches)
    expect(after).not.toContain('+48.2082')
    expect(after).not.toContain('A camera')
    expect(after).not.toContain('filmed')
    const again = read(Uint8Array.from(after, (sign) => sign.charCodeAt(0)))
    expect(again).toMatchObject({ kind: 'mp4', seconds: 10 })
  })
})

describe('a WebM', () => {
  test('has the length that it says, or that its last picture has', () => {
    expect(read(webm({ duration: 12_000, times: [0, 5000] }))).toMatchObject({ kind: 'webm', seconds: 12 })
    expect(read(webm({ times: [0, 5000, 9900] }))).toMatchObject({ seconds: 9.9 })
    expect(read(webm({ times: [0, 5000, 9900], live: true }))).toMatchObject({ seconds: 9.9 })
  })

  test.each<[string, Uint8Array, string]>([
    ['of ten hours that claims a second', webm({ duration: 1000, times: [0, 36_000_000] }), 'long'],
    ['without length', webm({ times: [0] }), 'noLength'],
    ['cut off in the middle', webm({ times: [0, 5000] }).subarray(0, -10), 'cut'],
    ['of another kind', webm({ docType: 'matroska', times: [0, 5000] }), 'other'],
    ['of another codec', webm({ codec: 'V_MPEGH/ISO/HEVC', times: [0, 5000] }), 'codec'],
    ['without a film', webm({ trackType: 2, times: [0, 5000] }), 'other'],
  ])('%s is refused', (_, data, refused) => {
    expect(read(data)).toEqual({ refused })
  })

  test('says nothing of its maker afterwards', () => {
    const data = webm({ duration: 4000, times: [0, 3000], title: 'Anna in Vienna' })
    const found = read(data)
    if ('refused' in found) throw new Error(found.refused)
    const after = patched(data, found.patches)
    expect(after).not.toContain('Anna')
    expect(after).not.toContain('A program')
    expect(read(Uint8Array.from(after, (sign) => sign.charCodeAt(0)))).toMatchObject({ seconds: 4 })
  })
})

test('whatever bytes come, they are read or refused', () => {
  const starts = [header(), webm({ times: [] }).subarray(0, 40), film().subarray(0, 300)]
  fc.assert(
    fc.property(fc.constantFrom(...starts), fc.uint8Array({ maxLength: 300 }), (start, rest) => {
      expect(read(Uint8Array.from([...start, ...rest]))).toBeTypeOf('object')
    }),
    { numRuns: 300 },
  )
  // One byte wrong anywhere in the index.
  const whole = film({ place: 'x' })
  fc.assert(
    fc.property(fc.nat(whole.length - 1), fc.nat(255), (at, value) => {
      const broken = whole.slice()
      broken[at] = value
      expect(read(broken)).toBeTypeOf('object')
    }),
    { numRuns: 500 },
  )
})

test('many boxes and many elements are read in time that grows with the file', () => {
  const start = String.fromCharCode(...header())
  expectLinear(
    (sent) => read(Uint8Array.from(sent, (sign) => sign.charCodeAt(0))),
    (length) => start + '\0\0\0\x08free'.repeat(length / 8),
    40_000,
  )
})
