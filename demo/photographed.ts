import sharp, { type Raw } from 'sharp'

/** The side of the repeated square of grain. */
const GRAIN_PX = 160

/** Renders a drawing like a camera: soft, slightly grainy, as JPEG. */
export async function photographed(svg: string): Promise<Buffer> {
  // Raw pixels between the steps; compressing noise as PNG took most of the time.
  const drawn = await sharp(Buffer.from(svg), { density: 144 })
    .flatten({ background: '#fff' })
    .blur(1.2)
    .raw()
    .toBuffer({ resolveWithObject: true })
  const { width, height, channels } = drawn.info
  const raw: Raw = { width, height, channels }
  const grain = await sharp({
    create: {
      width: GRAIN_PX,
      height: GRAIN_PX,
      channels: 3,
      background: '#808080',
      noise: { type: 'gaussian', mean: 128, sigma: 14 },
    },
  })
    .raw()
    .toBuffer({ resolveWithObject: true })
  return sharp(drawn.data, { raw })
    .composite([{ input: grain.data, raw: grain.info, tile: true, blend: 'soft-light' }])
    .jpeg({ quality: 88 })
    .toBuffer()
}
