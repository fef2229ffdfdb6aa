import sharp, { type Raw } from 'sharp'

/** The side of the square of grain that is laid over a drawing again and again. */
const GRAIN_PX = 160

/** A drawing as a camera would have it: soft, a little grainy, and as JPEG. */
export async function photographed(svg: string): Promise<Buffer> {
  // Pixels go from step to step as they are; packing noise into a PNG took most of the time.
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
