import { readMp4 } from './mp4'
import { MOST_VIDEO_SECONDS, SPARE_SECONDS, type Bytes, type VideoRead } from './video'
import { readWebm } from './webm'

/** What a file is, whatever its name says; refused if it is too long to be welcome. */
export function readVideo(file: Bytes): VideoRead {
  if (file.size === 0) return { refused: 'empty' }
  const head = file.read(0, 8)
  const isMp4 = String.fromCharCode(...head.subarray(4, 8)) === 'ftyp'
  const isWebm = head[0] === 0x1a && head[1] === 0x45 && head[2] === 0xdf && head[3] === 0xa3
  if (!isMp4 && !isWebm) return { refused: 'other' }
  const read = isMp4 ? readMp4(file) : readWebm(file)
  return 'seconds' in read && read.seconds > MOST_VIDEO_SECONDS + SPARE_SECONDS ? { refused: 'long' } : read
}
