import type { Bytes, Patch, VideoRead } from './video'

/* Elements of RFC 8794 and RFC 9559: an id, a size, and the content. */

const ids = {
  ebml: 0x1a45dfa3,
  docType: 0x4282,
  segment: 0x18538067,
  info: 0x1549a966,
  scale: 0x2ad7b1,
  duration: 0x4489,
  title: 0x7ba9,
  date: 0x4461,
  writer: 0x5741,
  muxer: 0x4d80,
  tracks: 0x1654ae6b,
  track: 0xae,
  trackType: 0x83,
  codec: 0x86,
  trackName: 0x536e,
  tags: 0x1254c367,
  attachments: 0x1941a469,
  cluster: 0x1f43b675,
  time: 0xe7,
  simpleBlock: 0xa3,
  blockGroup: 0xa0,
  block: 0xa1,
  void: 0xec,
}
/** Their elements are read one after the other, also where a recorder did not know their size. */
const open = new Set([ids.segment, ids.info, ids.tracks, ids.track, ids.cluster, ids.blockGroup, ids.ebml])
const personal = new Set([
  ids.title,
  ids.date,
  ids.writer,
  ids.muxer,
  ids.trackName,
  ids.tags,
  ids.attachments,
])
const codecs = new Set(['V_VP8', 'V_VP9', 'V_AV1', 'A_OPUS', 'A_VORBIS'])
const MOST_ELEMENTS = 1_000_000
const VIDEO_TRACK = 1
const NANOSECONDS = 1e9
const FIRST_SCALE = 1_000_000
/** The longest content that is looked at. */
const SHORT_BYTES = 64
const VOID_HEAD = 9

/** Reads a WebM file, element by element. */
export function readWebm(file: Bytes): VideoRead {
  const patches: Patch[] = []
  let [docType, scale, duration, cluster, latest, elements, film] = ['', FIRST_SCALE, 0, 0, 0, 0, false]
  for (let at = 0; at < file.size;) {
    if (++elements > MOST_ELEMENTS) return { refused: 'other' }
    const head = file.read(at, 16)
    const id = vint(head, 0, true)
    const size = id && vint(head, id.bytes, false)
    if (!id || !size) return { refused: at === 0 ? 'other' : 'cut' }
    const start = at + id.bytes + size.bytes
    if (at === 0 && id.value !== ids.ebml) return { refused: 'other' }
    if (open.has(id.value)) {
      at = start
      continue
    }
    if (size.isUnknown) return { refused: 'other' }
    const end = start + size.value
    if (end > file.size) return { refused: 'cut' }
    const short = () => file.read(start, Math.min(size.value, SHORT_BYTES))
    switch (id.value) {
      case ids.docType:
        docType = textOf(short())
        break
      case ids.scale:
        scale = numberOf(short())
        break
      case ids.duration:
        duration = floatOf(short())
        break
      case ids.codec:
        if (!codecs.has(textOf(short()))) return { refused: 'codec' }
        break
      case ids.trackType:
        film ||= numberOf(short()) === VIDEO_TRACK
        break
      case ids.time:
        cluster = numberOf(short())
        latest = Math.max(latest, cluster)
        break
      case ids.simpleBlock:
      case ids.block:
        latest = Math.max(latest, cluster + blockTime(short()))
        break
      default:
        if (personal.has(id.value)) patches.push(...voided(at, end))
    }
    at = end
  }
  if (docType !== 'webm') return { refused: 'other' }
  if (!film) return { refused: elements < 5 ? 'cut' : 'other' }
  const seconds = (Math.max(duration, latest) * scale) / NANOSECONDS
  if (!(seconds > 0) || !Number.isFinite(seconds)) return { refused: 'noLength' }
  return { kind: 'webm', seconds, patches }
}

/** A number of variable length (RFC 8794, 4). */
interface Vint {
  value: number
  bytes: number
  /** Whether a size says that it is not known. */
  isUnknown: boolean
}
function vint(bytes: Uint8Array, at: number, isId: boolean): Vint | null {
  const first = bytes[at]
  if (!first) return null
  const length = Math.clz32(first) - 23
  if (at + length > bytes.length || (isId && length > 4)) return null
  let value = isId ? first : first & (0xff >> length)
  let ones = (first & (0xff >> length)) === 0xff >> length
  for (let i = 1; i < length; i++) {
    value = value * 256 + bytes[at + i]!
    ones &&= bytes[at + i] === 0xff
  }
  return { value, bytes: length, isUnknown: !isId && ones }
}

const numberOf = (bytes: Uint8Array) => bytes.slice(0, 8).reduce((sum, byte) => sum * 256 + byte, 0)
const textOf = (bytes: Uint8Array) => new TextDecoder('latin1').decode(bytes).replace(/\0+$/, '')
function floatOf(bytes: Uint8Array): number {
  const data = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
  return bytes.length === 8 ? data.getFloat64(0) : bytes.length === 4 ? data.getFloat32(0) : 0
}

/** The time of a block, relative to its cluster. */
function blockTime(bytes: Uint8Array): number {
  const track = vint(bytes, 0, false)
  if (!track || bytes.length < track.bytes + 2) return 0
  return new DataView(bytes.buffer, bytes.byteOffset).getInt16(track.bytes)
}

/** An element becomes empty space of the same length. */
function voided(at: number, end: number): Patch[] {
  const length = end - at
  const head = new Uint8Array(length < VOID_HEAD ? 2 : VOID_HEAD)
  head[0] = ids.void
  if (length < VOID_HEAD) head[1] = 0x80 | (length - 2)
  else new DataView(head.buffer).setBigUint64(1, BigInt(length - VOID_HEAD) | (1n << 56n))
  return [
    { at, bytes: head },
    { at: at + head.length, zeros: length - head.length },
  ]
}
