import type { Bytes, Patch, VideoRead } from './video'

/* Boxes of ISO/IEC 14496-12: four bytes of size, four of type, and the content. */

/** The index of a film of a minute is a few kilobytes. */
const MOST_INDEX_BYTES = 8_000_000
const MOST_BOXES = 200_000
const containers = new Set(['moov', 'trak', 'mdia', 'minf', 'stbl', 'mvex', 'moof', 'traf', 'edts'])
/** Where cameras and programs write names, places and comments. */
const personal = new Set(['udta', 'meta', 'uuid'])
/** Codecs that the usual browsers play. */
const codecs = new Set(['avc1', 'avc3', 'av01', 'vp08', 'vp09', 'mp4a', 'Opus', 'opus', 'fLaC'])

interface Box {
  type: string
  /** Of its content. */
  at: number
  end: number
}

interface Track {
  timescale: number
  /** In units of the time scale. */
  length: number
  isFilm: boolean
  codec: string
}

class Refused extends Error {
  constructor(readonly reason: 'cut' | 'codec' | 'other' | 'noLength') {
    super(reason)
  }
}

/** Reads an MP4 file; only its index is in memory. */
export function readMp4(file: Bytes): VideoRead {
  try {
    return read(file)
  } catch (error) {
    if (error instanceof Refused) return { refused: error.reason }
    // A content that ends too soon.
    if (error instanceof RangeError) return { refused: 'cut' }
    throw error
  }
}

function read(file: Bytes): VideoRead {
  const patches: Patch[] = []
  const tracks = new Map<number, Track>()
  let indexes = 0
  let boxes = 0
  for (let at = 0; at < file.size;) {
    if (++boxes > MOST_BOXES) throw new Refused('other')
    const box = boxAt(view(file.read(at, 16)), 0, file.size - at)
    if (at === 0 && box.type !== 'ftyp') throw new Refused('other')
    const [start, end] = [at + box.at, at + box.end]
    if (end > file.size) throw new Refused('cut')
    if (box.type === 'moov' || box.type === 'moof') {
      indexes += end - at
      if (indexes > MOST_INDEX_BYTES) throw new Refused('other')
      const content = view(file.read(at, end - at))
      if (box.type === 'moov') readIndex(content, start - at, { at, patches, tracks, size: file.size })
      else readFragment(content, start - at, tracks)
    } else if (personal.has(box.type)) patches.push(...blanked(at, box.at, box.end))
    at = end
  }
  const all = [...tracks.values()]
  // The index of an interrupted recording is missing: it is written last.
  if (all.length === 0) throw new Refused('cut')
  const films = all.filter(({ isFilm }) => isFilm)
  if (films.length === 0) throw new Refused('other')
  if (all.some(({ codec }) => !codecs.has(codec))) throw new Refused('codec')
  const seconds = Math.max(...all.map(({ length, timescale }) => (timescale > 0 ? length / timescale : 0)))
  if (!(seconds > 0)) throw new Refused('noLength')
  return { kind: 'mp4', seconds, patches }
}

const view = (bytes: Uint8Array) => new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
const typeAt = (data: DataView, at: number) =>
  String.fromCharCode(data.getUint8(at), data.getUint8(at + 1), data.getUint8(at + 2), data.getUint8(at + 3))

/** @param rest how many bytes there are, for a box that goes on to the end */
function boxAt(data: DataView, at: number, rest: number): Box {
  const size = data.getUint32(at)
  const type = typeAt(data, at + 4)
  if (size === 0) return { type, at: at + 8, end: at + rest }
  if (size !== 1) {
    if (size < 8) throw new Refused('other')
    return { type, at: at + 8, end: at + size }
  }
  const large = Number(data.getBigUint64(at + 8))
  if (large < 16) throw new Refused('other')
  return { type, at: at + 16, end: at + large }
}

function* boxesIn(data: DataView, from: number, to: number): Generator<Box> {
  for (let at = from; at + 8 <= to;) {
    const box = boxAt(data, at, to - at)
    if (box.end > to) throw new Refused('cut')
    yield box
    at = box.end
  }
}

