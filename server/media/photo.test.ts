import sharp from 'sharp'
import { deflateSync, crc32 } from 'node:zlib'
import { expect, test } from 'vitest'
import { TRIED_AGAIN } from '../../tests/support/longestWait'
import { phonePhoto, pngHead, program, svgWithScript, zip } from '../../tests/support/pictures'
import { makePhoto } from './photo'

test('a photo is made anew in two sizes: upright, without place and device', async () => {
  const photo = await phonePhoto(3000, 2000)
  expect((await sharp(photo).metadata()).exif).toBeDefined()
  const made = await makePhoto(photo)
  if ('refused' in made) throw new Error(made.refused)
  for (const [{ data, info }, longest] of [
    [made.large, 1600],
    [made.small, 320],
  ] as const) {
    const { width, height, exif, orientation, format } = await sharp(data).metadata()
    expect([width, height]).toEqual([Math.round((longest * 2) / 3), longest])
    expect({ exif, orientation, format }).toEqual({ exif: undefined, orientation: undefined, format: 'webp' })
    expect([info.width, info.height]).toEqual([width, height])
  }
  // Turned a quarter to the right, its left upper corner is its right upper one.
  const { data } = await sharp(made.small.data)
    .extract({ left: 180, top: 20, width: 1, height: 1 })
    .raw()
    .toBuffer({ resolveWithObject: true })
  expect(data[0]!).toBeGreaterThan(170)
})

test('forty-eight megapixels are welcome, in bounded memory and time', TRIED_AGAIN, async () => {
  const photo = await phonePhoto(8000, 6000)
  const before = process.memoryUsage.rss()
  const started = performance.now()
  const made = await makePhoto(photo)
  expect('large' in made && made.large.info).toMatchObject({ width: 1200, height: 1600 })
  expect(performance.now() - started).toBeLessThan(15_000)
  expect(process.memoryUsage.rss() - before).toBeLessThan(450_000_000)
})

test('what the library reads slowly may have half as many pixels', async () => {
  const plain = sharp({ create: { width: 8000, height: 4000, channels: 3, background: '#7a9a6b' } })
  for (const picture of [plain.clone().jpeg({ progressive: true }), plain.clone().webp({ effort: 0 })])
    expect(await makePhoto(await picture.toBuffer())).toEqual({ refused: 'pixels' })
})

test('a clear ground stays clear, and a small picture is not blown up', async () => {
  const picture = await sharp({ create: { width: 60, height: 40, channels: 4, background: '#0f08' } })
    .png()
    .toBuffer()
  const made = await makePhoto(picture)
  expect('large' in made && (await sharp(made.large.data).metadata())).toMatchObject({
    width: 60,
    height: 40,
    hasAlpha: true,
  })
})

/** A real PNG of one colour that is tiny as a file and huge as a picture. */
function bomb(side: number): Buffer {
  const chunk = (name: string, body: Buffer) => {
    const typed = Buffer.concat([Buffer.from(name), body])
    const [length, sum] = [Buffer.alloc(4), Buffer.alloc(4)]
    length.writeUInt32BE(body.length)
    sum.writeUInt32BE(crc32(typed))
    return Buffer.concat([length, typed, sum])
  }
  const head = pngHead(side, side)
  head.writeUInt8(0, 25)
  const rows = deflateSync(Buffer.alloc((side + 1) * 64))
  return Buffer.concat([
    head.subarray(0, 8),
    chunk('IHDR', head.subarray(16, 29)),
    chunk('IDAT', rows),
    chunk('IEND', Buffer.alloc(0)),
  ])
}

test.each([
  ['nothing', Buffer.alloc(0), 'empty'],
  ['more bytes than any photo has', Buffer.alloc(25_000_001, 0xff), 'large'],
  ['a picture bomb', bomb(30_000), 'pixels'],
  ['a program named photo.jpg', program, 'other'],
  ['an archive', zip, 'other'],
  ['a text', Buffer.from('only words'), 'other'],
  ['a drawing with a script in it', svgWithScript, 'drawing'],
  [
    'a film',
    Buffer.concat([Buffer.from('0000001c6674797069736f6d00000200', 'hex'), Buffer.alloc(64)]),
    'video',
  ],
  ['half a photo', pngHead(400, 300), 'unreadable'],
])('%s is refused', async (_, bytes, refused) => {
  expect(await makePhoto(bytes)).toEqual({ refused })
})

test('a photo that breaks off in the middle is refused rather than shown half grey', async () => {
  const photo = await phonePhoto(1200, 800)
  expect(await makePhoto(photo.subarray(0, photo.length >> 1))).toEqual({ refused: 'unreadable' })
})
