import sharp from 'sharp'

/** A drawing as a camera would have it: soft, a little grainy, and as JPEG. */
export async function photographed(svg: string): Promise<Buffer> {
  const drawn = sharp(Buffer.from(svg), { density: 144 }).flatten({ background: '#fff' }).blur(1.2)
  const { width, height } = await drawn
    .clone()
    .toBuffer({ resolveWithObject: true })
    .then(({ info }) => info)
  const grain = await sharp({
    create: {
      width,
      height,
      channels: 3,
      background: '#808080',
      noise: { type: 'gaussian', mean: 128, sigma: 14 },
    },
  })
    .png()
    .toBuffer()
  return drawn
    .composite([{ input: grain, blend: 'soft-light' }])
    .jpeg({ quality: 88 })
    .toBuffer()
}