/** A box becomes free space: its type, and nothing in it. */
function blanked(at: number, contentAt: number, end: number): Patch[] {
  const type = contentAt === 16 ? at + 4 : at + contentAt - 4
  return [
    { at: type, bytes: new TextEncoder().encode('free') },
    { at: at + contentAt, zeros: end - contentAt },
  ]
}

interface Reading {
  /** Where the index is in the file. */
  at: number
  patches: Patch[]
  tracks: Map<number, Track>
  size: number
}

function readIndex(data: DataView, from: number, reading: Reading): void {
  const { at: base, patches, tracks, size } = reading
  const track: Track & { id: number } = { id: 0, timescale: 0, length: 0, isFilm: false, codec: '' }
  const walk = (start: number, to: number, into: Track & { id: number }): void => {
    for (const box of boxesIn(data, start, to)) {
      const wide = data.byteLength > box.at && data.getUint8(box.at) === 1
      switch (box.type) {
        case 'trak': {
          const own = { ...track }
          walk(box.at, box.end, own)
          tracks.set(own.id, own)
          break
        }
        case 'mvhd':
        case 'tkhd':
        case 'mdhd':
          // When it was made and changed.
          patches.push({ at: base + box.at + 4, zeros: wide ? 16 : 8 })
          if (box.type === 'tkhd') into.id = data.getUint32(box.at + (wide ? 20 : 12))
          if (box.type === 'mdhd') into.timescale = data.getUint32(box.at + (wide ? 20 : 12))
          break
        case 'hdlr':
          into.isFilm ||= typeAt(data, box.at + 8) === 'vide'
          break
        case 'stsd':
          if (data.getUint32(box.at + 4) > 0) into.codec = typeAt(data, box.at + 12)
          break
        case 'stts':
          for (const at of entries(data, box, 8)) into.length += data.getUint32(at) * data.getUint32(at + 4)
          break
        case 'stco':
          for (const at of entries(data, box, 4)) if (data.getUint32(at) >= size) throw new Refused('cut')
          break
        case 'co64':
          for (const at of entries(data, box, 8)) if (data.getBigUint64(at) >= size) throw new Refused('cut')
          break
        default:
          if (personal.has(box.type)) {
            patches.push(
              { at: base + box.at - 4, bytes: new TextEncoder().encode('free') },
              { at: base + box.at, zeros: box.end - box.at },
            )
          } else if (containers.has(box.type)) walk(box.at, box.end, into)
      }
    }
  }
  walk(from, data.byteLength, track)
}

/** The places of the entries of a table, as many as are there. */
function* entries(data: DataView, { at, end }: Box, bytes: number): Generator<number> {
  const count = data.getUint32(at + 4)
  if (count * bytes > end - at - 8) throw new Refused('cut')
  for (let i = 0; i < count; i++) yield at + 8 + i * bytes
}

/** A part of a film that is recorded in parts; each says how long its samples are. */
function readFragment(data: DataView, from: number, tracks: Map<number, Track>): void {
  for (const part of boxesIn(data, from, data.byteLength)) {
    if (part.type !== 'traf') continue
    let track: Track | undefined
    let usual = 0
    for (const box of boxesIn(data, part.at, part.end)) {
      const flags = data.getUint32(box.at) & 0xffffff
      if (box.type === 'tfhd') {
        track = tracks.get(data.getUint32(box.at + 4))
        const skipped = (flags & 1 ? 8 : 0) + (flags & 2 ? 4 : 0)
        if (flags & 8) usual = data.getUint32(box.at + 8 + skipped)
      } else if (box.type === 'trun' && track) {
        const count = data.getUint32(box.at + 4)
        const each = [0x100, 0x200, 0x400, 0x800].filter((flag) => flags & flag).length * 4
        const first = box.at + 8 + (flags & 1 ? 4 : 0) + (flags & 4 ? 4 : 0)
        if (count * each > box.end - first) throw new Refused('cut')
        if (flags & 0x100) for (let i = 0; i < count; i++) track.length += data.getUint32(first + i * each)
        else track.length += count * usual
      }
    }
  }
}
