/* Small files of the shape that cameras and browsers write. Their pictures are empty, so they only tell of themselves. */

const text = (words: string) => new TextEncoder().encode(words)
const u32 = (...values: number[]) => {
  const bytes = new Uint8Array(values.length * 4)
  for (const [i, value] of values.entries()) new DataView(bytes.buffer).setUint32(i * 4, value)
  return bytes
}
const joined = (...parts: (Uint8Array | number[])[]) => Uint8Array.from(parts.flatMap((part) => [...part]))

/** A box of an MP4. */
export const box = (type: string, ...content: Uint8Array[]): Uint8Array => {
  const inside = joined(...content)
  return joined(u32(inside.length + 8), text(type), inside)
}
const full = (type: string, flags: number, ...content: Uint8Array[]) => box(type, u32(flags), ...content)

export const header = (): Uint8Array => box('ftyp', text('isom'), u32(512), text('isomavc1mp41'))

export interface FilmOptions {
  seconds?: number
  /** What its head says instead. */
  claimed?: number
  indexLast?: boolean
  /** Bytes of its content. */
  data?: number
  /** Where its index says that the content is. */
  offset?: number
  codec?: string
  handler?: string
  /** What a table says of its length. */
  entries?: number
  /** Where it was filmed. */
  place?: string
}

const SCALE = 1000

/** A whole MP4 with one track. */
export function film({
  seconds = 10,
  claimed = seconds,
  indexLast = false,
  data = 400,
  offset = 40,
  codec = 'avc1',
  handler = 'vide',
  entries = 1,
  place = '',
}: FilmOptions = {}): Uint8Array {
  const made = 3_900_000_000
  const samples = Math.round(seconds * 10)
  const table = box(
    'stbl',
    full('stsd', 0, u32(1), box(codec, new Uint8Array(70))),
    full('stts', 0, u32(entries), u32(samples, SCALE / 10)),
    full('stco', 0, u32(1), u32(offset)),
  )
  const track = box(
    'trak',
    full('tkhd', 3, u32(made, made, 1, 0, claimed * SCALE), new Uint8Array(60)),
    box(
      'mdia',
      full('mdhd', 0, u32(made, made, SCALE, claimed * SCALE, 0)),
      full('hdlr', 0, u32(0), text(handler), new Uint8Array(13)),
      box('minf', table),
    ),
  )
  const index = box(
    'moov',
    full('mvhd', 0, u32(made, made, SCALE, claimed * SCALE), new Uint8Array(80)),
    track,
    box('udta', box('©xyz', text(place)), box('meta', text('A camera'))),
  )
  const content = box('mdat', new Uint8Array(data))
  const parts = indexLast ? [content, index] : [index, content]
  return joined(header(), ...parts, box('uuid', text('filmed by somebody')))
}

/** An MP4 in parts, each with ten samples of a tenth of its length. */
export function fragments(count: number, seconds: number): Uint8Array {
  const start = film({ seconds: 0 })
  const part = joined(
    box(
      'moof',
      full('mfhd', 0, u32(1)),
      box(
        'traf',
        full('tfhd', 0x8, u32(1, (seconds * SCALE) / 10)),
        full('trun', 0x200, u32(10), u32(...Array.from({ length: 10 }, () => 5))),
      ),
    ),
    box('mdat', new Uint8Array(50)),
  )
  return joined(start, ...Array.from({ length: count }, () => part))
}

/** An element of a WebM; null is a size that is not known. */
function element(id: number, content: Uint8Array, known = true): Uint8Array {
  const name = u32(id)
  const size = u32(content.length)
  const first = name.findIndex((byte) => byte !== 0)
  return joined(
    name.subarray(first),
    known ? joined([0x08], size) : [0x01, 255, 255, 255, 255, 255, 255, 255],
    content,
  )
}
const float = (value: number) => {
  const bytes = new Uint8Array(8)
  new DataView(bytes.buffer).setFloat64(0, value)
  return bytes
}

/** A WebM with one track; times are in milliseconds. */
export function webm({
  duration,
  times,
  live = false,
  docType = 'webm',
  codec = 'V_VP9',
  trackType = 1,
  title = '',
}: {
  duration?: number
  times: number[]
  /** As a browser records it: without any size. */
  live?: boolean
  docType?: string
  codec?: string
  trackType?: number
  title?: string
}): Uint8Array {
  const info = element(
    0x1549a966,
    joined(
      element(0x2ad7b1, u32(1_000_000)),
      duration === undefined ? [] : element(0x4489, float(duration)),
      title ? element(0x7ba9, text(title)) : [],
      element(0x5741, text('A program')),
    ),
  )
  const tracks = element(
    0x1654ae6b,
    element(0xae, joined(element(0x83, Uint8Array.of(trackType)), element(0x86, text(codec)))),
  )
  const clusters = times.map((time) =>
    element(
      0x1f43b675,
      joined(element(0xe7, u32(time)), element(0xa3, Uint8Array.of(0x81, 0, 0, 0x80, 1, 2, 3, 4))),
      !live,
    ),
  )
  return joined(
    element(0x1a45dfa3, element(0x4282, text(docType))),
    element(0x18538067, joined(info, tracks, ...clusters), !live),
  )
}
