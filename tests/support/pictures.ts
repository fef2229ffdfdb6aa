import sharp from 'sharp'

/** A photo as a phone takes it: lying on its side, with the place and the device written beside it. */
export function phonePhoto(width: number, height: number): Promise<Buffer> {
  return sharp({ create: { width, height, channels: 3, background: '#7a9a6b' } })
    .composite([
      {
        input: { create: { width: width >> 1, height: height >> 1, channels: 3, background: '#c98f3c' } },
        gravity: 'northwest',
      },
    ])
    .withExif({
      IFD0: { Make: 'Lumbra', Model: 'Phone of somebody' },
      IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '52/1 31/1 12/1' },
    })
    .withMetadata({ orientation: 6 })
    .jpeg()
    .toBuffer()
}

/** The head of a PNG that claims to be as large as this, with nothing behind it. */
export function pngHead(width: number, height: number): Buffer {
  const head = Buffer.from('89504e470d0a1a0a0000000d494844520000000000000000080200000000000000', 'hex')
  head.writeUInt32BE(width, 16)
  head.writeUInt32BE(height, 20)
  return head
}

export const svgWithScript = Buffer.from(
  '<?xml version="1.0"?><svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><script>alert(1)</script></svg>',
)
export const program = Buffer.concat([Buffer.from('MZ\x90\x00\x03'), Buffer.alloc(400, 7)])
export const zip = Buffer.concat([Buffer.from('504b0304140000000800', 'hex'), Buffer.alloc(400, 1)])
