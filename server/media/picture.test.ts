import sharp from 'sharp'
import { expect, test } from 'vitest'
import { cleanPicture, pictureBytes, shopPicture } from './picture'

const address = (type: string, bytes: Buffer | string) =>
  `data:image/${type};base64,${Buffer.from(bytes).toString('base64')}`
const bytesOf = (data: string | null) => pictureBytes(data ?? '')!

test('a picture is made anew, small, upright and without what a camera writes beside it', async () => {
  const photo = await sharp({ create: { width: 900, height: 600, channels: 3, background: '#c98f3c' } })
    .withExif({ IFD0: { Copyright: 'someone', ImageDescription: 'the kitchen at home' } })
    .withMetadata({ orientation: 6 })
    .jpeg()
    .toBuffer()
  const made = await cleanPicture(address('jpeg', photo))
  expect(made).toMatch(/^data:image\/webp;base64,/)
  const { width, height, exif, format } = await sharp(bytesOf(made)).metadata()
  expect({ width, height, exif, format }).toEqual({ width: 85, height: 128, exif: undefined, format: 'webp' })
})

test.each([
  ['nothing', ''],
  ['no picture', address('png', 'only words')],
  ['an address of elsewhere', 'https://elsewhere.example/a.png'],
  [
    'a drawing that is a bomb',
    address('svg+xml', '<svg xmlns="http://www.w3.org/2000/svg" width="90000" height="90000"/>'),
  ],
  ['half a picture', address('png', Buffer.from('89504e470d0a1a0a0000000d49484452', 'hex'))],
])('%s becomes no picture', async (_, given) => {
  expect(await cleanPicture(given)).toBeNull()
})

test('a drawing’s script and its outside pictures do not come along', async () => {
  const drawing = `<svg xmlns="http://www.w3.org/2000/svg" width="40" height="40"><script>alert(1)</script>
    <image href="https://elsewhere.example/spy.png" width="40" height="40"/><rect width="40" height="40" fill="teal"/></svg>`
  const made = bytesOf(await shopPicture(Buffer.from(drawing)))
  expect(made.includes('script')).toBe(false)
  const { dominant } = await sharp(made).stats()
  expect(dominant.g).toBeGreaterThan(dominant.r)
})
